-- A reading tells the step of the gauge it came from; null for the usual one. A count tells how many were good as found.
alter table reading add column step double precision check (step > 0);
alter table item_count add column found integer check (found >= 0);

-- What proves a closing besides figures, and what went in.
alter table act
  add column angle_done boolean,
  add column renewed boolean,
  add column debris text check (debris in ('nothing', 'fuzz', 'pieces')),
  add column primed boolean,
  add column seen_to boolean,
  add column part_number text not null default '',
  add column marked boolean;

-- Nobody had been asked for what the work at a vehicle needs besides grades, litres and torques.
update vehicle set
  make_up = '{"driverSide": null}'::jsonb || make_up,
  axles = (
    select jsonb_agg('{"suspension": null}'::jsonb || a.one order by a.n)
    from jsonb_array_elements(axles) with ordinality a (one, n)),
  spec = '{"stickWhileFilling": null, "filterThread": "", "filterSeal": "", "dashCodes": [], "keyCodePlace": "", "pivots": []}'::jsonb || spec
    || jsonb_build_object(
      'fluids', coalesce((
        select jsonb_agg('{"spanL": null, "mark": "", "climates": []}'::jsonb || f.one order by f.n)
        from jsonb_array_elements(spec -> 'fluids') with ordinality f (one, n)), '[]'),
      'torques', coalesce((
        select jsonb_agg('{"angleDeg": null, "stagesNm": [], "renew": false}'::jsonb || t.one order by t.n)
        from jsonb_array_elements(spec -> 'torques') with ordinality t (one, n)), '[]'));

-- What every house did until it was asked.
update rulebook set body = jsonb_set(body, '{house}',
  '{"changeCaps": {}, "altitudeM": 0, "carryDays": 14, "carryKm": 500}'::jsonb
  || (body -> 'house'));
