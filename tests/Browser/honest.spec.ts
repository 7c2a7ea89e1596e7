import { expect, test, type Page } from '@playwright/test';
import type { View } from '../../resources/js/api/client';
import { begin, beginWith, choose, expectAccessible, of, register, send, signIn } from './ways';

// What is told of a test whose device was away, of one whose questions another clock still asks, and of what is unsaved.

async function handIn(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: 'Hand in all the same' }).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
}

const saved = (page: Page) => page.getByText('All saved');

test('a test whose device was away when time ran out waits for it, and takes what it did in time', async ({
  page,
  browser,
}) => {
  const address = await register(page, 'Ravi');
  const choices = { topics: ['radio', 'book'], kinds: ['single'], pools: [], count: 1, mode: 'timed', secondsEach: 10 };
  const { sitting } = await send<View<'Built'>>(page, 'POST', '/api/exams/refuge-warden/tests', choices);
  await page.goto(`/sit/${sitting}`);
  await expect(saved(page)).toBeVisible();
  await page.context().setOffline(true);
  await choose(page, 0);
  await expect(page.getByText(/kept on this device|wait here/).first()).toBeVisible();

  const other = await (await browser.newContext()).newPage();
  await signIn(other, address);
  await of(other, 'refuge-warden');
  // Ten seconds, and five of grace.
  await expect
    .poll(async () => (await other.request.get(`/api/sittings/${sitting}/result`)).text(), { timeout: 40_000 })
    .toContain('waits_for_device');
  await other.goto('/');
  await expect(other.getByText('time is up, waits for its device')).toBeVisible();
  await other.goto('/tests');
  await expect(other.getByText('waits for its device').filter({ visible: true }).first()).toBeVisible();
  await other.goto(`/result/${sitting}`);
  await expect(other.getByRole('heading', { name: /waits for its device$/ })).toBeVisible();
  await expect(other.getByRole('link', { name: 'It was this device: open it' })).toHaveAttribute(
    'href',
    `/sit/${sitting}`,
  );
  await expectAccessible(other);

  // The device comes back in time: what it did counts.
  await page.context().setOffline(false);
  await expect(page.getByText(/What it did in time counts here/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/1 of 1/).first()).toBeVisible();
  await other.close();
});

test('what a running clock asks is left out of a result that was handed in meanwhile, and comes back when it is over', async ({
  page,
}) => {
  await register(page, 'Sorrel');
  const radio = 'topics=radio&kinds=single&pools=&mode=timed&minutes=60';
  await beginWith(page, `${radio}&count=2`, 'refuge-warden');
  await expect(saved(page)).toBeVisible();
  const running = new URL(page.url()).pathname;
  // All there are, these two among them.
  await page.goto(`/build?${radio}`);
  const all = /\d+/.exec((await page.getByText(/^\d+ questions to draw from$/).textContent()) ?? '')?.[0];
  await beginWith(page, `${radio}&count=${all}`, 'refuge-warden');
  const id = new URL(page.url()).pathname.split('/').at(-1);
  await choose(page, 0);
  await handIn(page);
  const left = page.getByText('2 questions are left out of all that is said here');
  await expect(left).toBeVisible();
  await expectAccessible(page);

  await page.goto(running);
  await page.getByRole('button', { name: 'Go on', exact: true }).or(saved(page)).first().waitFor();
  if (await page.getByRole('button', { name: 'Go on', exact: true }).isVisible())
    await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await handIn(page);
  await page.goto(`/result/${id}`);
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
  await expect(left).toHaveCount(0);
});

test('signing out with something unsaved asks first, and then leaves nothing', async ({ page }) => {
  await register(page, 'Bryony');
  await begin(page, { mode: 'Timed', questions: 2, minutes: 30 });
  await expect(saved(page)).toBeVisible();
  await page.route(/\/api\/sittings\/[^/]+\/(events|state)/, (route) => route.abort());
  await choose(page, 1);
  await expect(page.getByText('No connection: 1 kept on this device')).toBeVisible();

  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out' }).click();
  const asked = page.getByRole('dialog', { name: 'Not everything is saved' });
  await expect(asked).toContainText('1 answer on this device has not reached the server.');
  await expectAccessible(page, 'dialog');
  await asked.getByRole('button', { name: 'Stay signed in' }).click();
  await expect(asked).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await asked.getByRole('button', { name: 'Throw away and sign out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  const left = await page.evaluate(
    () =>
      new Promise<number>((done, failed) => {
        const opening = indexedDB.open('uplandia-sittings');
        opening.onerror = () => failed(new Error('There is no such store.'));
        opening.onsuccess = () => {
          const all = opening.result.transaction('waiting').objectStore('waiting').count();
          all.onsuccess = () => done(all.result);
        };
      }),
  );
  expect(left).toBe(0);
});
