import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, expectReadable, signIn, stickingOut, toVehicle } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
test.beforeAll(async () => {
  workshop = await Workshop.start({ demo: true });
});
test.afterAll(() => workshop.remove());

const PLACES = ['Yard', 'Works', 'Fleet', 'Bench', 'Scores', 'Rules', 'People', 'Data'];
const PAGES = ['Now', 'Visit', 'Works', 'Wear', 'Life', 'Spec'];

/** Where things stand in the demo: a vehicle whose visit is half done, that visit, and a signed one's report. */
interface Addresses {
  readonly vehicle: string;
  readonly visit: string;
  readonly report: string;
}

/** Every view that has an address. */
const VIEWS: Record<string, (at: Addresses) => string> = {
  yard: () => '/',
  'all works': () => '/works',
  fleet: () => '/fleet',
  bench: () => '/bench',
  scores: () => '/scorecard',
  rules: () => '/rules',
  people: () => '/people',
  data: () => '/data',
  me: () => '/me',
  'new vehicle': () => '/vehicle/new',
  nowhere: () => '/nowhere',
  now: ({ vehicle }) => vehicle,
  works: ({ vehicle }) => `${vehicle}/works`,
  'job card': ({ vehicle }) => `${vehicle}/card`,
  wear: ({ vehicle }) => `${vehicle}/wear`,
  life: ({ vehicle }) => `${vehicle}/life`,
  spec: ({ vehicle }) => `${vehicle}/spec`,
  edit: ({ vehicle }) => `${vehicle}/edit`,
  history: ({ vehicle }) => `${vehicle}/history`,
  compare: ({ vehicle }) => `${vehicle}/compare`,
  trend: ({ vehicle }) => `${vehicle}/trend/${encodeURIComponent('pad.inner@1L:whole')}`,
  walk: ({ visit }) => visit,
  gate: ({ visit }) => `${visit}/gate`,
  'loose ends': ({ visit }) => `${visit}/ends`,
  overview: ({ visit }) => `${visit}/overview`,
  arrival: ({ visit }) => `${visit}/arrival`,
  report: ({ report }) => report,
  amend: ({ report }) => report.replace('report', 'amend'),
  sticker: ({ report }) => report.replace('report', 'sticker'),
};

async function addresses(page: Page): Promise<Addresses> {
  await page.goto(workshop.url);
  await toVehicle(page, 'FH 07');
  const vehicle = new URL(page.url()).pathname;
  const visit = await page.getByRole('link', { name: /^Visit(, \d+)?$/ }).getAttribute('href');
  await page.goto(`${workshop.url}${vehicle}/life`);
  const report = await page
    .getByRole('link', { name: /Callum/ })
    .first()
    .getAttribute('href');
  if (!visit || !report) throw new Error('the demo has no visit under way or no report');
  return { vehicle, visit, report };
}

for (const [name, size] of [
  ['phone', { width: 390, height: 844 }],
  ['desk', { width: 1280, height: 800 }],
] as const)
  test.describe(`passes the checker by day and by night, has a title of its own, and reaches every place in one tap: ${name}`, () => {
    // One page for all views: a person goes on from where one is, and the app is started and signed in once.
    let page: Page;
    let at: Addresses;
    const titles = new Map<string, string>();
    test.beforeAll(async ({ browser }) => {
      page = await browser.newPage({ viewport: size });
      await page.goto(workshop.url);
      await signIn(page, 'Maren', '112358');
      at = await addresses(page);
    });
    /** Taps to every place, and to every page of its vehicle, by the view one comes from. */
    const taps = new Map<string, string>();
    test.afterAll(async () => {
      console.log(`  taps on a ${name}: ${[...taps].map(([view, told]) => `${view} ${told}`).join(', ')}`);
      await page.close();
    });

    for (const [view, address] of Object.entries(VIEWS))
      test(view, async () => {
        const path = address(at);
        await page.emulateMedia({ colorScheme: 'light' });
        await page.goto(workshop.url + path);
        await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
        await expect(page.getByRole('main')).toHaveCount(1);
        await expectAccessible(page);
        const title = await page.title();
        expect(titles.get(title)).toBeUndefined();
        titles.set(title, view);
        // In the walk and at its gate a phone's spine is the walk's own: the yard is a tap away, other places two.
        const ownSpine = ['walk', 'gate'].includes(view) && name === 'phone';
        const within = (spine: string, one: string) =>
          page.getByRole('navigation', { name: spine }).getByRole('link', { name: new RegExp(`^${one}(, \\d+)?$`) });
        if (ownSpine) await expect(page.getByRole('button', { name: 'To the yard' })).toBeVisible();
        else for (const place of PLACES) await expect(within('Places', place)).toBeVisible();
        const ofVehicle = !ownSpine && path.startsWith(at.vehicle);
        taps.set(view, ownSpine ? '2' : ofVehicle ? '1, its pages 1' : '1');
        if (ofVehicle) for (const one of PAGES) await expect(within('Pages of FH 07', one)).toBeVisible();
        await page.emulateMedia({ colorScheme: 'dark' });
        await expectReadable(page);
      });
  });

test('on the narrowest phone nothing sticks out, whatever a vehicle is called', async ({ page }) => {
  await page.goto(workshop.url);
  await signIn(page, 'Maren', '112358');
  await page.setViewportSize({ width: 320, height: 640 });
  const all = await addresses(page);
  await page.goto(`${workshop.url}/vehicle/new`);
  await page.getByLabel('Fleet code').fill('W'.repeat(20));
  await page.getByLabel('Plate', { exact: true }).fill('\u202eABC \u200f123');
  await page.getByLabel('Make', { exact: true }).fill('Donaudampfschifffahrtsgesellschaftswagen');
  await page.getByLabel('Model', { exact: true }).fill('M'.repeat(60));
  await page.getByLabel('Use', { exact: true }).fill('carries things '.repeat(5));
  await page.getByLabel('Year', { exact: true }).fill('2020');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Never inspected')).toBeVisible();
  const strange = new URL(page.url()).pathname;
  const found: Record<string, string[]> = {};
  const paths = [
    ...Object.values(VIEWS).map((address) => address(all)),
    ...['', '/wear', '/life', '/spec', '/arrive'].map((one) => `${strange}${one}`),
  ];
  for (const path of paths) {
    await page.goto(workshop.url + path);
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    const out = await stickingOut(page);
    if (out.length > 0) found[path] = out;
  }
  expect(found).toEqual({});
});
