import { expect, test, type Page } from '@playwright/test';
import { beginVisit, fingerOn, expectAccessible, jump, readTread, signIn, type } from './walk';
import { Workshop } from './workshop';

let workshop: Workshop;
let page: Page;
test.beforeAll(async ({ browser }) => {
  workshop = await Workshop.start({ demo: true });
  page = await (await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true })).newPage();
  await page.goto(workshop.url);
  await signIn(page, 'Isla', '246810');
  await beginVisit(page, 'FH 11', { meter: '41100', state: 'Warm', stood: '3', template: 'Full', ambient: '9' });
});
test.afterAll(() => workshop.remove());

const card = (text: string | RegExp) => expect(page.getByText(text).first());
const more = () => page.getByRole('button', { name: 'More for this point' }).click();

test('tread by the wear bars is a bound: it does not pass until a gauge tells', async () => {
  await jump(page, 'tread nearside front');
  await page.getByRole('button', { name: 'By the wear bars' }).click();
  await page.getByRole('radio', { name: 'Clear of the bar everywhere' }).click();
  await card(/More than 1\.6 mm: whether it is under 3\.0 \(advisory\) a gauge must tell/).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('radiogroup', { name: 'Inner' }).getByRole('radio', { name: 'Flush' }).click();
  await card(/Inner at most 1\.6 mm: measure it/).toBeVisible();
  await card('Fail').toBeVisible();
  await page.getByRole('button', { name: 'By the gauge' }).click();
  await readTread(page, 'nearside front', ['5', '5,2', '6/32']);
  await card('Pass').toBeVisible();
  // A line that cannot be read says so and stays.
  const line = page.getByRole('textbox', { name: 'Tread on one line, nearside front' });
  await line.fill('5 x 4');
  await line.press('Enter');
  await card('“x” was not understood.').toBeVisible();
  await expect(line).toHaveValue('5 x 4');
});

test('a figure typed in the same moment as the tap keeps its first digit, and a later tap selects what stands', async () => {
  await jump(page, 'charging voltage');
  const field = page.getByRole('textbox', { name: 'Charging voltage, typed' });
  await field.evaluate((input: HTMLInputElement) => {
    input.focus();
    document.execCommand('insertText', false, '1');
  });
  await page.keyboard.type('4.2');
  await expect(field).toHaveValue('14.2');
  await page.keyboard.press('Enter');
  await card(/14\.20 V/).toBeVisible();
  await field.blur();
  await field.click();
  await page.keyboard.type('13.9');
  await page.keyboard.press('Enter');
  await card(/13\.90 V/).toBeVisible();
  // Emptied and left it is no reading any more.
  await field.fill('');
  await field.press('Enter');
  await card('Not looked at yet.').toBeVisible();
  await expect(field).toHaveValue('');
});

test('a warm tyre is judged once its own temperature is read', async () => {
  await jump(page, 'tyre pressure nearside front');
  await type(page, 'Tyre pressure, nearside front', '2.5 bar');
  await card('Recorded').toBeVisible();
  await card(/It did not stand cold: read the tyre’s temperature/).toBeVisible();
  await page.getByRole('button', { name: 'Temperature…' }).click();
  await type(page, 'Tyre pressure, nearside front: temperature', '86F');
  await card(/at 20 °C, as the placard/).toBeVisible();
  await card('Pass').toBeVisible();
});

test('a brake: disc between the pads with its minimum, lip and run-out', async () => {
  await jump(page, 'outer pad offside rear');
  await type(page, 'Disc, offside rear: thickness', '19.8');
  await card('Disc: Fail').toBeVisible();
  await card('0.2 mm under the stamped minimum.').toBeVisible();
  await type(page, 'Disc, offside rear: lip', '1.1');
  await page.getByRole('button', { name: 'Run-out…' }).click();
  await type(page, 'Disc, offside rear: run-out', '0.05');
  await page.getByRole('textbox', { name: 'Both pads on one line, offside rear' }).fill('9 2.5');
  await page.keyboard.press('Enter');
  await card(/Very far from the other pad/).toBeVisible();
  await page.getByRole('button', { name: 'It is right, keep it' }).first().click();
  // The disc is the worst; the pads stand behind it.
  await card('Disc: Fail').toBeVisible();
  await page.getByRole('button', { name: 'Why, and by which limit' }).click();
  await card('Inner pad: Advisory').toBeVisible();
  await expectAccessible(page);
});

