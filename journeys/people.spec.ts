import AxeBuilder from '@axe-core/playwright';
import type { Browser, Page } from '@playwright/test';
import { expect, openStop, test as base } from './product';
import { beginning, dropDatabase, makeDatabase, NOW, serverOver, type Server } from './server';

const PASSWORD = 'a heron at the weir';

/** The demo household on a server where people sign in, with no owner yet. */
const test = base.extend<{ shared: Server }>({
  shared: async ({ page: _ }, use, info) => {
    const name = `j_people_${info.project.name}_${info.workerIndex}`;
    await makeDatabase(name, beginning('demo'));
    const server = await serverOver(name, 'demo', {
      signIn: 'people',
      env: { OPEN_LARDER_ADDRESS: 'https://fishroom.local:4310' },
    });
    await server.start(NOW);
    await use(server);
    await server.end('SIGTERM');
    await dropDatabase(name);
  },
});

const places = (page: Page) => page.getByRole('navigation', { name: 'Places' });

/** Another device: it shares nothing with the first. */
async function anotherDevice(browser: Browser): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  await context.clock.setFixedTime(NOW);
  return context.newPage();
}

async function newcomer(page: Page, name: string, password: string): Promise<void> {
  await page.getByLabel('Your name here').fill(name);
  await page.getByLabel('Password', { exact: true }).fill(password);
}

async function begin(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await newcomer(page, 'Wren', PASSWORD);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'I have them' }).click();
  await expect(places(page)).toBeVisible();
}

test('the first to come owns the house, and a second device is signed in by a code', async ({
  page,
  browser,
  shared,
}) => {
  await page.goto(`${shared.url}/tanks`);
  await expect(page.getByRole('heading', { name: 'Who keeps this fish room?' })).toBeVisible();
  await newcomer(page, 'Wren', 'password123');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText(/^This password is/)).toBeVisible();
  await begin(page, shared.url);
  await page.goto(`${shared.url}/people`);
  await page.getByRole('button', { name: 'Open on my phone' }).click();
  await expect(page.getByRole('img', { name: /^Code that opens/ })).toBeVisible();
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations).toEqual([]);
  await page.keyboard.press('Escape');

  const { code } = await (
    await page.request.post(`${shared.url}/api/me/pairings`, { headers: { Origin: shared.url } })
  ).json();
  const phone = await anotherDevice(browser);
  await phone.goto(`${shared.url}/pair#${code}`);
  await expect(places(phone)).toBeVisible();
  expect(phone.url()).not.toContain(code);
  // A second time it is used up, and says so with a way on.
  const late = await anotherDevice(browser);
  await late.goto(`${shared.url}/pair#${code}`);
  await expect(late.getByText(/^This link is used up/)).toBeVisible();
  await late.getByRole('button', { name: 'Sign in by name' }).click();
  await expect(late.getByRole('heading', { name: 'Sign in' })).toBeVisible();

  // The phone is lost: it is signed out from here, and what was typed on it stays.
  await phone.goto(`${shared.url}/tanks`);
  await page.reload();
  await page.getByRole('button', { name: /^Sign out: / }).click();
  await expect(page.getByRole('button', { name: /^Sign out: / })).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await phone.getByLabel('Name or e-mail').fill('wren');
  await phone.getByLabel('Password', { exact: true }).fill('not this one');
  await phone.getByRole('button', { name: 'Sign in' }).click();
  await expect(phone.getByText('The name or the password is not right.')).toBeVisible();
  await phone.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await phone.keyboard.press('Enter');
  await expect(places(phone)).toBeVisible();
});

