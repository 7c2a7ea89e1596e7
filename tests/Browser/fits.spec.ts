import { expect, test, type Page } from '@playwright/test';
import { beginWith, expectNoSidewaysScroll, of, signInAs } from './ways';

/** A small phone (or a page at four times its size), a phone, and the same on its side. */
const SIZES = [
  { width: 320, height: 640 },
  { width: 390, height: 844 },
  { width: 844, height: 390 },
] as const;

/** Each screen, and what one came for where that is one button. */
const SCREENS: readonly [string, RegExp | null][] = [
  ['/', /Begin/],
  ['/build', /^Begin$/],
  ['/ready', /Begin/],
  ['/tests', /^More with/],
  ['/progress', null],
  ['/gaps', null],
  ['/library', null],
  ['/handbook', /Take it along/],
  ['/plan', null],
  ['/cards', null],
  ['/account', null],
];

async function look(page: Page, size: 'usual' | 'Largest'): Promise<void> {
  await page.goto('/account');
  if (size === 'usual') return;
  await page.getByRole('button', { name: 'Look', exact: true }).first().click();
  await page.getByRole('radio', { name: 'Largest' }).check();
}

for (const text of ['usual', 'Largest'] as const) {
  test(`nothing sticks out, and what one came for is in reach: ${text} text`, async ({ page }) => {
    test.setTimeout(240_000);
    await signInAs(page, 'Idris Vane');
    await of(page, 'upland-guide');
    await look(page, text);
    for (const [path, button] of SCREENS) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
      await page.waitForLoadState('networkidle');
      for (const size of SIZES) {
        await page.setViewportSize(size);
        await test.step(`${path} at ${size.width} × ${size.height}`, async () => {
          await expectNoSidewaysScroll(page);
          if (button === null) return;
          const main = page.getByRole('main').getByRole('button', { name: button }).filter({ visible: true }).first();
          await main.scrollIntoViewIfNeeded({ timeout: 10_000 });
          const box = (await main.boundingBox())!;
          expect(box.x).toBeGreaterThanOrEqual(0);
          expect(box.x + box.width).toBeLessThanOrEqual(size.width + 1);
        });
      }
    }
  });

  test(`a question can be read and answered at any size: ${text} text`, async ({ page }) => {
    await signInAs(page, 'Idris Vane');
    await of(page, 'refuge-warden');
    await look(page, text);
    await beginWith(page, 'topics=radio,book&kinds=single&pools=&count=3&mode=tutor', 'refuge-warden');
    for (const size of SIZES) {
      await page.setViewportSize(size);
      await test.step(`${size.width} × ${size.height}`, async () => {
        await expectNoSidewaysScroll(page);
        const next = page.getByRole('button', { name: 'Next', exact: true });
        await expect(next).toBeInViewport({ ratio: 1 });
        // What stays at the foot leaves most of the page to the question.
        const foot = (await page.getByRole('contentinfo').boundingBox())!;
        expect(foot.height).toBeLessThan(size.height / 2.5);
        const option = page.getByRole('radiogroup').getByRole('radio').first();
        await option.evaluate((field) => field.scrollIntoView({ block: 'center' }));
        await expect(option).toBeInViewport();
        const box = (await option.boundingBox())!;
        // Not under what stays in sight.
        const head = (await page.getByRole('banner').boundingBox())!;
        expect(box.y).toBeGreaterThan(head.y + head.height - 1);
        expect(box.y + box.height).toBeLessThan(foot.y + 1);
      });
    }
  });
}

test('what came of a check is said to the ear, and the place is kept', async ({ page }) => {
  await signInAs(page, 'Idris Vane');
  await beginWith(page, 'topics=radio,book&kinds=single&pools=&count=2&mode=tutor', 'refuge-warden');
  await page.getByRole('radiogroup').getByRole('radio').first().check();
  await page.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Question 1: (right|missed)\.$/ })).toBeAttached();
  await expect(page.getByRole('heading', { name: 'Question 1 of 2' })).toBeFocused();
});
