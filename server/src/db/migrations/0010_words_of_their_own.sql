-- What is said of wheel bolts, restraints and the parking brake weighs for itself; what the house had said of any part goes on for each.
update rulebook set body = jsonb_set(body, '{sheets}', coalesce((
  select jsonb_agg(jsonb_set(s.one, '{words}', jsonb_build_object(
    'wheel-bolt', s.one -> 'words' -> 'general',
    'restraint', s.one -> 'words' -> 'general',
    'parking-brake', s.one -> 'words' -> 'general') || (s.one -> 'words')) order by s.n)
  from jsonb_array_elements(body -> 'sheets') with ordinality s (one, n)
), '[]'));

-- Urea solution is called by what it is; its code was a trade mark.
update life_entry set body = jsonb_set(body, '{fluid}', '"urea"') where kind = 'top-up' and body ->> 'fluid' ~ '^ad[a-z]{4}$';
