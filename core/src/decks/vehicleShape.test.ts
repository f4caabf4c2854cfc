import { BODIES, type Body } from '../vehicle/makeUp';
import { gradedPoints } from '../grading/verdict';
import { hubPlaces, tyresAtHub, type Axle } from '../vehicle/vehicle';
import { CAR, MINIBUS, contextOf, findingOf, leakOf } from '../tests/builders';
import fc from 'fast-check';
import { placeLabels, pointSpot } from './deckShape';
import { DECKS, isOnDeck } from './deckNames';
import { nearestPoint } from './nearestPoint';
import { DRAWING, hubSpot, vehicleShape, type Box, type DrawnVehicle } from './vehicleShape';
import { worstLeak } from './worstLeak';

const [plain] = CAR.axles as readonly [Axle];
const drawn = (body: Body | null, axles: readonly Axle[]): DrawnVehicle => ({
  ...CAR,
  axles,
  makeUp: { ...CAR.makeUp, body },
});
const axle = fc
  .record({ dual: fc.boolean(), steered: fc.boolean(), driven: fc.boolean() })
  .map((one) => ({ ...plain, ...one }));
const vehicles = fc
  .tuple(fc.constantFrom(null, ...BODIES), fc.array(axle, { minLength: 1, maxLength: 6 }))
  .map(([body, axles]) =>
    drawn(
      body,
      axles.map((one, index) => (index === 0 ? { ...one, steered: true } : one)),
    ),
  );
const within = ({ x, y, width, height }: Box) =>
  x >= 0 && y >= 0 && x + width <= DRAWING.width && y + height <= DRAWING.height;
const meets = (a: Box, b: Box) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;

test('of any body, with one to six axles, every tyre lies in the picture and on no other; axles go from front to rear', () => {
  fc.assert(
    fc.property(vehicles, (vehicle) => {
      const shape = vehicleShape(vehicle);
      const places = hubPlaces(vehicle.axles).flatMap((hub) => tyresAtHub(vehicle.axles, hub));
      const tyres = places.map((place) => shape.tyres.get(place));
      for (const tyre of tyres) expect(tyre && within(tyre)).toBe(true);
      tyres.forEach((one, n) =>
        tyres.slice(n + 1).forEach((other) => expect(one && other && meets(one, other)).toBe(false)),
      );
      expect([...shape.axles].sort((a, b) => a - b)).toEqual(shape.axles);
      expect(within(shape.box) && within(shape.engine)).toBe(true);
      expect(`${shape.outline}${shape.lines}${shape.drivenBy}`).not.toMatch(/NaN|undefined/);
    }),
  );
});

test('bodies are told apart by their proportions, and as usual for the class where nothing is said', () => {
  const ratio = (body: Body) => {
    const { box } = vehicleShape(drawn(body, CAR.axles));
    return box.width / box.height;
  };
  expect(ratio('hatchback')).toBeLessThan(ratio('estate'));
  expect(ratio('estate')).toBeLessThan(ratio('van'));
  expect(ratio('van')).toBeLessThan(ratio('bus'));
  expect(vehicleShape(drawn(null, CAR.axles)).body).toBe('hatchback');
  expect(vehicleShape(MINIBUS).body).toBe('van');
  expect(vehicleShape(MINIBUS).lines).not.toBe(
    vehicleShape({ ...MINIBUS, makeUp: { ...MINIBUS.makeUp, passengerLift: false } }).lines,
  );
});

test('a finger on a mark means its point, on a wheel a point of that wheel', () => {
  const points = gradedPoints(contextOf(MINIBUS, []));
  const shape = vehicleShape(MINIBUS);
  const marked = points.flatMap((point) => {
    const at = pointSpot(point, shape);
    const deck = DECKS.find((one) => isOnDeck(one, point));
    return at && deck ? [{ point, at, deck }] : [];
  });
  expect(marked.length).toBeGreaterThan(40);
  for (const { at, deck } of marked) {
    const meant = nearestPoint(deck, at, MINIBUS, points);
    expect(meant && pointSpot(meant, shape)).toEqual(at);
  }
  for (const hub of hubPlaces(MINIBUS.axles))
    expect(nearestPoint('wheels', hubSpot(shape, hub), MINIBUS, points)?.place.startsWith(hub)).toBe(true);
});

test('names stand beside their marks, on no other name or mark, and those without room are left out', () => {
  const marks = [
    { x: 60, y: 60 },
    { x: 300, y: 60 },
    { x: 62, y: 64 },
  ];
  const [a, b, c] = marks as [Box, Box, Box];
  const placed = placeLabels(
    [
      { key: 'a', text: 'Brake fluid', at: a },
      { key: 'b', text: 'Wiring', at: b },
      { key: 'c', text: 'Auxiliary belt', at: c },
    ],
    marks,
  );
  expect(placed.map(({ key }) => key)).toEqual(expect.arrayContaining(['a', 'b']));
  const boxes = placed.map(({ x, y, text, anchor }) => ({
    x: anchor === 'start' ? x : x - text.length * 7.6,
    y: y - 15,
    width: text.length * 7.6,
    height: 18,
  }));
  boxes.forEach((one, n) => {
    expect(within(one)).toBe(true);
    boxes.slice(n + 1).forEach((other) => expect(meets(one, other)).toBe(false));
  });
  const crowd = Array.from({ length: 60 }, (_, n) => ({ x: 20 + (n % 20) * 20, y: 60 + Math.floor(n / 20) * 14 }));
  expect(placeLabels([{ key: 'x', text: 'A long name of a part', at: crowd[30] as Box }], crowd)).toEqual([]);
});

test('a leak is drawn by its furthest stage, nothing where all is dry', () => {
  const leaking = (...stages: readonly Parameters<typeof leakOf>[0][]) => ({
    finding: findingOf('leak.engine', '', { leaks: stages.map((one) => leakOf(one)) }),
  });
  expect(worstLeak(leaking({ stage: 'stain' }, { stage: 'drip' }, { stage: 'damp' }))).toBe('drip');
  expect(worstLeak(leaking({ stage: 'dry' }))).toBeNull();
  expect(worstLeak({ finding: undefined })).toBeNull();
});
