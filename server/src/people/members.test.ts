import { Client, startWorkshop, type TestWorkshop } from '../tests/workshop';

let workshop: TestWorkshop;
beforeAll(async () => {
  workshop = await startWorkshop({ signInTries: 500 });
  await workshop.client.setUp(workshop.context.setupCode);
});
afterAll(() => workshop.stop());

const fresh = () => new Client(workshop.client.base);

describe('people who come and go', () => {
  const SECRET = '975310';
  let lead: Client;
  let person: { id: string; name: string };
  const signIn = (client: Client, body: Record<string, string>) => client.send('POST', '/api/session', body);
  const change = (id: string, body: object) => lead.send('POST', `/api/people/${id}`, body);
  const signedIn = async () => {
    const client = fresh();
    expect(await signIn(client, { name: person.name, secret: SECRET })).toMatchObject({ status: 200 });
    return client;
  };
  let count = 0;
  beforeEach(async () => {
    lead = workshop.client;
    count += 1;
    const body = { name: `Nell ${count}`, secret: SECRET, role: 'inspector' };
    person = (await lead.send('POST', '/api/people', body)).body as typeof person;
  });

  test('one’s own secret is changed by who knows the old one, and every other device has to sign in again', async () => {
    const [phone, desk] = [await signedIn(), await signedIn()];
    const own = (secret: string, given = '864202') =>
      phone.send('POST', '/api/session/secret', { secret, fresh: given });
    expect(await own('wrong-one')).toMatchObject({ status: 403, body: { code: 'wrong-own-secret' } });
    expect(await own(SECRET, '123')).toMatchObject({ status: 400 });
    expect(await own(SECRET)).toMatchObject({ status: 200 });
    expect(await phone.get('/api/session')).toMatchObject({ status: 200 });
    expect(await desk.get('/api/session')).toMatchObject({ status: 401 });
    expect(await signIn(fresh(), { name: person.name, secret: SECRET })).toMatchObject({ status: 401 });
    expect(await signIn(fresh(), { name: person.name, secret: '864202' })).toMatchObject({ status: 200 });
  });

  test('when a person last looked is known on every device of theirs, and of nobody else', async () => {
    const [phone, desk] = [await signedIn(), await signedIn()];
    const look = async (client: Client) => {
      const { status, body } = await client.send('POST', '/api/session/looked', {});
      expect(status).toBe(200);
      return (body as { before: string | null }).before;
    };
    expect(await look(phone)).toBeNull();
    const before = await look(desk);
    expect(Math.abs(Date.parse(before ?? '') - Date.now())).toBeLessThan(600_000);
    expect(Date.parse((await look(phone)) ?? '')).toBeGreaterThanOrEqual(Date.parse(before ?? ''));
    expect(await fresh().send('POST', '/api/session/looked', {})).toMatchObject({ status: 401 });
    const other = await lead.send('POST', '/api/people', { name: `Other ${count}`, secret: SECRET, role: 'inspector' });
    expect(other).toMatchObject({ status: 200 });
    const theirs = fresh();
    await signIn(theirs, { name: `Other ${count}`, secret: SECRET });
    expect(await look(theirs)).toBeNull();
  });

  test('a code of a lead lets in once, to choose one’s own; the old secret and sessions are worth nothing from then on', async () => {
    const phone = await signedIn();
    const { code, until } = (await lead.send('POST', `/api/people/${person.id}/once`, {})).body as Record<
      string,
      string
    >;
    expect(Date.parse(until ?? '')).toBeGreaterThan(Date.now());
    expect(await phone.get('/api/session')).toMatchObject({ status: 401 });
    const enter = (body: Record<string, string>) => signIn(fresh(), { name: person.name, ...body });
    expect(await enter({ secret: SECRET })).toMatchObject({ status: 401 });
    expect(await enter({ secret: code ?? '' })).toMatchObject({ status: 409, body: { code: 'choose-secret' } });
    expect(await enter({ secret: code ?? '', fresh: code ?? '' })).toMatchObject({ status: 409 });
    expect(await enter({ secret: ` ${code?.toLowerCase()} `, fresh: '864202' })).toMatchObject({ status: 200 });
    expect(await enter({ secret: code ?? '', fresh: '111111' })).toMatchObject({ status: 401 });
    expect(await enter({ secret: '864202' })).toMatchObject({ status: 200 });
    expect(await phone.send('POST', `/api/people/${person.id}/once`, {})).toMatchObject({ status: 401 });
  });

  test.each(['suspended', 'gone'])(
    'who is %s is signed out everywhere and comes in no more, until let in again',
    async (state) => {
      const phone = await signedIn();
      expect(await change(person.id, { state })).toMatchObject({ status: 200, body: { state, role: 'inspector' } });
      expect(await phone.get('/api/session')).toMatchObject({ status: 401 });
      expect(await signIn(fresh(), { name: person.name, secret: SECRET })).toMatchObject({ status: 401 });
      expect((await lead.get('/api/people')).body).toContainEqual(expect.objectContaining({ id: person.id, state }));
      expect(await change(person.id, { state: 'here' })).toMatchObject({ status: 200 });
      await signedIn();
    },
  );

  test('the last lead who is here stays one; another can take over', async () => {
    const all = (await lead.get('/api/people')).body as { id: string; role: string }[];
    const [maren] = all.filter(({ role }) => role === 'lead');
    for (const body of [{ role: 'inspector' }, { state: 'suspended' }, { state: 'gone' }])
      expect(await change(maren?.id ?? '', body)).toMatchObject({ status: 409, body: { code: 'last-lead' } });
    expect(await change(person.id, { role: 'lead' })).toMatchObject({ status: 200, body: { role: 'lead' } });
    // Of two at the same moment one stays.
    const second = await signedIn();
    const both = await Promise.all([
      change(maren?.id ?? '', { role: 'inspector' }),
      second.send('POST', `/api/people/${person.id}`, { role: 'inspector' }),
    ]);
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
    // Whoever stayed brings the other back.
    for (const client of [lead, second]) {
      await signIn(client, {
        name: client === lead ? 'Maren' : person.name,
        secret: client === lead ? '112358' : SECRET,
      });
      await client.send('POST', `/api/people/${maren?.id}`, { role: 'lead' });
    }
    await signIn(lead, { name: 'Maren', secret: '112358' });
    expect(await change(person.id, { role: 'inspector' })).toMatchObject({ status: 200 });
  });

  test('devices are seen and ended: one’s own by everybody, all by a lead', async () => {
    const [phone, desk] = [await signedIn(), await signedIn()];
    const own = (await phone.get('/api/sessions')).body as { id: string; here: boolean; personId: string }[];
    expect(own.map(({ here }) => here).sort()).toEqual([false, true]);
    expect(new Set(own.map(({ personId }) => personId))).toEqual(new Set([person.id]));
    expect(JSON.stringify(own)).not.toContain(phone.cookie.split('=')[1]);
    const all = (await lead.get('/api/sessions')).body as typeof own;
    const leads = all.find(({ here }) => here);
    expect(all.length).toBeGreaterThan(own.length);
    expect(await phone.send('DELETE', `/api/sessions/${leads?.id}`)).toMatchObject({ status: 404 });
    const other = own.find(({ here }) => !here);
    expect(await phone.send('DELETE', `/api/sessions/${other?.id}`)).toMatchObject({ status: 200 });
    expect(await desk.get('/api/session')).toMatchObject({ status: 401 });
    const mine = own.find(({ here }) => here);
    expect(await lead.send('DELETE', `/api/sessions/${mine?.id}`)).toMatchObject({ status: 200 });
    expect(await phone.get('/api/session')).toMatchObject({ status: 401 });
  });

  test('nobody is changed whom nobody knows', async () => {
    const nobody = '00000000-0000-4000-8000-0000000000ff';
    expect(await change(nobody, { state: 'gone' })).toMatchObject({ status: 404 });
    expect(await lead.send('POST', `/api/people/${nobody}/once`, {})).toMatchObject({ status: 404 });
    expect(await change(person.id, { state: 'asleep' })).toMatchObject({ status: 400 });
  });
});