test('coolant by share or by freeze point; brake fluid by percent, band or boiling point', async () => {
  await jump(page, 'coolant strength');
  await type(page, 'Coolant strength: share of glycol', '35');
  await card(/Freezes at −20 °C by its mixture; the lowest to expect is −25 °C/).toBeVisible();
  await card('Fail').toBeVisible();
  await jump(page, 'water in brake fluid');
  await page.getByRole('radio', { name: 'Boiling point' }).click();
  await type(page, 'Water in brake fluid: boiling point', '170');
  await card(/170 °C is under 180 \(law\)/).toBeVisible();
  await page.getByRole('radio', { name: 'Band of the tester' }).click();
  await page.getByRole('radio', { name: 'High' }).click();
  await card('Fail').toBeVisible();
});

test('a battery: standard beside the current, charge beside the voltage', async () => {
  await jump(page, 'battery at rest');
  await type(page, 'Battery at rest', '12.45');
  await card(/About 75 % charged/).toBeVisible();
  await jump(page, 'cranking current');
  await type(page, 'Cranking current', '450');
  await card(/measured by another test standard/).toBeVisible();
  await page.getByRole('radio', { name: 'EN', exact: true }).click();
  await card(/Rated 640 A by EN: health 70 %/).toBeVisible();
  await card('Advisory').toBeVisible();
});

test('a level on the stick tells the litres, as found and as left', async () => {
  await jump(page, 'engine oil level');
  await type(page, 'Engine oil level', '-0.1');
  await card(/Add 1\.32 L in all: 0\.99 L first/).toBeVisible();
  await page.getByRole('radio', { name: 'On the stick' }).click();
  await page.getByRole('radio', { name: 'As left, put right' }).click();
  await type(page, 'Engine oil level', '0.9');
  await card(/corrected/).toBeVisible();
  await card('Pass').toBeVisible();
});

test('play at two clock positions, lamps by lamp, fixings counted', async () => {
  await jump(page, 'rock offside front');
  await page.getByRole('radiogroup', { name: /12–6/ }).getByRole('radio', { name: 'None' }).click();
  await card(/No reading yet: 3–9/).toBeVisible();
  await page.getByRole('radiogroup', { name: /3–9/ }).getByRole('radio', { name: 'Just felt' }).click();
  await card('Advisory').toBeVisible();
  await jump(page, 'walk.lamps');
  await page.getByRole('button', { name: 'Brake: one less', exact: true }).click();
  await card('Brake: 1 of 2 lit.').toBeVisible();
  const which = page.getByRole('group', { name: 'Brake: which is out' });
  await which.getByRole('checkbox', { name: 'Offside rear' }).click();
  await card('Brake: 1 of 2 lit, out: offside rear.').toBeVisible();
  await card('Fail').toBeVisible();
  await jump(page, 'undertray');
  await page.getByRole('button', { name: 'Undertray fasteners: one less' }).click();
  await card('4 of 5.').toBeVisible();
  await jump(page, 'cabin.oillamp');
  await page.getByRole('checkbox', { name: 'It stays on' }).click();
  await card('Fail').toBeVisible();
  await expect(page.getByText(/^Stop the engine now\./)).toBeVisible();
});

test('two leaks at one point, what the second is asked from its looks, and its drops counted', async () => {
  await jump(page, 'gearbox leaks');
  await page.getByRole('radio', { name: 'Stain' }).click();
  await page.getByRole('radio', { name: 'Drain plug' }).click();
  await page.getByRole('button', { name: 'Another leak here…' }).click();
  await page.getByRole('radio', { name: 'Dripping' }).click();
  await page.getByRole('button', { name: 'What is it?' }).click();
  await page.getByRole('radiogroup', { name: 'Feel' }).getByRole('radio', { name: 'Thick, slippery' }).click();
  await page.getByRole('radiogroup', { name: 'Smell' }).getByRole('radio', { name: 'Sulphur' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Gear or axle oil: / }).click();
  await card(/Gear or axle oil, dripping/).toBeVisible();
  const drop = page.getByRole('button', { name: /^(Tap with every drop|Drop \d)$/ });
  await drop.click();
  await page.waitForTimeout(1000);
  await drop.click();
  await card(/\d+(\.\d)? drops a minute, about/).toBeVisible();
  await page.getByRole('radio', { name: 'Only when running' }).click();
  await card(/in 2 hours of dripping/).toBeVisible();
});

