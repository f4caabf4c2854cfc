import { at, bySide, extra, stationPoints } from './point';

const point = stationPoints('walk');

export const WALK_ROUND_POINTS = [
  point('walk.lamps', 'lamps', { counted: 'lamps', fits: ['road'], needs: ['key-on', 'helper'] }),
  point('walk.glass', 'body', { measures: bySide('extent'), vocabulary: 'glass', fits: ['road'] }),
  point('walk.mirrors', 'body', { vocabulary: 'general', fits: ['road'] }),
  point('walk.wipers', 'equipment', { vocabulary: 'wiper', fits: ['road'] }),
  point('walk.doors', 'body', { vocabulary: 'general', fits: ['road'] }),
  point('walk.body', 'body', { measures: bySide('extent'), vocabulary: 'rust' }),
  point('walk.plate', 'body', { vocabulary: 'general', fits: ['road'] }),
  point('walk.fuelcap', 'fuel', { vocabulary: 'general', fits: ['engine'] }),
  point('walk.towbar', 'equipment', { vocabulary: 'general', fits: ['towbar'] }),
  point('walk.spare', 'tyres', {
    measures: [at('tread', 'outer', 'centre', 'inner'), 'pressure', ...extra('tyre-age')],
    vocabulary: 'tyre-wall',
    fits: ['spare-wheel', 'road'],
  }),
  point('walk.tools', 'equipment', { vocabulary: 'general', fits: ['road'] }),
  point('walk.lift', 'equipment', { vocabulary: 'restraint', fits: ['passenger-lift'], cautions: ['moving-parts'] }),
  point('walk.tiedowns', 'equipment', { counted: 'all', vocabulary: 'restraint', fits: ['passenger-lift'] }),
];
