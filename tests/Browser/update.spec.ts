import { copyFileSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { beginWith, choose, isKept, signInAs } from './ways';

// What is served changes meanwhile, so these have the folder to themselves, when all others are through.

test.describe('a new version of the app', () => {
  const WORKER = 'public/sw.js';
  const MANIFEST = 'public/build/manifest.json';
  const first = readFileSync(WORKER, 'utf8');
  const script = /assets\/main-[\w-]+\.js/.exec(first)![0];
  const newer = script.replace('main-', 'main-newer-');

  /** As after an update of the server: its page loads another script, and its worker keeps that one. */
  function update() {
    copyFileSync(`public/build/${script}`, `public/build/${newer}`);
    for (const file of [WORKER, MANIFEST]) writeFileSync(file, readFileSync(file, 'utf8').replaceAll(script, newer));
  }
  test.afterEach(() => {
    for (const file of [WORKER, MANIFEST]) writeFileSync(file, readFileSync(file, 'utf8').replaceAll(newer, script));
    rmSync(`public/build/${newer}`, { force: true });
  });

  test('is offered outside of tests, waits until none is open, and comes when asked for', async ({ page, context }) => {
    await signInAs(page, 'Petra Quill');
    await isKept(page);
    await page.reload();
    await beginWith(page, 'kinds=single&pools=&count=3&mode=tutor');
    await expect(page.getByText('All saved')).toBeVisible();
    const second = await context.newPage();
    await second.goto('/account');
    update();
    await page.evaluate(async () => {
      await (await navigator.serviceWorker.ready).update();
    });
    await expect(second.getByText('There is a new version of Uplandia.')).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText('There is a new version of Uplandia.')).toHaveCount(0);
    await second.getByRole('button', { name: 'Load it' }).click();
    await expect(second.getByText('A test is open in another tab.')).toBeVisible();
    await choose(page, 0);
    await expect(page.getByText('All saved')).toBeVisible();
    await page.goto('/');
    // The page is new at once, its worker when the browser lets it.
    await expect(page.locator(`script[src*="${newer}"]`)).toBeAttached();
    await expect(page.getByText('new version')).toHaveCount(0);
    await expect(second.locator(`script[src*="${script}"]`)).toBeAttached();
    await second.getByRole('button', { name: 'Load it' }).click();
    await expect(second.locator(`script[src*="${newer}"]`)).toBeAttached();
    await expect(second.getByText('new version')).toHaveCount(0);
  });
});
