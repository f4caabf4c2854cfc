import { entryOf, isOneOf, oneOf, recordOf, typedKeys } from './keyed';

const TABLE = { left: 1, right: 2 };

test('a table is made and asked by its keys', () => {
  expect(recordOf(['a', 'b'], (key) => key.toUpperCase())).toEqual({ a: 'A', b: 'B' });
  expect(typedKeys(TABLE)).toEqual(['left', 'right']);
});

test('what is not in a table or a list is not, whatever an object inherits', () => {
  expect(entryOf<unknown>(TABLE, 'left')).toBe(1);
  expect(entryOf<unknown>(TABLE, 'toString')).toBeUndefined();
  expect(isOneOf(['L', 'R'], 'L')).toBe(true);
  expect(isOneOf(['L', 'R'], undefined)).toBe(false);
  expect(oneOf(['L', 'R'], 'R')).toBe('R');
  expect(oneOf(['L', 'R'], 'l')).toBeUndefined();
});
