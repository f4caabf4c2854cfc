-- Jobs had a name only, and were told apart by its words; now by a code. What the names meant is said once more in the
-- contract (records/jobNames.ts), for journals and queues of that time.
create function job_named(name text) returns jsonb language sql immutable as $$
  select jsonb_build_object('code', case when name ~* 'brake fluid|bleed' then 'brake-fluid'
    when name ~* 'coolant|antifreeze' then 'coolant'
    when name ~* 'gear ?box|transmission' then 'gearbox-oil'
    when name ~* 'transfer' then 'transfer-oil'
    when name ~* 'axle|differential' then 'axle-oil'
    when name ~* 'hydraulic' then 'hydraulic-oil'
    when name ~* 'fuel filter' then 'fuel-filter'
    when name ~* 'cabin|pollen' then 'cabin-filter'
    when name ~* 'air (filter|cleaner)' then 'air-filter'
    when name ~* '^oil filter$' then 'oil-filter'
    when name ~* '(^|[^a-z])oil([^a-z]|$)' then 'engine-oil'
    when name ~* 'plugs?($|[^a-z])' then 'spark-plugs'
    when name ~* 'timing' then 'timing-belt'
    when name ~* 'belt' then 'auxiliary-belt'
    when name ~* 'battery' then 'battery'
    when name ~* 'wiper' then 'wipers'
    when name ~* 'rotat' then 'rotation'
    when name ~* 'align|track' then 'alignment'
    when name ~* 'tyre' then 'tyres'
    when name ~* 'greas' then 'greasing'
    else 'own' end, 'name', name)
$$;

update life_entry set body = jsonb_set(body, '{job}', job_named(body ->> 'job')) where kind = 'job';
update vehicle set spec = jsonb_set(spec, '{intervals}', coalesce((
  select jsonb_agg(jsonb_set(i.one, '{job}', job_named(i.one ->> 'job')) order by i.n)
  from jsonb_array_elements(spec -> 'intervals') with ordinality i (one, n)
), '[]'));

drop function job_named;

-- For which vehicles a template is was said by the beginning of its code.
update rulebook set body = jsonb_set(body, '{templates}', coalesce((
  select jsonb_agg(jsonb_build_object('offeredTo', case
    when t.one ->> 'code' = 'first-fourteen' then 'nobody'
    when t.one ->> 'code' = 'cold-gate' then 'all'
    when t.one ->> 'code' = 'minibus' then 'lift'
    when starts_with(t.one ->> 'code', 'plant') then 'plant'
    else 'road' end) || t.one order by t.n)
  from jsonb_array_elements(body -> 'templates') with ordinality t (one, n)
), '[]'));
