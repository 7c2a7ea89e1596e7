import { expect, test, type Page } from '@playwright/test';
import { begin, beginWith, choose, signInAs } from './ways';

/** Stems that are built, seen or not. */
const stems = (page: Page, visible: boolean) => page.locator('[data-part="stem"]').filter({ visible });

test('the next question is built out of sight, where nobody finds it', async ({ page }) => {
  await signInAs(page, 'Tamsin Orrel');
  await begin(page, { mode: 'Timed', questions: 3 });
  await expect(stems(page, false)).toHaveCount(1);
  const next = (await stems(page, false).textContent())?.trim() ?? '';
  // Neither by its words, nor for who listens, nor by going from field to field.
  await page.getByRole('textbox', { name: 'Mark words' }).fill(next.slice(0, 60));
  await page.keyboard.press('Enter');
  await expect(page.getByText('These words are not in the question.')).toBeVisible();
  await expect(page.getByRole('main').getByRole('radiogroup')).toHaveCount(1);
  expect(await page.getByRole('main').ariaSnapshot()).not.toContain(next.slice(0, 30));
  await page.getByRole('heading', { name: 'Question 1 of 3' }).focus();
  for (let i = 0; i < 14; i++) {
    await page.keyboard.press('Tab');
    const unseen = await page.evaluate(() => document.activeElement?.checkVisibility() === false);
    expect(unseen).toBe(false);
  }

  // It is the one that is shown, with nothing made anew, and what was answered is there on the way back.
  await choose(page, 1);
  const built = await stems(page, false).elementHandle();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 2 of 3' })).toBeVisible();
  expect(await stems(page, true).evaluate((shown, before) => shown === before, built)).toBe(true);
  expect((await stems(page, true).textContent())?.trim()).toBe(next);
  await expect(page.getByRole('main').getByRole('radio').first()).not.toBeChecked();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('main').getByRole('radio').nth(1)).toBeChecked();
});

test('a sound falls silent when one goes on', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'tag._holds=sound&pools=&count=2&mode=untimed');
  const playing = () =>
    page.locator('audio').evaluateAll((all) => (all as HTMLAudioElement[]).filter(({ paused }) => !paused).length);
  // From when the next one is built, this one stays for a moment.
  await expect(page.locator('[data-part]').filter({ visible: false })).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Play it' }).click();
  await expect.poll(playing).toBe(1);
  // At once, and not only when the page takes the question away: so nothing may come between.
  const left = await page.getByRole('button', { name: 'Next', exact: true }).evaluate(async (next) => {
    const sounds = [...document.querySelectorAll('audio')];
    (next as HTMLElement).click();
    await new Promise(requestAnimationFrame);
    return sounds.map(({ isConnected, paused }) => ({ isConnected, paused }));
  });
  expect(left).toContainEqual({ isConnected: true, paused: true });
  expect(left).not.toContainEqual({ isConnected: true, paused: false });
  await expect(page.getByRole('heading', { name: 'Question 2 of 2' })).toBeVisible();
  expect(await playing()).toBe(0);
});

test('a case keeps the exhibit that lies open from question to question', async ({ page }) => {
  await signInAs(page, 'Tamsin Orrel');
  await beginWith(page, 'words=gauge&pools=&count=3&mode=untimed');
  const exhibits = page.getByRole('tablist', { name: 'Exhibits' }).getByRole('tab');
  await exhibits.nth(1).click();
  const open = await exhibits.nth(1).textContent();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Question 2 of/ })).toBeVisible();
  await expect(page.getByRole('tab', { name: open ?? '', selected: true })).toBeVisible();
  // The next of the same case lies beside it, out of sight, and its words are not to be found either.
  const hidden = page.locator('#the-question [data-part="stem"]').filter({ visible: false });
  await expect(hidden).not.toHaveCount(0);
  const unseen = await hidden.allTextContents();
  await page.getByRole('button', { name: 'Notes' }).click();
  for (const stem of unseen) {
    await page.getByRole('textbox', { name: 'Mark words' }).fill(stem.trim().slice(0, 40));
    await page.keyboard.press('Enter');
    await expect(page.getByText('These words are not in the question.')).toBeVisible();
  }
});

test('of two hundred questions the route line shows where one is', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'pools=&count=200&mode=untimed');
  const line = page.getByRole('navigation', { name: 'Route line' });
  await expect(line.getByRole('button')).toHaveCount(200);
  // Which places begin a series, and can be gone to, depends on what was drawn.
  const free = await line
    .getByRole('button', { disabled: false })
    .evaluateAll((marks) => marks.map((mark) => Number(/\d+/.exec(mark.getAttribute('aria-label') ?? '')?.[0])));
  const [far = 0, further = 0] = free.filter((place) => place >= 137);
  await page.getByLabel('Go to').fill(String(far));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: `Question ${far} of 200` })).toBeVisible();
  const mark = line.getByRole('button', { name: new RegExp(`^Question ${far}:`) });
  await expect(mark).toHaveAttribute('aria-current', 'step');
  await expect(mark).toBeInViewport({ ratio: 1 });
  await line.getByRole('button', { name: new RegExp(`^Question ${further}:`) }).click();
  await expect(page.getByRole('heading', { name: `Question ${further} of 200` })).toBeVisible();
  await page.getByLabel('Go to').fill('1');
  await page.keyboard.press('Enter');
  await expect(line.getByRole('button', { name: /^Question 1:/ })).toBeInViewport({ ratio: 1 });
});

test('no rule of style asks how a class begins: with one, each class that changes styles all within it anew', async ({
  page,
}) => {
  await page.goto('/sign-in');
  const selectors = await page.evaluate(() => {
    const of = (rules: CSSRuleList): string[] =>
      [...rules].flatMap((rule) => [
        ...(rule instanceof CSSStyleRule ? [rule.selectorText] : []),
        ...('cssRules' in rule ? of(rule.cssRules as CSSRuleList) : []),
      ]);
    return [...document.styleSheets].flatMap(({ cssRules }) => of(cssRules));
  });
  expect(selectors.length).toBeGreaterThan(200);
  expect(selectors.filter((selector) => /\[class[~^*|$]?=/.test(selector))).toEqual([]);
});