test('fault codes are written down before anything is cleared; a torque is told crosswise', async () => {
  await jump(page, 'cabin.codes');
  await page.getByRole('textbox', { name: 'Code', exact: true }).fill('c 0420');
  await page.getByLabel('What the reader says').fill('bank 1');
  await page.getByRole('button', { name: 'Add the code' }).click();
  await card('Code C 0420, stored.').toBeVisible();
  await jump(page, 'wheel bolts, on the ground nearside front');
  await card(/Crosswise, 60, then 120 N·m, socket 17/).toBeVisible();
  await expect(page.getByRole('img', { name: /Order of the studs.*: 1, 4, / })).toBeVisible();
  await type(page, 'Wheel bolts, on the ground, nearside front', '88.5 lb ft');
  await card('100 % of the torque of the spec sheet').toBeVisible();
  await type(page, 'Wheel bolts, on the ground, nearside front', '40');
  await card(/^33 % of the torque of the spec sheet; fail under 70 %/).toBeVisible();
});

test('one tap says sound, the rest of the station in one stroke, and one undo takes it back', async () => {
  await jump(page, 'steering hose');
  await page.getByRole('button', { name: 'Sound, and on' }).click();
  await more();
  await page.getByRole('button', { name: /^The rest of this station is sound/ }).click();
  await card(/Looked at and sound: .*What wants a measure stays open/).toBeVisible();
  const seen = page.getByRole('button', { name: /^Under the bonnet, \d+ of \d+ seen/ });
  const before = await seen.getAttribute('aria-label');
  await page.getByRole('button', { name: /^Yes, these \d+ are sound$/ }).click();
  await expect(seen).not.toHaveAttribute('aria-label', before ?? '');
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(seen).toHaveAttribute('aria-label', before ?? '');
});

