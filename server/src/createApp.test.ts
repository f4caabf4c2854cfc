import fs from 'node:fs/promises';
import path from 'node:path';
import { bareFolder, startWorkshop, type TestWorkshop } from './tests/workshop';

let folder: string;
let workshop: TestWorkshop;

beforeAll(async () => {
  folder = await bareFolder();
  await fs.writeFile(path.join(folder, 'index.html'), '<title>The app</title>');
  await fs.writeFile(path.join(folder, 'part.js'), 'part();');
  workshop = await startWorkshop({ appFolder: folder });
});
afterAll(async () => {
  await workshop.stop();
  await fs.rm(folder, { recursive: true, force: true });
});

const ask = (url: string, accept: string) => workshop.client.send('GET', url, undefined, { accept });
const BROWSER = 'text/html,application/xhtml+xml,*/*;q=0.8';

test.each(['/', '/fleet', '/vehicle/7/wear', '/vehicle/7/trend/tyre.tread%401L%3Acentre'])(
  'a browser that opens %s gets the app, before any service worker',
  async (url) => {
    const answer = await ask(url, BROWSER);
    expect(answer.status).toBe(200);
    expect(answer.body).toContain('The app');
    expect(answer.headers.get('Cache-Control')).toBe('no-cache');
  },
);

test('a file is given as what it is, and one that is not there is not the app', async () => {
  expect((await ask('/part.js', '*/*')).body).toBe('part();');
  const gone = await ask('/part.old.js', '*/*');
  expect(gone.status).toBe(404);
  expect(gone.body.code).toBe('not-found');
});

test('an endpoint that is not there is no page, whoever asks', async () => {
  expect((await ask('/api/nothing.here', BROWSER)).status).toBe(404);
});
