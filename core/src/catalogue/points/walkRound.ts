import { at, builtIn, bySide, extra, notRubbed, stationPoints } from './point';

const point = stationPoints('walk');

export const WALK_ROUND_POINTS = [
  point('walk.lamps', 'lamps', { counted: 'lamps', fits: ['road'], needs: ['key-on', 'helper'] }),
  point('walk.glass', 'body', { measures: bySide('extent'), vocabulary: 'glass', fits: ['road'] }),
  point('walk.mirrors', 'body', { ...builtIn, fits: ['road'] }),
  point('walk.wipers', 'equipment', { vocabulary: 'wiper', fits: ['road'] }),
  point('walk.doors', 'body', { ...builtIn, fits: ['road'] }),
  point('walk.body', 'body', { measures: bySide('extent'), vocabulary: 'rust' }),
  point('walk.plate', 'body', { ...builtIn, fits: ['road'] }),
  point('walk.fuelcap', 'fuel', { ...notRubbed, fits: ['engine'] }),
  point('walk.towbar', 'equipment', { ...builtIn, fits: ['towbar'] }),
  point('walk.spare', 'tyres', {
    measures: [at('tread', 'outer', 'centre', 'inner'), 'pressure', ...extra('tyre-age')],
    vocabulary: 'tyre-wall',
    fits: ['spare-wheel', 'road'],
  }),
  point('walk.tools', 'equipment', { ...notRubbed, fits: ['road'] }),
  point('walk.lift', 'equipment', { vocabulary: 'restraint', fits: ['passenger-lift'], cautions: ['moving-parts'] }),
  point('walk.tiedowns', 'equipment', { counted: 'all', vocabulary: 'restraint', fits: ['passenger-lift'] }),
];
