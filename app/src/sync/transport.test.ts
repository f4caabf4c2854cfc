/** @jest-environment node */
import { createTransport, ServerFailed, ServerProblem, Unreachable } from './transport';

const problem = (status: number) => JSON.stringify({ type: 't', title: 't', status, code: 'c' });

function answering(body: string, status: number, headers: Record<string, string> = {}) {
  const heard: number[] = [];
  const asked: { path: string; init: RequestInit }[] = [];
  const transport = createTransport({
    fetch: (path, init) => {
      asked.push({ path, init });
      return Promise.resolve(new Response(body, { status, headers }));
    },
    heardServer: (at) => heard.push(at),
  });
  return { ...transport, heard, asked };
}

test.each([
  ['what the server refuses', problem(409), 409, ServerProblem],
  ['what the server fails at', problem(500), 500, ServerFailed],
  ['a gateway’s own page', '<html>Bad gateway</html>', 502, Unreachable],
])('%s is told apart', async (_, body, status, kind) => {
  const error = await answering(body, status)
    .call('yard')
    .catch((thrown: unknown) => thrown);
  expect(error).toBeInstanceOf(kind);
  // What nobody decided about may be tried again; a refusal may not.
  expect(error instanceof Unreachable).toBe(kind !== ServerProblem);
});

test('an address is filled and escaped, and the server’s time is heard', async () => {
  const { call, heard, asked } = answering('{}', 200, { date: 'Mon, 01 Jun 2026 08:00:00 GMT' });
  await call('life', { params: { id: 'a/b' } });
  expect(asked[0]?.path).toBe('/api/vehicles/a%2Fb/life');
  expect(asked[0]?.init).toMatchObject({ method: 'GET', credentials: 'same-origin' });
  expect(heard).toEqual([Date.parse('2026-06-01T08:00:00Z')]);
});

test('a photo goes as its bytes, of a kind even where the browser tells none', async () => {
  const { sendPhoto, asked } = answering('{}', 201);
  await sendPhoto('p1', new Blob(['x']));
  expect(asked[0]).toMatchObject({
    path: '/api/photos/p1',
    init: { method: 'POST', headers: { 'content-type': 'application/octet-stream' } },
  });
});

describe('a report as a file', () => {
  const style = { language: 'de', wording: 'keeper', size: 'LETTER' } as const;

  test('is asked for as it was chosen, and comes as its bytes', async () => {
    const { fetchPdf, asked } = answering('%PDF-1.7', 200, { 'content-type': 'application/pdf' });
    const blob = await fetchPdf('visit', style);
    expect(await blob.text()).toBe('%PDF-1.7');
    const { pathname, searchParams } = new URL(asked[0]?.path ?? '', 'http://bay');
    expect(pathname).toBe('/api/inspections/visit/report.pdf');
    expect(Object.fromEntries(searchParams)).toEqual(style);
  });

  test.each([
    ['refused', problem(404), 404, ServerProblem],
    ['failed at', problem(500), 500, ServerFailed],
    ['answered by a gateway', '<html>', 502, Unreachable],
  ])('that is %s is no file', async (_, body, status, kind) => {
    await expect(answering(body, status).fetchPdf('visit', style)).rejects.toBeInstanceOf(kind);
  });
});
