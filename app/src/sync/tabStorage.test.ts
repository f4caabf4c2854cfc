import { tabStorage } from './tabStorage';

beforeEach(() => sessionStorage.clear());

test('what is kept is there again after a reload of the page', () => {
  tabStorage().setItem('a', 'one');
  expect(tabStorage().getItem('a')).toBe('one');
  tabStorage().removeItem('a');
  expect(tabStorage().getItem('a')).toBeNull();
});

test('where the tab keeps no more, it lasts as long as the page, and nothing stale comes back', () => {
  const page = tabStorage();
  page.setItem('a', 'one');
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  page.setItem('a', 'two');
  full.mockRestore();
  expect(page.getItem('a')).toBe('two');
  expect(tabStorage().getItem('a')).toBeNull();
});
