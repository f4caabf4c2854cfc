import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export async function signIn(page: Page, name: string, pin: string): Promise<void> {
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('PIN or password').fill(pin);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** A stop of the spine, with or without what waits there. */
const orWithFigure = (name: string) => new RegExp(`^${name}(, \\d+)?$`);

/** To a place of the spine; from a vehicle it is known by its mark, to whoever listens by its name. */
export async function toPlace(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Places' })
    .getByRole('link', { name: orWithFigure(name) })
    .click();
}

/** To one's own page. */
export async function toMe(page: Page): Promise<void> {
  await page.getByRole('navigation', { name: 'You' }).getByRole('link').click();
}

/** To another page of the vehicle one is at. */
export async function toPage(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: /^Pages of / })
    .getByRole('link', { name: orWithFigure(name) })
    .click();
}

/** From the yard to a vehicle, by its line among all of them. */
export async function toVehicle(page: Page, fleetCode: string): Promise<void> {
  await page.getByRole('link', { name: new RegExp(`^${fleetCode}, `) }).click();
  await expect(page.getByRole('heading', { name: fleetCode, exact: true })).toBeVisible();
}

/** From the yard to the arrival of a vehicle. */
export async function arrive(page: Page, fleetCode: string): Promise<void> {
  await toVehicle(page, fleetCode);
  await page.getByRole('button', { name: 'Begin a visit' }).click();
}

/** Goes on with a visit that is on the lift. */
export async function goOn(page: Page, fleetCode: string): Promise<void> {
  await page.getByRole('link', { name: new RegExp(`^${fleetCode} `) }).click();
}

export async function signOut(page: Page): Promise<void> {
  await toMe(page);
  await page.getByRole('button', { name: 'Sign out' }).click();
}

export async function next(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Next', exact: true }).click();
}

/** Goes to a point by its name or code, as a hand in a hurry does. */
export async function jump(page: Page, search: string): Promise<void> {
  await page.getByRole('button', { name: 'Jump to a point' }).click();
  await page.getByLabel('Find a point').fill(search);
  await page.getByLabel('Find a point').press('Enter');
  await expect(page.getByLabel('Find a point')).toBeHidden();
}

/** Types a reading the way a gauge's figure is copied: into the field under its tape. */
export async function type(page: Page, label: string, value: string): Promise<void> {
  const field = page.getByRole('textbox', { name: `${label}, typed`, exact: true });
  await field.fill(value);
  await field.press('Enter');
}

/** Three figures on one line, outside first. */
export async function readTread(page: Page, place: string, values: readonly [string, string, string]): Promise<void> {
  const line = page.getByRole('textbox', { name: `Tread on one line, ${place}` });
  await line.fill(values.join(' '));
  await line.press('Enter');
}

/** Takes the way to the walk from the yard: meter, state, and the kind of inspection. */
export async function beginVisit(
  page: Page,
  fleetCode: string,
  given: { meter: string; state: string; stood?: string; template?: string; ambient?: string },
): Promise<void> {
  const { meter, state, stood, template, ambient } = given;
  await arrive(page, fleetCode);
  await page.getByLabel(/^(Odometer|Hour meter), /).fill(meter);
  await page.getByRole('radio', { name: state, exact: true }).click();
  if (stood) await page.getByLabel('Hours it has stood').fill(stood);
  if (template) await page.getByRole('radio', { name: template, exact: true }).click();
  if (ambient) await page.getByLabel('Ambient temperature, °C').fill(ambient);
  await page.getByRole('button', { name: 'To the cold gate' }).click();
  await page.getByRole('button', { name: /^To the walk/ }).click();
}

/** What is seen at the cold gate, each with its own control; what is left out stays open. */
export async function lookAtGate(
  page: Page,
  seen: { readonly oil?: string; readonly coolant?: string; readonly belts?: 'sound'; readonly ground?: 'dry' },
): Promise<void> {
  for (const [label, level] of [
    ['Engine oil on the stick', seen.oil],
    ['Coolant level', seen.coolant],
  ] as const)
    if (level !== undefined) await type(page, label, level);
  const group = (name: string) => page.getByRole('group', { name });
  if (seen.belts) await group('Belts on and whole?').getByRole('checkbox', { name: 'Sound' }).click();
  if (seen.ground) await group('Ground dry under it?').getByRole('checkbox', { name: 'Dry', exact: true }).click();
}

/** No fault that the accessibility checker can find on what is shown now. */
export async function expectAccessible(page: Page): Promise<void> {
  await expectNoViolation(new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']));
}

/** The one rule that the other theme may break: colours against each other. */
export async function expectReadable(page: Page): Promise<void> {
  await expectNoViolation(new AxeBuilder({ page }).withRules(['color-contrast']));
}

async function expectNoViolation(checker: AxeBuilder): Promise<void> {
  // Everything is in one frame: the page that joins the findings of several is not needed.
  const { violations } = await checker.setLegacyMode().analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`),
  ).toEqual([]);
}

/** A picture in memory, PNG, as a phone's album would hand it over. */
export async function picture(page: Page): Promise<Buffer> {
  const url = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 2400;
    canvas.height = 1600;
    const pen = canvas.getContext('2d');
    if (pen) {
      pen.fillStyle = '#555';
      pen.fillRect(0, 0, 2400, 1600);
      pen.fillStyle = '#111';
      pen.fillRect(600, 500, 900, 500);
    }
    return canvas.toDataURL('image/png');
  });
  return Buffer.from(url.split(',')[1] ?? '', 'base64');
}

export async function addPhoto(
  page: Page,
  file: string | { name: string; mimeType: string; buffer: Buffer },
): Promise<void> {
  const panel = page.getByRole('button', { name: 'Camera or album' });
  if (!(await panel.isVisible())) await page.getByRole('button', { name: 'Photo', exact: true }).click();
  const choosing = page.waitForEvent('filechooser');
  await panel.click();
  await (await choosing).setFiles(file);
}

/** One finger on the glass, as the browser gets it from a touch screen. */
export async function fingerOn(page: Page) {
  const session = await page.context().newCDPSession(page);
  return (type: 'touchStart' | 'touchMove' | 'touchEnd', x = 0, y = 0) =>
    session.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
}

/** What sticks out of the page at the right, by its words. */
export const stickingOut = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll('main *, nav *')]
      .filter((one) => {
        const { right, width } = one.getBoundingClientRect();
        return width > 1 && right > window.innerWidth + 1 && !one.closest('svg, video');
      })
      .map((one) => `${one.tagName} ${(one.textContent ?? '').slice(0, 60)}`)
      .slice(0, 5),
  );