test('a double tap on the way passes nothing of the step that comes up under the finger', async () => {
  await jump(page, 'charging voltage');
  const next = page.getByRole('button', { name: 'Next', exact: true });
  const box = await next.boundingBox();
  const [x, y] = [(box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2];
  const heading = page.getByRole('heading', { level: 1 });
  const before = await heading.innerText();
  await page.mouse.click(x, y);
  await page.waitForTimeout(120);
  await page.mouse.click(x, y);
  await expect(heading).not.toHaveText(before);
  const came = await heading.innerText();
  const sound = page.getByRole('button', { name: 'Sound, and on' });
  await expect(sound).toBeEnabled();
  await expect(heading).toHaveText(came);
  await expect(page.getByText('Not looked at yet.')).toBeVisible();
  await sound.click();
  await expect(heading).not.toHaveText(came);
});

test('one figure on a line is one reading: the other places stay open, and it says so', async () => {
  await jump(page, 'tread offside rear');
  const line = page.getByRole('textbox', { name: 'Tread on one line, offside rear' });
  await line.fill('5');
  await line.blur();
  await card(/^Not taken yet: 3 figures/).toBeVisible();
  await expect(line).toHaveValue('5');
  await line.press('Enter');
  await card(/^Taken for the first place, outside; 2 are still open/).toBeVisible();
  await card('No reading yet: centre, inner.').toBeVisible();
});

test('an earlier look is carried with its date, and a grade given by hand keeps the computed one', async () => {
  await jump(page, 'filter.air');
  await more();
  await page.getByRole('button', { name: /^Carry the look of/ }).click();
  await card(/carried from/).toBeVisible();
  await jump(page, 'belt.aux');
  await page.getByRole('checkbox', { name: 'Noisy' }).click();
  await more();
  await page
    .getByRole('radiogroup', { name: /^Grade by hand/ })
    .getByRole('radio', { name: 'Pass' })
    .click();
  await page.getByLabel('Why it is graded otherwise').fill('New tensioner on the bench.');
  await page.getByRole('button', { name: 'Keep this grade' }).click();
  await card('Given by hand: New tensioner on the bench. Computed advisory: Noisy.').toBeVisible();
});

test('through the viewfinder, marked with ring and text, captioned; the picture itself stays', async ({
  browserName,
}) => {
  expect(browserName).toBe('chromium');
  await page.context().grantPermissions(['camera']);
  await jump(page, 'belt.aux');
  await page.getByRole('button', { name: 'Photo', exact: true }).click();
  await page.getByRole('button', { name: /^(Viewfinder|Frame as last time)$/ }).click();
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  await page.getByRole('button', { name: 'Mark Auxiliary belt, photo 1' }).click();
  const picture = page.getByLabel(/Auxiliary belt, photo 1: tap or drag/);
  await picture.click({ position: { x: 100, y: 80 } });
  await page.getByRole('radio', { name: 'Text', exact: true }).click();
  await page.getByLabel('Text of the mark').fill('frays');
  await picture.click({ position: { x: 60, y: 150 } });
  await page.getByLabel('Caption').fill('Seen from below');
  await page.getByRole('button', { name: 'Done' }).click();
  await card('Saved and sent.').toBeVisible();
  const id = /visit\/([0-9a-f-]+)/.exec(page.url())?.[1] ?? '';
  const visit = await (await page.request.get(`${workshop.url}/api/inspections/${id}`)).json();
  const photos = visit.findings.filter((finding: { point: string }) => finding.point === 'belt.aux').at(-1).photos;
  expect(photos).toMatchObject([
    { caption: 'Seen from below', marks: [{ kind: 'ring' }, { kind: 'text', text: 'frays' }] },
  ]);
});

test('keys: next, back, a digit begins the reading, the list of keys; a swipe turns the page', async () => {
  await jump(page, 'cold.oil');
  const heading = page.getByRole('heading', { level: 1 });
  await page.keyboard.press('n');
  await expect(heading).toHaveText('Coolant level');
  await page.keyboard.press('b');
  await page.keyboard.press('7');
  await expect(page.getByRole('textbox', { name: 'Engine oil on the stick, typed' })).toBeFocused();
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'Engine oil on the stick, typed' }).fill('0.7');
  await page.keyboard.press('Enter');
  await heading.click();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('?');
  const finger = await fingerOn(page);
  await finger('touchStart', 330, 160);
  await finger('touchMove', 180, 160);
  await finger('touchEnd');
  await expect(heading).toHaveText('Coolant level');
});

test('a finger slides a tape: the value follows it, is kept once when lifted, and the page does not turn', async () => {
  await jump(page, 'tyre pressure nearside rear');
  const heading = page.getByRole('heading', { level: 1 });
  const here = await heading.textContent();
  const tape = page.getByRole('slider', { name: 'Tyre pressure, nearside rear', exact: true });
  const { x, y, width, height } = (await tape.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  const finger = await fingerOn(page);
  const reads = async () => Number(await tape.getAttribute('aria-valuenow'));
  await finger('touchStart', x + width * 0.8, y + height / 2);
  await expect(tape).toHaveAttribute('aria-valuetext', /kPa/);
  const high = await reads();
  await finger('touchMove', x + width * 0.4, y + height / 2);
  await expect.poll(reads).toBeLessThan(high);
  const low = await reads();
  await finger('touchEnd');
  await expect(page.getByRole('textbox', { name: 'Tyre pressure, nearside rear, typed' })).not.toHaveValue('');
  expect(await reads()).toBe(low);
  await expect(heading).toHaveText(here ?? '');
  await page.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(tape).toHaveAttribute('aria-valuetext', 'no reading yet');
});

test('a tap is not lost when a message pushes its button away under the finger', async () => {
  await jump(page, 'belt.aux');
  const frayed = page.getByRole('checkbox', { name: 'Frayed' });
  const before = await frayed.boundingBox();
  await page.evaluate(() =>
    document.addEventListener(
      'mousedown',
      () => {
        const message = document.createElement('div');
        message.style.height = '81px';
        document.querySelector('h1')?.parentElement?.prepend(message);
      },
      { once: true },
    ),
  );
  await page.mouse.move((before?.x ?? 0) + 20, (before?.y ?? 0) + 8);
  await page.mouse.down();
  await expect.poll(async () => (await frayed.boundingBox())?.y).toBe((before?.y ?? 0) + 81);
  await page.mouse.up();
  await expect(frayed).toHaveAttribute('aria-checked', 'true');
});
