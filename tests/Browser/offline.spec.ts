import { expect, test, type Page } from '@playwright/test';
import { OwnServer } from './ownServer';
import { answerAnything, beginWith, choose, expectAccessible, isKept, of, send, signInAs } from './ways';

const server = new OwnServer(0);

test.beforeEach(() => server.start());
test.afterEach(() => server.kill());
test.use({ baseURL: server.address });

async function takeAlong(page: Page) {
  await page.getByRole('button', { name: 'Offline', exact: true }).click();
  await page.getByRole('button', { name: 'Take it along' }).click();
  await expect(page.getByText('This test is on this device')).toBeVisible({ timeout: 60_000 });
}

const next = (page: Page) => page.getByRole('button', { name: 'Next', exact: true });

test('a tutor test is taken along, gone on with while the server is off, and handed in when it is back', async ({
  page,
  context,
}) => {
  test.setTimeout(300_000);
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'tag._holds=sound,picture&kinds=single,several,number&pools=&count=4&mode=tutor');
  await takeAlong(page);
  await expectAccessible(page);
  await isKept(page);
  await answerAnything(page);
  await expect(page.getByText('All saved')).toBeVisible();
  server.kill();

  // Another page, with nobody to ask.
  await page.close();
  const alone = await context.newPage();
  await alone.goto('/');
  await expect(alone.getByRole('heading', { name: 'No connection' })).toBeVisible({ timeout: 60_000 });
  await expect(alone.getByRole('region', { name: 'On this device' })).toContainText('1 of 4 answered');
  await expectAccessible(alone);
  await alone.getByRole('link', { name: 'Go on' }).click();
  await expect(alone.getByRole('heading', { name: 'Question 1 of 4' })).toBeVisible();
  await expect(alone.getByRole('button', { name: /^Question 1: answered/ })).toBeVisible();
  await alone.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(alone.getByText('It is marked when there is a connection.')).toBeVisible();
  await expect(alone.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  await expect(alone.getByText(/^✓ /).first()).toBeVisible();
  for (const question of [2, 3, 4]) {
    await next(alone).click();
    await expect(alone.getByRole('heading', { name: `Question ${question} of 4` })).toBeVisible();
    await answerAnything(alone);
    await expectFilesThere(alone);
  }
  await expect(alone.getByText(/^No connection: 3 kept on this device/)).toBeVisible();
  await alone.reload();
  await expect(alone.getByRole('button', { name: /: answered/ })).toHaveCount(4);

  await server.start();
  await expect(alone.getByText('All saved')).toBeVisible({ timeout: 60_000 });
  await expect(alone.getByRole('button', { name: /^Question 1: (right|missed|partly)/ })).toBeVisible();
  await alone.getByRole('button', { name: 'Hand in', exact: true }).first().click();
  await alone.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(alone.getByRole('heading', { name: 'By topic' })).toBeVisible();
  await alone.goto('/account');
  await expect(alone.getByText('Nothing was taken along on this device.')).toBeVisible();
  expect(await kept(alone)).toEqual({ packs: [], files: 0 });
});

/** Pictures are drawn and sounds can be played. */
async function expectFilesThere(page: Page) {
  const widths = await page.locator('#the-question img').evaluateAll((all) =>
    Promise.all(
      all.map(async (one) => {
        await (one as HTMLImageElement).decode();
        return (one as HTMLImageElement).naturalWidth;
      }),
    ),
  );
  for (const width of widths) expect(width).toBeGreaterThan(0);
  for (const sound of await page.locator('#the-question audio').all())
    await expect
      .poll(() => sound.evaluate((one) => (one as HTMLAudioElement).readyState), { timeout: 15_000 })
      .toBeGreaterThan(0);
}

