-- Every vehicle was drawn alike: as usual for its class, with the engine at the front.
update vehicle set make_up = '{"body": null, "enginePlace": "front"}'::jsonb || make_up;
