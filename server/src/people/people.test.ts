import { routes, type Role, type RouteName } from '@open-larder/contract';
import { ACCESS } from '@open-larder/contract/paths';
import { v7 as uuidv7 } from 'uuid';
import { sampleFeeding, sampleMoment, sampleTank, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { dropExpired } from './store';

const PASSWORD = 'a heron at the weir';
const OTHER = 'two newts in a bucket';
const DAY_MS = 86_400_000;
type Browser = ReturnType<TestServer['browser']>;

let server: TestServer;
const start = async () => {
  server = await startTestServer({ people: true });
};
afterEach(() => server.close());

const begin = async (name = 'Wren', browser = server.browser()) => {
  const { body } = await browser
    .post('/api/first-owner')
    .send({ name, email: `${name}@larder.test`, password: PASSWORD })
    .expect(201);
  return { browser, codes: body.codes as string[], me: body.me };
};
const signIn = async (who: string, password = PASSWORD, browser = server.browser()) => {
  await browser.post('/api/sign-in').send({ who, password }).expect(201);
  return browser;
};
const invite = async (owner: Browser, role: Role, days = 7): Promise<string> =>
  (await owner.post('/api/invitations').send({ role, days }).expect(201)).body.code;
const accept = (browser: Browser, code: string, name?: string) =>
  browser
    .post('/api/invitations/acceptance')
    .send({ code, person: name ? { name, password: OTHER } : null });
const comeAs = async (owner: Browser, role: Role, name: string): Promise<Browser> => {
  const browser = server.browser();
  await accept(browser, await invite(owner, role), name).expect(201);
  return browser;
};
const later = (ms: number) => {
  server.clock.at = new Date(server.clock.at.getTime() + ms);
};

describe('the first visit', () => {
  beforeEach(start);

  it('makes the owner of the household that is there, and of all that is in it', async () => {
    const moment = { ...sampleMoment(), version: 1, archived: false };
    await server.scope('ours').insert('moments', [moment]);
    const stranger = server.browser();
    const { body } = await stranger.get('/api/me').expect(200);
    expect(body).toMatchObject({ signedIn: 'no', firstVisit: true, household: null });
    await stranger.get('/api/tanks').expect(401);
    const { browser, codes, me } = await begin();
    expect(me).toMatchObject({
      signedIn: 'yes',
      firstVisit: false,
      person: { name: 'Wren' },
      household: { name: 'ours', role: 'owner' },
    });
    expect(new Set(codes).size).toBe(8);
    const { body: moments } = await browser.get('/api/moments').expect(200);
    expect(moments.items.map(({ id }: { id: string }) => id)).toEqual([moment.id]);
  });

  it('happens once, also for two who come at the same time', async () => {
    const both = await Promise.all(
      ['Wren', 'Finch'].map((name) =>
        server.browser().post('/api/first-owner').send({ name, password: PASSWORD }),
      ),
    );
    expect(both.map(({ status }) => status).sort()).toEqual([201, 409]);
    const { body } = await server.browser().get('/api/me');
    expect(body.firstVisit).toBe(false);
  });

  it('refuses a password that is tried first, and a name that is an address', async () => {
    const tried = async (person: object) =>
      (await server.browser().post('/api/first-owner').send(person).expect(422)).body.detail;
    expect(await tried({ name: 'Wren', password: 'password123' })).toMatch(/every list/);
    expect(await tried({ name: 'Wrenlet', password: 'wrenlet22' })).toMatch(/close to your name/);
    expect(await tried({ name: 'Wren', password: 'short' })).toMatch(/at least 8 letters/);
    expect(await tried({ name: 'w@larder.test', password: PASSWORD })).toMatch(/its own field/);
  });
});

it('asks a first owner who is somewhere else for the code that was printed', async () => {
  server = await startTestServer({
    people: true,
    setUpCode: 'KEEP-7421',
    reach: { names: ['larder.test'], secure: true, proxy: 'loopback' },
  });
  const from = server
    .browser()
    .set('Host', 'larder.test')
    .set('X-Forwarded-For', '192.0.2.7')
    .set('X-Forwarded-Proto', 'https');
  const person = { name: 'Wren', password: PASSWORD };
  await from.post('/api/first-owner').send(person).expect(422);
  await from
    .post('/api/first-owner')
    .send({ ...person, setUpCode: 'KEEP-0000' })
    .expect(422);
  const made = await from
    .post('/api/first-owner')
    .send({ ...person, setUpCode: 'keep-7421' })
    .expect(201);
  // Over TLS the cookie is bound to the host, and out of reach of scripts and other sites.
  const [cookie] = made.get('Set-Cookie')!;
  expect(cookie).toMatch(/^__Host-larder=/);
  for (const flag of ['Path=/', 'HttpOnly', 'Secure', 'SameSite=Strict']) {
    expect(cookie).toContain(flag);
  }
  expect(made.get('Strict-Transport-Security')).toMatch(/max-age=15552000/);
});

describe('signing in', () => {
  beforeEach(start);

  it('goes by name or e-mail, and shows by nothing which names there are', async () => {
    await begin();
    for (const who of ['Wren', 'wren ', 'WREN@larder.test']) await signIn(who);
    const wrong = await server
      .browser()
      .post('/api/sign-in')
      .send({ who: 'Wren', password: OTHER });
    const unknown = await server
      .browser()
      .post('/api/sign-in')
      .send({ who: 'Rook', password: OTHER });
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
  });

  it('waits longer with every wrong try, also for a name that there is not', async () => {
    await begin();
    for (const who of ['Wren', 'Rook']) {
      const tries = [];
      for (let at = 0; at < 7; at += 1) {
        tries.push(await server.browser().post('/api/sign-in').send({ who, password: OTHER }));
      }
      expect(tries.map(({ status }) => status)).toEqual([401, 401, 401, 401, 401, 429, 429]);
      expect(Number(tries[5]!.get('Retry-After'))).toBeGreaterThan(0);
      expect(tries[5]!.body.detail).toMatch(/^That was wrong several times\. Wait \d seconds/);
    }
    // The right one waits too: otherwise a wait would tell that it was right.
    await server
      .browser()
      .post('/api/sign-in')
      .send({ who: 'Wren', password: PASSWORD })
      .expect(429);
  });

  it('gives a new session each time, and keeps no password and no cookie in the database', async () => {
    const { browser } = await begin();
    const cookieOf = async () =>
      (await browser.post('/api/sign-in').send({ who: 'Wren', password: PASSWORD })).get(
        'Set-Cookie',
      )![0];
    expect(await cookieOf()).not.toBe(await cookieOf());
    const kept = JSON.stringify(
      await server.people.registry.rows(
        'SELECT p.password_hash, s.sess::text AS sess FROM people p, sessions s',
      ),
    );
    expect(kept).not.toContain(PASSWORD);
    expect(kept).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
  });

  it('ends on a device when it is signed out there, here, or by time', async () => {
    const { browser: here } = await begin();
    const phone = await signIn(
      'Wren',
      PASSWORD,
      server.browser().set('User-Agent', 'Mozilla Mobile'),
    );
    const { body } = await here.get('/api/me/devices').expect(200);
    expect(body.devices).toHaveLength(2);
    const there = body.devices.find((one: { here: boolean }) => !one.here);
    expect(there.name).toBe('Phone');
    await phone.get('/api/tanks').expect(200);
    const left = await here.post(`/api/me/devices/${there.id}/sign-out`).expect(201);
    expect(left.body.devices).toHaveLength(1);
    await phone.get('/api/tanks').expect(401);
    await here.post(`/api/me/devices/${there.id}/sign-out`).expect(404);
    later(366 * DAY_MS);
    await here.get('/api/tanks').expect(401);
    await signIn('Wren', PASSWORD, here);
    expect((await here.post('/api/sign-out').expect(201)).body.signedIn).toBe('no');
    await here.get('/api/tanks').expect(401);
  });

  it('with a new password ends everywhere else', async () => {
    const { browser } = await begin();
    const phone = await signIn('Wren');
    const change = (current: string, password: string) =>
      browser.put('/api/me/password').send({ current, password });
    expect((await change(OTHER, OTHER).expect(422)).body.detail).toBe('this is not your password');
    await change(PASSWORD, OTHER).expect(200);
    await browser.get('/api/tanks').expect(200);
    await phone.get('/api/tanks').expect(401);
    await signIn('Wren', OTHER);
  });

  it('works once with each code where the password is lost', async () => {
    const { codes, browser } = await begin();
    const recover = (code: string, password = OTHER, who = 'Wren') =>
      server.browser().post('/api/recovery').send({ who, code, password });
    await recover('AAAA-BBBB-CCCC-DDDD-EEEE-FFFF').expect(401);
    await recover(codes[0]!, OTHER, 'Rook').expect(401);
    // A password that is refused uses no code up.
    await recover(codes[0]!, 'password123').expect(422);
    await recover(codes[0]!.toLowerCase().replaceAll('-', ' ')).expect(201);
    await browser.get('/api/tanks').expect(401);
    await recover(codes[0]!).expect(401);
    const again = await signIn('Wren', OTHER);
    const { body } = await again.post('/api/me/codes').send({ password: OTHER }).expect(201);
    expect(body.codes).not.toContain(codes[1]);
    await recover(codes[1]!).expect(401);
    await recover(body.codes[1]).expect(201);
  });

  it('on another device of one’s own takes a link, once, for two minutes', async () => {
    const { browser } = await begin();
    const make = async () => (await browser.post('/api/me/pairings').expect(201)).body.code;
    const use = (code: string, phone = server.browser()) =>
      phone.post('/api/pairings/use').send({ code });
    const code = await make();
    const phone = server.browser();
    expect((await use(code, phone).expect(201)).body.person.name).toBe('Wren');
    await phone.get('/api/tanks').expect(200);
    await use(code).expect(410);
    const late = await make();
    later(121_000);
    expect((await use(late).expect(410)).body.detail).toMatch(/^This link is used up/);
    await use('not a code').expect(422);
    await dropExpired(server.people.registry, server.clock.at);
    expect(await server.people.registry.rows('SELECT digest FROM pairings')).toEqual([]);
  });
});

describe('a household of several', () => {
  beforeEach(start);

  it('is joined by a link, once, before it expires or is withdrawn', async () => {
    const { browser: owner } = await begin();
    const code = await invite(owner, 'feeder');
    const seen = await server.browser().post('/api/invitations/look').send({ code }).expect(201);
    expect(seen.body).toMatchObject({ household: 'ours', role: 'feeder', invitedBy: 'Wren' });
    await accept(server.browser(), code, 'wren').expect(422);
    const { body } = await accept(server.browser(), code, 'Finch').expect(201);
    expect(body.codes).toHaveLength(8);
    expect(body.me.household.role).toBe('feeder');
    await accept(server.browser(), code, 'Rook').expect(410);
    const old = await invite(owner, 'guest', 1);
    later(DAY_MS + 1);
    await accept(server.browser(), old, 'Rook').expect(410);
    await invite(owner, 'guest');
    const { body: open } = await owner.get('/api/invitations').expect(200);
    expect(open.invitations).toHaveLength(1);
    expect(JSON.stringify(open)).not.toContain('code');
    const last = await invite(owner, 'guest');
    const [, { id }] = (await owner.get('/api/invitations')).body.invitations;
    const [{ id: first }] = open.invitations;
    for (const one of [id, first])
      await owner.post(`/api/invitations/${one}/withdrawal`).expect(201);
    await accept(server.browser(), last, 'Rook').expect(410);
  });

  it('is one of several for a person, who sees one at a time', async () => {
    const { browser: owner } = await begin();
    await owner
      .post('/api/tanks')
      .send(sampleTank({ name: 'Ours alone' }))
      .expect(201);
    const feeder = await comeAs(owner, 'feeder', 'Finch');
    const { body: me } = await feeder.post('/api/households').send({ name: 'Loft' }).expect(201);
    expect(me.household).toMatchObject({ name: 'Loft', role: 'owner' });
    expect((await feeder.get('/api/tanks')).body.items).toEqual([]);
    expect((await feeder.get('/api/moments')).body.items).toEqual([]);
    await accept(owner, await invite(feeder, 'guest')).expect(201);
    expect((await owner.get('/api/me')).body.household.name).toBe('Loft');
    await owner.post('/api/tanks').send(sampleTank()).expect(403);
    await accept(owner, await invite(feeder, 'guest')).expect(409);
    await owner.put('/api/me/household').send({ id: server.ids.ours }).expect(200);
    expect((await owner.get('/api/tanks')).body.items).toHaveLength(1);
    await owner.put('/api/me/household').send({ id: server.ids.theirs }).expect(404);
    await owner.put('/api/me/household').send({ id: uuidv7() }).expect(404);
  });

  it('always keeps an owner, and whoever leaves may begin anew', async () => {
    const { browser: owner, me } = await begin();
    const leave = (who: Browser) => who.post('/api/me/leaving');
    expect((await leave(owner).expect(409)).body.detail).toMatch(/^Wren is the only person here/);
    const second = await comeAs(owner, 'keeper', 'Finch');
    expect((await leave(owner).expect(409)).body.detail).toBe(
      'Wren is the only owner. Make someone else an owner first.',
    );
    const { body } = await owner.get('/api/people').expect(200);
    const finch = body.people.find((one: { name: string }) => one.name === 'Finch');
    await second.put(`/api/people/${finch.id}/role`).send({ role: 'owner' }).expect(403);
    await owner.put(`/api/people/${finch.id}/role`).send({ role: 'owner' }).expect(200);
    await owner.post(`/api/people/${me.person.id}/removal`).expect(403);
    const left = await leave(owner).expect(201);
    expect(left.body).toMatchObject({ signedIn: 'yes', household: null, households: [] });
    expect((await owner.get('/api/tanks').expect(403)).body.detail).toMatch(/no household/);
    await second.put(`/api/people/${finch.id}/role`).send({ role: 'guest' }).expect(409);
    await owner.post('/api/households').send({ name: 'Shed' }).expect(201);
    await owner.get('/api/tanks').expect(200);
    // One who is taken out is out at once, where they are signed in already.
    const guest = await comeAs(second, 'guest', 'Rook');
    await guest.get('/api/tanks').expect(200);
    const rook = (await second.get('/api/people')).body.people.find(
      (one: { name: string }) => one.name === 'Rook',
    );
    await second.post(`/api/people/${rook.id}/removal`).expect(201);
    await guest.get('/api/tanks').expect(403);
  });

  it('knows who did it by who is signed in, whatever is sent', async () => {
    const { browser: owner } = await begin();
    const house = await smallHouse(server, 'ours', undefined, owner);
    const feeder = await comeAs(owner, 'feeder', 'Finch');
    const feeding = { ...sampleFeeding(house), hand: 'Another name' };
    await feeder.post('/api/feedings').send(feeding).expect(201);
    const { body } = await owner.get('/api/feedings?day=2026-03-10').expect(200);
    expect(body.items.map((one: { hand: string }) => one.hand)).toEqual(['Finch']);
  });
});

describe('every route', () => {
  const names = Object.keys(routes) as RouteName[];
  const addressOf = (name: RouteName) =>
    routes[name].path
      .replace(':day', '2026-03-10')
      .replace(':table', 'tanks')
      .replace(':log', 'feedings')
      .replace(/:\w+/g, uuidv7());
  const ask = (browser: Browser, name: RouteName) =>
    browser[routes[name].method](addressOf(name)).send({});

  it('is closed to strangers and to a session that was ended, unless it is for anyone', async () => {
    await start();
    const { browser: owner } = await begin();
    const ended = await signIn('Wren');
    const { body } = await owner.get('/api/me/devices');
    const { id } = body.devices.find((one: { here: boolean }) => !one.here);
    await owner.post(`/api/me/devices/${id}/sign-out`).expect(201);
    for (const name of names.filter((one) => routes[one].access !== 'anyone')) {
      for (const browser of [server.browser(), ended]) {
        const { status } = await ask(browser, name);
        expect({ name, status }).toEqual({ name, status: 401 });
      }
    }
  });

  it.each(ACCESS.slice(2) as Role[])(
    'is open to a %s as the table says, and no further',
    async (role) => {
      server = await startTestServer();
      for (const name of names.filter((one) => ACCESS.indexOf(routes[one].access) > 1)) {
        const { status } = await ask(server.as('ours', role), name);
        const may = ACCESS.indexOf(role) >= ACCESS.indexOf(routes[name].access);
        expect({ name, refused: status === 403 }).toEqual({ name, refused: !may });
      }
    },
  );

  it('that writes is closed to a page of another site', async () => {
    await start();
    const { browser } = await begin();
    const from = (headers: Record<string, string>) =>
      browser.post('/api/tanks').set(headers).send(sampleTank());
    await from({ 'Sec-Fetch-Site': 'cross-site' }).expect(403);
    await from({ 'Sec-Fetch-Site': 'same-site' }).expect(403);
    await from({ Origin: 'http://evil.example' }).expect(403);
    await from({ Origin: 'null' }).expect(403);
    await from({ 'Sec-Fetch-Site': 'same-origin', Origin: 'http://localhost' }).expect(201);
    expect((await browser.get('/api/tanks')).body.items).toHaveLength(1);
  });
});
