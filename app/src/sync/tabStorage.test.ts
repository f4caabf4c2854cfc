import { readTab, writeTab } from './tabStorage';

beforeEach(() => sessionStorage.clear());

test('what is kept is there again after a reload of the page', () => {
  expect(readTab('a')).toBeUndefined();
  writeTab('a', { entries: [1] });
  expect(readTab('a')).toEqual({ entries: [1] });
});

test('where the tab keeps no more, nothing stale comes back', () => {
  writeTab('a', 'one');
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  writeTab('a', 'two');
  full.mockRestore();
  expect(readTab('a')).toBeUndefined();
});
