import { letterSchema, type Life, type Visit } from '@weskopos/contract';
import type { Finding, LifeEntry, PriceList, Urgency } from '@weskopos/core';
import { CAR, findingOf, inspectionOf, readingOf } from '@weskopos/core/tests/builders';
import { worksOf, type Work } from '@weskopos/core/works/worksOf';
import { de } from './de';
import { keeperLetter } from './keeperLetter';
import { inTongue } from './tongue';

const ID = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const photo = (n: number, caption = '') => ({ id: ID(n), caption, marks: [] });
const visit = (
  id: string,
  day: string,
  findings: readonly Finding[],
  change: Partial<Visit['inspection']> = {},
): Visit => ({
  inspection: inspectionOf(CAR, { id, startedAt: `${day}T08:00:00.000Z`, signedAt: `${day}T09:00:00.000Z`, ...change }),
  findings: findings.map((one) => ({ ...one, inspectionId: id, by: 'Isla' })),
  acts: [],
  inspector: 'Isla',
  signedBy: 'Isla',
  sheet: null,
  amendments: [],
  voidedBy: null,
  seal: null,
});
const pad = (...photos: ReturnType<typeof photo>[]) =>
  findingOf('pad.inner', '1L', { readings: [readingOf('lining', 1)], photos });
const life = (...visits: Visit[]): Pick<Life, 'visits'> => ({ visits });

const work = (urgency: Urgency, inspectionId = 'now', change: Partial<Work> = {}): Work => {
  const entry: LifeEntry = {
    kind: 'work',
    id: ID(99),
    vehicleId: CAR.id,
    at: '2026-11-20T08:00:00.000Z',
    meter: null,
    task: { code: 'pads', point: null, name: '', place: '1' },
    reasons: [
      { kind: 'finding', inspectionId, point: 'pad.inner', place: '1L', grade: 'fail', at: '2026-11-19T08:00:00.000Z' },
    ],
    urgency,
    from: null,
    to: null,
    minutes: 60,
    parts: [{ name: 'Pad set', number: 'P-1', count: 1 }],
    note: '',
  };
  const [made] = worksOf([entry]);
  if (!made) throw new Error('no work');
  return { ...made, ...change };
};
const list: PriceList = {
  currency: 'EUR',
  taxPercent: 20,
  hourRate: 60,
  parts: [{ number: 'P-1', name: 'Pads', price: 40 }],
  times: [],
};
const told = (works: readonly Work[], visits: Pick<Life, 'visits'> = life(), from = 'Bay') =>
  keeperLetter(works, visits, CAR, from);

describe('what a keeper is told', () => {
  test.each<[Urgency, string, boolean]>([
    ['not-driven', 'Please do not drive it before the first of these is done.', true],
    ['before-next', 'Something has to be put right soon.', false],
    ['next-visit', 'It can be driven; something needs attention.', false],
    ['watch', 'It is in order; some work comes up.', false],
  ])('of a work that is %s: %s', (urgency, verdict, stops) => {
    expect(told([work(urgency)])).toMatchObject({ verdict, stops });
  });

  test('the most urgent one gives the verdict, wherever it stands', () => {
    expect(told([work('watch'), work('not-driven'), work('next-visit')]).stops).toBe(true);
  });

  test('is what a letter may be, also of long names and many photos', () => {
    const many = Array.from({ length: 9 }, (_, n) => photo(n, 'x'.repeat(300)));
    const long = work('next-visit', 'now', {
      task: { code: 'own', point: null, name: 'N'.repeat(60), place: '' },
      note: 'n'.repeat(500),
    });
    const letter = told([long, work('by')], life(visit('now', '2026-11-19', [pad(...many)])), 'f'.repeat(120));
    expect(letterSchema.parse(letter)).toEqual(letter);
    expect(letter.works[0]?.photos).toHaveLength(4);
    expect(letter.works[0]?.plain).toHaveLength(400);
  });

  test('shows how it is by the finding’s own photos, and how it was by the visit before that has some', () => {
    const visits = life(
      visit('old', '2026-01-10', [pad(photo(1, 'old'))]),
      visit('before', '2026-06-10', [pad(photo(2, 'before'))]),
      visit('bare', '2026-08-10', [pad()]),
      visit('open', '2026-09-10', [pad(photo(3))], { signedAt: null }),
      visit('now', '2026-11-19', [pad(photo(4, 'now'), photo(5))]),
      visit('later', '2026-12-01', [pad(photo(6))]),
    );
    const [only] = told([work('by')], visits).works;
    expect(only?.photos.map(({ id }) => id)).toEqual([ID(4), ID(5)]);
    expect(only?.before).toEqual({ id: ID(2), caption: 'before', at: '2026-06-10T08:00:00.000Z' });
  });

  test('a photo of another wheel is no photo of this one; without any nothing is shown', () => {
    const other = findingOf('pad.inner', '1R', { readings: [], photos: [photo(7)] });
    const [only] = told(
      [work('by')],
      life(visit('old', '2026-01-10', [other]), visit('now', '2026-11-19', [pad()])),
    ).works;
    expect(only).toMatchObject({ photos: [], before: null });
  });

  test('a price only where the workshop has one', () => {
    expect(told([work('by')]).works[0]?.price).toBe('');
    expect(keeperLetter([work('by')], life(), CAR, '', 'en', list).works[0]?.price).toBe('€120.00, with €20.00 tax.');
    const none = { ...list, parts: [], hourRate: null };
    expect(keeperLetter([work('by')], life(), CAR, '', 'en', none).works[0]?.price).toBe('');
    const half = { ...list, parts: [] };
    expect(keeperLetter([work('by')], life(), CAR, '', 'en', half).works[0]?.price).toBe(
      '€72.00, with €12.00 tax. Without Pad set: not on the list.',
    );
  });

  test('in German all of it is German, and the letter says so', () => {
    const letter = inTongue(de, () => keeperLetter([work('before-next')], life(), CAR, '', 'de', list));
    expect(letter).toMatchObject({ language: 'de', verdict: 'Etwas muss bald in Ordnung gebracht werden.' });
    expect(letter.works[0]).toMatchObject({
      name: 'Bremsbeläge, Vorderachse',
      when: 'Vor der nächsten längeren Fahrt',
      plain: expect.stringContaining('drücken auf die Scheibe'),
      why: expect.stringContaining('ist nicht in Ordnung'),
      price: expect.stringContaining('darin 20,00'),
    });
  });
});