/** What the device keeps of tests, read as anybody could who sits down at it. */
function kept(page: Page): Promise<{ packs: string[]; files: number }> {
  return page.evaluate(async () => {
    const packs = await new Promise<string[]>((tell) => {
      const asked = indexedDB.open('uplandia-packs');
      asked.onerror = () => tell([]);
      asked.onsuccess = () => {
        const all = asked.result.transaction('packs').objectStore('packs').getAll();
        all.onsuccess = () => {
          asked.result.close();
          tell(all.result.map((one) => JSON.stringify(one)));
        };
      };
    });
    const files = (await caches.has('uplandia-taken-along'))
      ? (await (await caches.open('uplandia-taken-along')).keys()).length
      : 0;
    return { packs, files };
  });
}

test('what a timed test takes along tells no key, and nobody else reads it', async ({ page }) => {
  test.setTimeout(300_000);
  await signInAs(page, 'Bram Holloway');
  await beginWith(page, 'pools=&count=20&mode=timed&minutes=60');
  const id = new URL(page.url()).pathname.split('/').at(-1);
  await takeAlong(page);
  await expect(page.getByText('the clock stands')).toBeVisible();
  await isKept(page);
  const { packs } = await kept(page);
  expect(packs).toHaveLength(1);
  const secrets = ['"why":', '"key":', '"keys":', '"rationale":', '"right":', '"verdict":', '"evidence":'];
  for (const secret of secrets) expect(packs[0]).not.toContain(secret);
  // Nor does the worker keep anything but what is the same for everybody.
  const urls = await page.evaluate(async () => {
    const all: string[] = [];
    for (const name of await caches.keys())
      for (const { url } of await (await caches.open(name)).keys()) all.push(new URL(url).pathname);
    return all;
  });
  expect(
    urls.filter((path) => !/^\/(build\/assets\/|icon\.svg|manifest\.webmanifest|shell|media\/)/.test(path)),
  ).toEqual([]);
  expect(urls.some((path) => path === '/shell')).toBe(true);

  await page.goto('/account');
  await expect(page.getByRole('region', { name: 'On this device' })).toBeVisible();
  const spells = () => page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('.awake.')));
  // As a test leaves them that was not taken along.
  await page.evaluate(() => localStorage.setItem('uplandia.awake.another', '[[1,2]]'));
  expect(await spells()).toHaveLength(2);
  server.kill();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('You are still signed in')).toBeVisible();
  await expect.poll(() => kept(page)).toEqual({ packs: [], files: 0 });
  expect(await spells()).toEqual([]);
  await server.start();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Noor Selwick' })).toBeVisible();
  server.kill();
  await page.goto('/');
  await expect(page.getByText('You are signed out on this device, and there is no connection.')).toBeVisible();
  await expect(page.getByRole('region', { name: 'On this device' })).toHaveCount(0);
  // A clock that runs would hold its questions back from other tests.
  await server.start();
  await signInAs(page, 'Bram Holloway');
  await send(page, 'DELETE', `${server.address}/api/sittings/${id}`);
});

test('two devices with the same test: the second is told', async ({ page, browser }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'kinds=single&pools=&count=3&mode=tutor');
  await takeAlong(page);
  const address = page.url();
  await page.goto('/account');
  const other = await browser.newPage({ baseURL: server.address });
  await signInAs(other, 'Petra Quill');
  await other.goto(new URL(address).pathname);
  await expect(other.getByText('This sitting was taken along on another device.')).toBeVisible();
  await other.getByRole('button', { name: 'Go on here' }).click();
  await expect(other.getByRole('heading', { name: 'Question 1 of 3' })).toBeVisible();
  await choose(other, 1);
  await expect(other.getByText('All saved')).toBeVisible();
  await page.goto(address);
  await expect(page.getByRole('button', { name: 'Go on here' })).toBeVisible();
  // Handed in there, it is cleared away here.
  await other.getByRole('button', { name: 'Hand in', exact: true }).first().click();
  await other.getByRole('button', { name: 'Hand in all the same' }).click();
  await expect(other.getByRole('heading', { name: 'By topic' })).toBeVisible();
  expect((await kept(page)).packs).toHaveLength(1);
  await page.goto('/account');
  await expect.poll(() => kept(page)).toEqual({ packs: [], files: 0 });
  await other.close();
});