test('a feeder who is invited walks the round under their own name, and plans nothing', async ({
  page,
  browser,
  shared,
}) => {
  await begin(page, shared.url);
  await page.goto(`${shared.url}/people`);
  await page.getByRole('button', { name: 'Invite someone' }).click();
  await page.getByRole('radio', { name: 'Feeder' }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  const link = await page.getByText(/\/join#/).textContent();
  expect(link).toMatch(/^https:\/\/fishroom\.local:4310\/join#/);
  const code = link!.split('#')[1]!;

  const feeder = await anotherDevice(browser);
  await feeder.goto(`${shared.url}/join#${code}`);
  await expect(feeder.getByText(/^Wren invites you as feeder/)).toBeVisible();
  await newcomer(feeder, 'Finch', 'two newts in a bucket');
  await feeder.getByRole('button', { name: 'Join' }).click();
  await feeder.getByRole('button', { name: 'I have them' }).click();
  await expect(places(feeder)).toBeVisible();
  await openStop(feeder, 'Race');
  const logged = feeder.waitForResponse(
    (answer) => /\/api\/feedings$/.test(answer.url()) && answer.request().method() === 'POST',
  );
  await feeder
    .getByRole('button', { name: /^Serve/ })
    .first()
    .click();
  expect((await (await logged).json()).feeding.hand).toBe('Finch');
  await feeder.goto(`${shared.url}/settings`);
  await expect(feeder.getByText(/Only owners can change the units/)).toBeVisible();
  const refused = await feeder.request.post(`${shared.url}/api/tanks`, {
    data: {},
    headers: { Origin: shared.url },
  });
  expect(refused.status()).toBe(403);

  // Taken out, the feeder is out at once, and may begin a household of their own.
  await page.reload();
  await page.getByRole('link', { name: /^Finch/ }).click();
  await page.getByRole('button', { name: 'Remove Finch' }).click();
  await expect(page.getByText(/^Finch no longer belongs/)).toBeVisible();
  await feeder.reload();
  await expect(feeder.getByText('You belong to no household on this server.')).toBeVisible();
});

test('a session that ends while a form is half filled in keeps the form', async ({
  page,
  browser,
  shared,
}) => {
  await begin(page, shared.url);
  await page.goto(`${shared.url}/tanks/new`);
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('Under the stairs');
  const other = await anotherDevice(browser);
  await other.goto(shared.url);
  await other.getByLabel('Name or e-mail').fill('Wren');
  await other.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await other.getByRole('button', { name: 'Sign in' }).click();
  await expect(places(other)).toBeVisible();
  await other.goto(`${shared.url}/people`);
  await other.getByRole('button', { name: /^Sign out: / }).click();
  await expect(other.getByRole('button', { name: /^Sign out: / })).toHaveCount(0);
  // The page hears of it by itself.
  await expect(page.getByText(/What you typed is still here/)).toBeVisible();
  await page.getByLabel('Name or e-mail').fill('Wren');
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(name).toHaveValue('Under the stairs');
});

test('a passkey signs in without the password, once for each question, and while it is kept', async ({
  page,
  shared,
}) => {
  await begin(page, shared.url);
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('WebAuthn.enable');
  await devtools.send('WebAuthn.addVirtualAuthenticator', {
    options: {
      protocol: 'ctap2',
      transport: 'internal',
      hasResidentKey: true,
      hasUserVerification: true,
      isUserVerified: true,
      automaticPresenceSimulation: true,
    },
  });
  await page.goto(`${shared.url}/people`);
  await page.getByRole('button', { name: 'Add a passkey' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Password').fill('not the password');
  await sheet.getByRole('button', { name: 'Add it' }).click();
  await expect(sheet.getByText(/^This is not your password/i)).toBeVisible();
  await sheet.getByLabel('Password').fill(PASSWORD);
  await sheet.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText(/^Your passkey is added/)).toBeVisible();
  await expect(page.getByText(/not used yet/)).toBeVisible();

  const signOut = async () => {
    await page.goto(`${shared.url}/people`);
    await page.getByRole('button', { name: 'Sign out', exact: true }).first().click();
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  };
  await signOut();
  const sent = page.waitForRequest((request) => request.url().endsWith('/api/sign-in/passkey'));
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(places(page)).toBeVisible();
  // The same answer once more, as an eavesdropper would send it.
  const again = await page.request.post(`${shared.url}/api/sign-in/passkey`, {
    headers: { Origin: shared.url },
    data: (await sent).postDataJSON(),
  });
  expect(again.status()).toBe(401);

  await page.goto(`${shared.url}/people`);
  await page.getByRole('button', { name: /^Remove the passkey/ }).click();
  await expect(page.getByText(/^With a passkey you unlock/)).toBeVisible();
  await signOut();
  await page.getByRole('button', { name: 'Use a passkey' }).click();
  await expect(page.getByText(/^This passkey is not known here/)).toBeVisible();
});

test('a household is erased after its backup, and then the account', async ({ page, shared }) => {
  await begin(page, shared.url);
  await page.goto(`${shared.url}/people`);
  await page.getByRole('button', { name: 'Delete my account' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('Password').fill(PASSWORD);
  await sheet.getByRole('button', { name: 'Delete it for good' }).click();
  await expect(sheet.getByText(/^You are the only owner of The Weir Room/)).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Erase The Weir Room' }).click();
  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    sheet.getByRole('button', { name: 'Save the backup' }).click(),
  ]);
  expect(backup.suggestedFilename()).toMatch(/\.zip$/);
  await sheet.getByLabel(/^To be sure/).fill('The Weir Room');
  await sheet.getByLabel('Password').fill(PASSWORD);
  await sheet.getByRole('button', { name: 'Erase it for good' }).click();
  await expect(sheet.getByText('The Weir Room is erased.')).toBeVisible();
  await sheet.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/You belong to no household/)).toBeVisible();
});
