-- What the wear readings of a visit were likely to do before the next one, as it was worked out at signing.
alter table inspection add column ahead jsonb;
-- Visits signed before looked ahead at nothing, and stay as they were graded.
update inspection set ahead = '[]'::jsonb where signed_at is not null;

-- From which chance on a passing wear reading is an advisory, and how well the house's gauges repeat: what every workshop begins with.
update rulebook set body = jsonb_set(body, '{house}', '{"lookAhead": 0.2, "repeatability": {}}'::jsonb || (body -> 'house'));
