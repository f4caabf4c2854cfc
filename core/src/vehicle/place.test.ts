import fc from 'fast-check';
import {
  axlePlaceOf,
  hubOf,
  isOnRoad,
  isPlace,
  isStored,
  isWheel,
  parsePlace,
  placeOf,
  storedOf,
  type ParsedPlace,
} from './place';
import { oppositePlace, otherAxlePlace, PLAIN_AXLE, type AxleNumber } from './vehicle';

const axle = fc.constantFrom<AxleNumber>(1, 2, 3, 4);
const anyPlace: fc.Arbitrary<ParsedPlace> = fc.oneof(
  fc.record({ axle, side: fc.constant(null), tyre: fc.constant(null) }),
  fc.record({
    axle,
    side: fc.constantFrom('L' as const, 'R' as const),
    tyre: fc.constantFrom('o' as const, 'i', null),
  }),
);

test('a place is taken apart and put together again', () => {
  fc.assert(
    fc.property(anyPlace, (parsed) => {
      const place = placeOf(parsed);
      expect(parsePlace(place)).toEqual(parsed);
      expect(isPlace(place)).toBe(true);
      expect(isWheel(place)).toBe(parsed.side !== null);
      expect(hubOf(place)).toBe(parsed.side && `${parsed.axle}${parsed.side}`);
      expect(axlePlaceOf(place)).toBe(String(parsed.axle));
    }),
  );
});

test('nothing else is one', () => {
  for (const text of ['0', '5', '1l', 'L1', '1Lx', '1o', '11L', ' 1L', '1L ', 'spare', '1LL'])
    expect([text, isPlace(text), parsePlace(text), isWheel(text)]).toEqual([text, false, null, text === 'spare']);
  expect([isPlace(''), isWheel(''), hubOf(''), axlePlaceOf('')]).toEqual([true, false, null, null]);
});

test('over the vehicle and back again is where one began', () => {
  const two = [PLAIN_AXLE, PLAIN_AXLE];
  fc.assert(
    fc.property(anyPlace, (parsed) => {
      const place = placeOf(parsed);
      const other = oppositePlace(place);
      expect(oppositePlace(other)).toBe(place);
      expect(other === place).toBe(parsed.side === null);
      if (parsed.axle > 2) return;
      const across = otherAxlePlace(two, place);
      expect(across && otherAxlePlace(two, across)).toBe(place);
      expect(across).not.toBe(place);
    }),
  );
  expect(otherAxlePlace(two, '')).toBeUndefined();
  expect(otherAxlePlace([...two, PLAIN_AXLE], '1L')).toBeUndefined();
});

test('a tyre in store is a wheel that is on no place and runs on no road; in store is only what has a wheel’s name', () => {
  const seats = [storedOf('1L'), storedOf('2Ro'), 'spare', '1L', '2Ro'] as const;
  expect(seats.map(isWheel)).toEqual([true, true, true, true, true]);
  expect(seats.map(isOnRoad)).toEqual([false, false, false, true, true]);
  expect(seats.map(isPlace)).toEqual([false, false, false, true, true]);
  expect(['kept-', 'kept-1', 'kept-5L', 'kept-kept-1L', 'Kept-1L'].map(isStored)).toEqual(Array(5).fill(false));
});
