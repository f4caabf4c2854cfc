import { benchWorlds } from './forecast/worlds';
benchWorlds((process.env.SEEDS ?? '1').split(',').map(Number), (process.env.DRAWN ?? '11,12').split(',').map(Number));
