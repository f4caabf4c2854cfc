import { builtIn, extra, stationPoints } from './point';

const point = stationPoints('cabin');

export const CABIN_POINTS = [
  point('cabin.lamps', 'electrics', { vocabulary: 'warning-lamp', needs: ['key-on'] }),
  point('cabin.oillamp', 'engine', { measures: ['seconds'], fits: ['engine'], needs: ['running'] }),
  point('cabin.smoke', 'engine', { vocabulary: 'smoke', fits: ['engine'], needs: ['running'] }),
  point('cabin.idle', 'engine', { vocabulary: 'idle', fits: ['engine'], needs: ['running'] }),
  point('cabin.codes', 'electrics', { codes: true, needs: ['key-on'], fits: ['road'] }),
  point('cabin.indicator', 'equipment', {
    measures: extra('service-left', 'part-age'),
    needs: ['key-on'],
    fits: ['road'],
  }),
  point('cabin.belts', 'body', { vocabulary: 'restraint', fits: ['road'], cautions: ['air-bag'] }),
  point('cabin.horn', 'electrics', builtIn),
  point('cabin.washwipe', 'equipment', { vocabulary: 'wiper', fits: ['road'], needs: ['key-on'] }),
  point('cabin.pedal', 'brakes', { measures: extra('travel'), vocabulary: 'pedal', fits: ['road'] }),
  point('cabin.parkbrake', 'brakes', {
    measures: ['clicks'],
    vocabulary: 'parking-brake',
    leavesOut: ['chafed'],
    fits: ['road'],
  }),
  point('cabin.steering', 'steering', { measures: ['play', ...extra('play-angle')] }),
  point('cabin.clutch', 'transmission', { measures: extra('travel'), vocabulary: 'pedal', fits: ['clutch'] }),
  point('cabin.heater', 'cooling', { ...builtIn, fits: ['road'] }),
  point('cabin.filter', 'equipment', { measures: extra('part-age'), vocabulary: 'air-filter', fits: ['road'] }),
  point('cabin.keycell', 'electrics', { measures: extra('part-age'), ...builtIn, fits: ['road'] }),
];
