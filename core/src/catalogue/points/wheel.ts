import { at, extra, onWheels, stationPoints } from './point';

const point = stationPoints('wheel');
const wheels = onWheels();
const hub = { repeats: 'hub', ...wheels } as const;
const tyre = { repeats: 'tyre', ...wheels } as const;

/** The same sequence at every corner, always going round in the same direction. */
export const WHEEL_POINTS = [
  point('tyre.tread', 'tyres', {
    measures: [at('tread', 'outer', 'centre', 'inner')],
    vocabulary: 'tyre',
    ...tyre,
  }),
  point('tyre.wear', 'tyres', { vocabulary: 'tyre', ...tyre }),
  point('tyre.wall', 'tyres', { vocabulary: 'tyre-wall', ...tyre }),
  point('tyre.age', 'tyres', { measures: ['tyre-age'], ...tyre }),
  point('tyre.pressure', 'tyres', { measures: ['pressure', ...extra('temperature')], vocabulary: 'valve', ...tyre }),
  point('tyre.match', 'tyres', { vocabulary: 'tyre-match', repeats: 'axle', ...wheels }),
  point('wheel.rock', 'suspension', {
    measures: [at('play', '12-6', '3-9')],
    needs: ['wheel-hanging'],
    cautions: ['stands'],
    ...hub,
  }),
  point('wheel.bearing', 'suspension', {
    vocabulary: 'bearing',
    needs: ['wheel-hanging'],
    cautions: ['stands'],
    ...hub,
  }),
  point('wheel.bolts', 'suspension', { counted: 'all', vocabulary: 'wheel-bolt', leavesOut: ['chafed'], ...hub }),
  point('pad.outer', 'brakes', {
    measures: ['lining'],
    vocabulary: 'brake',
    fits: ['disc'],
    step: 'brake',
    cautions: ['brake-dust'],
    ...hub,
  }),
  point('disc', 'brakes', {
    measures: extra('disc', 'disc-lip', 'disc-runout'),
    vocabulary: 'disc',
    fits: ['disc'],
    step: 'brake',
    ...hub,
  }),
  point('pad.inner', 'brakes', { measures: ['lining'], vocabulary: 'brake', fits: ['disc'], step: 'brake', ...hub }),
  point('shoe', 'brakes', {
    measures: ['shoe', ...extra('drum')],
    vocabulary: 'brake',
    fits: ['drum'],
    needs: ['wheel-off'],
    cautions: ['brake-dust', 'spring-load'],
    ...hub,
  }),
  point('calliper', 'brakes', { vocabulary: 'calliper', fits: ['disc'], ...hub }),
  point('brake.hose', 'brakes', { vocabulary: 'brake-hose', ...hub }),
  point('brake.pipe', 'brakes', { vocabulary: 'pipe', ...hub }),
  point('boot.outer', 'transmission', { vocabulary: 'boot', fits: ['driven', 'independent'], ...hub }),
  point('boot.inner', 'transmission', { vocabulary: 'boot', fits: ['driven', 'independent'], ...hub }),
  point('spring', 'suspension', { vocabulary: 'spring', paired: true, cautions: ['spring-load'], ...hub }),
  point('damper', 'suspension', { vocabulary: 'damper', paired: true, leakPlaces: ['damper-rod'], ...hub }),
  point('link.drop', 'suspension', { measures: ['play'], fits: ['independent'], ...hub }),
  point('joint.ball', 'suspension', { measures: ['play'], fits: ['independent'], ...hub }),
  point('rod.end', 'steering', { measures: ['play'], fits: ['steered'], ...hub }),
  point('arm.bush', 'suspension', { vocabulary: 'bush', ...hub }),
];
