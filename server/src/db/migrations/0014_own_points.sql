-- No workshop had points of its own.
update rulebook set body = jsonb_set(body, '{house}', '{"ownPoints": {}}'::jsonb || (body -> 'house'));
