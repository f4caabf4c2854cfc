import { benchKills } from './kills';
void benchKills();