test('the worker can be switched off, and a second tab of the device does not write under the same name', async ({
  page,
  context,
}) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'kinds=single&pools=&count=3&mode=tutor');
  await takeAlong(page);
  await isKept(page);
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByText('This sitting is open in another tab of this device.')).toBeVisible();
  await second.goto('/account');
  await second.getByRole('checkbox', { name: /This device keeps the app/ }).uncheck();
  await expect
    .poll(() => second.evaluate(async () => (await navigator.serviceWorker.getRegistrations()).length))
    .toBe(0);
  await page.getByRole('button', { name: 'Give it back' }).click();
  await expect(page.getByRole('button', { name: 'Take it along' })).toBeVisible();
  await second.goto('/account');
  await expect(second.getByText('Nothing was taken along on this device.')).toBeVisible();
});

test('the handbook is taken along, read while the server is off, and cleared away', async ({ page, context }) => {
  await signInAs(page, 'Petra Quill');
  await of(page, 'upland-guide');
  await page.goto('/handbook');
  await page.getByRole('button', { name: 'Take it along' }).click();
  await expect(page.getByText(/^On this device: as of .*[kM]B/)).toBeVisible({ timeout: 60_000 });
  await expectAccessible(page);
  await isKept(page);
  server.kill();
  await page.close();
  const alone = await context.newPage();
  await alone.goto('/');
  await expect(alone.getByRole('heading', { name: 'No connection' })).toBeVisible({ timeout: 60_000 });
  await alone.getByRole('link', { name: 'Read' }).click();
  await expect(alone.getByText('There is no connection.')).toBeVisible({ timeout: 60_000 });
  const pages = alone.getByRole('navigation', { name: 'Contents' }).getByRole('link');
  expect(await pages.count()).toBeGreaterThan(50);
  await pages.nth(7).click();
  await expect(alone.getByRole('heading', { level: 2, name: (await pages.nth(7).textContent())! })).toBeVisible();
  await alone.getByRole('button', { name: 'Clear it away' }).click();
  await expect(alone.getByText(/The server cannot be reached/)).toBeVisible();
  expect(await alone.evaluate(() => caches.has('uplandia-taken-along-handbooks'))).toBe(false);
});

test('two tests are taken along from the builder, one is sat without a server, and the other given back', async ({
  page,
  context,
}) => {
  test.setTimeout(200_000);
  await signInAs(page, 'Petra Quill');
  await of(page, 'refuge-warden');
  await page.goto('/build?topics=radio,book&kinds=single&pools=&count=3&mode=tutor');
  await page.getByRole('combobox', { name: 'How many tests to take along' }).selectOption('2');
  await page.getByRole('button', { name: 'Take along', exact: true }).click();
  await expect(page.getByText(/^2 tests on this device: [\d.,]+.(kB|MB)\.$/)).toBeVisible({ timeout: 60_000 });
  await page.goto('/account');
  const here = page.getByRole('region', { name: /^On this device/ });
  await expect(here.getByRole('listitem')).toHaveCount(2);
  await expectAccessible(page);
  await isKept(page);
  server.kill();
  // Without a server none is given back: it would not know.
  await here
    .getByRole('button', { name: /^Remove/ })
    .first()
    .click();
  await expect(here.getByRole('alert')).toContainText('A test is given back with a connection');
  await page.close();
  const alone = await context.newPage();
  await alone.goto('/');
  await expect(alone.getByRole('region', { name: 'On this device' }).getByRole('listitem')).toHaveCount(2, {
    timeout: 60_000,
  });
  await alone.getByRole('link', { name: 'Begin' }).first().click();
  await expect(alone.getByRole('heading', { name: 'Question 1 of 3' })).toBeVisible();
  await choose(alone, 0);
  await alone.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(alone.getByRole('heading', { name: 'To take with you' })).toBeVisible();

  await server.start();
  await expect(alone.getByText('All saved')).toBeVisible({ timeout: 60_000 });
  await alone.goto('/account');
  const now = alone.getByRole('region', { name: /^On this device/ });
  await now
    .getByRole('button', { name: /^Remove/ })
    .first()
    .click();
  await expect(now.getByRole('listitem')).toHaveCount(1);
});
