import { extra, onWheels, stationPoints } from './point';

const point = stationPoints('closing');

export const CLOSING_POINTS = [
  point('close.leakcheck', 'engine', {
    leakPlaces: ['drain-plug', 'filter-seat', 'hose-end', 'filler-cap', 'filter-head', 'pipe-run'],
    leakWanted: true,
    needs: ['running'],
    cautions: ['moving-parts', 'hot-oil'],
  }),
  point('close.level', 'engine', {
    measures: ['level', ...extra('volume')],
    vessel: 'stick',
    howRead: true,
    fits: ['engine'],
    needs: ['off-settled'],
  }),
  point('close.bolts', 'tyres', {
    measures: ['torque'],
    needs: ['ground'],
    cautions: ['bolts-again'],
    repeats: 'hub',
    ...onWheels(),
  }),
  point('close.codes', 'electrics', { codes: true, needs: ['key-on'], fits: ['road'] }),
  point('close.indicator', 'equipment', { measures: extra('service-left'), fits: ['road'] }),
  point('close.sticker', 'equipment'),
  point('close.wiped', 'equipment'),
  point('road.test', 'steering', { vocabulary: 'road', fits: ['road'] }),
  point('hub.heat', 'brakes', {
    measures: ['temperature'],
    repeats: 'hub',
    ...onWheels(),
  }),
];
