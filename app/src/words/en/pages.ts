import { arrival } from './pages/arrival';
import { bench } from './pages/bench';
import { charts } from './pages/charts';
import { common } from './pages/common';
import { compare } from './pages/compare';
import { controls } from './pages/controls';
import { decks } from './pages/decks';
import { ends } from './pages/ends';
import { fleet } from './pages/fleet';
import { kit } from './pages/kit';
import { life } from './pages/life';
import { overview } from './pages/overview';
import { panels } from './pages/panels';
import { people } from './pages/people';
import { photo } from './pages/photo';
import { report } from './pages/report';
import { rules } from './pages/rules';
import { score } from './pages/score';
import { shell } from './pages/shell';
import { signin } from './pages/signin';
import { sticker } from './pages/sticker';
import { trend } from './pages/trend';
import { typing } from './pages/typing';
import { vehicle } from './pages/vehicle';
import { visit } from './pages/visit';
import { walk } from './pages/walk';
import { yard } from './pages/yard';

/** What the views say, by the folder they stand in. */
export const pages = {
  arrival,
  bench,
  charts,
  common,
  compare,
  controls,
  decks,
  ends,
  fleet,
  kit,
  life,
  overview,
  panels,
  people,
  photo,
  report,
  rules,
  score,
  shell,
  signin,
  sticker,
  trend,
  typing,
  vehicle,
  visit,
  walk,
  yard,
};
