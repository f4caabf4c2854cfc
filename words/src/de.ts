import * as observations from './de/observations';
import * as paper from './de/paper';
import * as points from './de/points';
import * as rules from './de/rules';
import { sentences } from './de/sentences';
import type { Tongue } from './tongue';

/** German: what is told on paper and to a keeper. */
export const de: Tongue = {
  grade: {
    pass: 'Bestanden',
    advisory: 'Hinweis',
    fail: 'Nicht bestanden',
    'not-seen': 'Nicht gesehen',
    recorded: 'Festgehalten',
  },
  watch: 'beobachten',
  corrected: 'berichtigt',
  narrowPoint: { 'brake.fluid.water': 'Bremsflüssigkeit', 'battery.crank': 'Batterie' },
  ownPoint: (number) => `Eigener Punkt ${number}`,
  deck: { bonnet: 'Motorraum', wheels: 'Räder', under: 'Unterseite' },
  side: {
    kerb: { near: 'Gehwegseite', off: 'Fahrbahnseite' },
    'left-right': { near: 'links', off: 'rechts' },
    driver: { near: 'Beifahrerseite', off: 'Fahrerseite' },
  },
  sideInitial: {
    kerb: { near: 'G', off: 'F' },
    'left-right': { near: 'L', off: 'R' },
    driver: { near: 'BF', off: 'FA' },
  },
  ...observations,
  ...points,
  ...paper,
  ...rules,
  said: sentences,
};
