import { benchWorlds } from './forecast/worlds';
benchWorlds(
  (process.env.SEEDS ?? '1').split(',').map(Number),
  (process.env.DRAWN ?? '').split(',').filter(Boolean).map(Number),
  (process.env.ONLY ?? '').split(',').filter(Boolean),
);
