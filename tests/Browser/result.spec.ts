import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import {
  answerAnything,
  beginWith,
  expectAccessible,
  expectAccessibleInThemes,
  expectNoSidewaysScroll,
  signInAs,
} from './ways';

/** The latest result of somebody with a past. */
async function latestOf(page: Page, name: string): Promise<void> {
  await signInAs(page, name);
  await page.getByRole('table').getByRole('link').first().click();
  await expect(page.getByRole('heading', { name: 'Every question' })).toBeVisible();
}

async function handIn(page: Page): Promise<void> {
  await expect(page.getByText('All saved')).toBeVisible();
  await page.getByRole('button', { name: 'Hand in', exact: true }).first().click();
  await page
    .getByRole('button', { name: /^Hand in/ })
    .last()
    .click();
  await expect(page.getByRole('heading', { name: 'Every question' })).toBeVisible();
}

test('from a bad result to the next test in three clicks', async ({ page }) => {
  await latestOf(page, 'Bram Holloway');
  await expect(page.getByRole('heading', { name: 'Worth reading first' })).toBeVisible();
  await expect(page.getByText(/questions on .* lost marks went: new ones first/)).toBeVisible();
  await page.getByRole('button', { name: /^Sit these \d+$/ }).click();
  await page.getByRole('link', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of 10' })).toBeVisible();
});

test('an over-confident person is told, and names what lay behind', async ({ page }) => {
  await latestOf(page, 'Bram Holloway');
  await expect(page.getByRole('region', { name: 'In short' })).toContainText('By what you said, you were right in');
  await expect(page.getByText(/^You were surer than right, by \d+ points in a hundred/)).toBeVisible();
  const field = page.getByRole('combobox', { name: /^What lay behind question/ }).first();
  const told = page.waitForResponse(/\/cause$/);
  await field.selectOption('Mixed two things up');
  await told;
  await page.reload();
  await expect(field).toHaveValue('mixed_up');
  // The review has the same, and there the question goes out of the gap book and back.
  const link = page.getByRole('listitem').filter({ has: field }).getByRole('link').first();
  await link.click();
  await expect(page.getByRole('combobox', { name: 'What lay behind it' })).toHaveValue('mixed_up');
  const book = page.getByRole('button', { name: /gap book$/ });
  await expect(book).toHaveAttribute('aria-pressed', 'true');
  await book.click();
  await expect(page.getByRole('button', { name: 'Put it into my gap book' })).toHaveAttribute('aria-pressed', 'false');
  await page.reload();
  await page.getByRole('button', { name: 'Put it into my gap book' }).click();
  await expect(page.getByRole('button', { name: 'In my gap book', exact: true })).toBeVisible();
});

test('the table is sorted and narrowed by keyboard, and opens a question', async ({ page }) => {
  await latestOf(page, 'Idris Vane');
  const table = page.getByRole('table', { name: 'Every question' });
  const numbers = async () => (await table.locator('tbody td:first-child').allTextContents()).map(Number);
  const inOrder = await numbers();
  await table.getByRole('button', { name: 'Time' }).press('Enter');
  await expect(table.getByRole('columnheader', { name: 'Time' })).toHaveAttribute('aria-sort', 'ascending');
  await table.getByRole('button', { name: 'Time' }).press('Enter');
  await expect(table.getByRole('columnheader', { name: 'Time' })).toHaveAttribute('aria-sort', 'descending');
  const longest = await page
    .getByRole('region', { name: 'Time' })
    .getByRole('definition')
    .first()
    .getByRole('link')
    .allTextContents();
  expect((await numbers()).slice(0, 5)).toEqual(longest.map(Number));
  expect(await numbers()).not.toEqual(inOrder);
  await page.getByRole('combobox', { name: 'Show' }).selectOption({ value: 'missed' });
  await expect(table.getByRole('cell', { name: 'Right', exact: true })).toHaveCount(0);
  // A reload, and the way back, bring both back.
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'Show' })).toHaveValue('missed');
  const shown = await numbers();
  await table.getByRole('link').first().focus();
  await page.keyboard.press('ArrowDown');
  await expect(table.getByRole('link').nth(1)).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: `Question ${shown[1]}`, exact: true })).toBeFocused();
  await page.goBack();
  await expect(page.getByRole('combobox', { name: 'Show' })).toHaveValue('missed');
});

test('a review is gone through by keys, with the handbook beside it, and read as one page', async ({ page }) => {
  await latestOf(page, 'Idris Vane');
  await page.getByRole('link', { name: 'Review each question' }).click();
  await expect(page.getByText(/^1 of \d+ here$/)).toBeVisible();
  await page.keyboard.press(']');
  await expect(page.getByText(/^2 of \d+ here$/)).toBeVisible();
  await page.keyboard.press('[');
  await expect(page.getByText(/^1 of \d+ here$/)).toBeVisible();
  const section = page.getByText('In the handbook:').getByRole('link').first();
  const title = await section.textContent();
  await section.click();
  const beside = page.getByRole('complementary', { name: 'Handbook' });
  await expect(beside.getByRole('heading', { name: title ?? '', exact: true })).toBeVisible();
  await expectAccessible(page);
  await beside.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(beside).toHaveCount(0);
  await page.getByRole('link', { name: /^Missed \(/ }).click();
  const missed = Number(/\d+/.exec((await page.getByRole('link', { name: /^Missed \(/ }).textContent()) ?? '')?.[0]);
  await page.getByRole('link', { name: 'All on one page' }).click();
  await expect(page.getByRole('article')).toHaveCount(missed);
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expectAccessible(page);
});

test('a key pressed the very moment the next question is shown is that question’s', async ({ page }) => {
  await latestOf(page, 'Idris Vane');
  await page.getByRole('link', { name: 'Review each question' }).click();
  await expect(page.getByText(/^1 of \d+ here$/)).toBeVisible();
  // Pressed in the page itself, before the browser has painted: no person is quicker, and no test runner.
  await page.evaluate(() => {
    const press = (key: string) => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
    const seen = ['1'];
    new MutationObserver((_, observer) => {
      const spans = [...document.querySelectorAll('article span')].map(({ textContent }) => textContent);
      const at = /^\d+(?= of \d+ here$)/.exec(spans.find((text) => / of \d+ here$/.test(text)) ?? '')?.[0];
      if (!at || at === seen.at(-1)) return;
      seen.push(at);
      document.body.dataset.seen = seen.join(' ');
      if (seen.length === 5) observer.disconnect();
      else press(seen.length === 2 ? ']' : '[');
    }).observe(document.body, { childList: true, subtree: true, characterData: true });
    press(']');
  });
  await expect(page.locator('body')).toHaveAttribute('data-seen', '1 2 3 2 1');
});

test('what was sat is taken away as a table and as statements', async ({ page }) => {
  // One of its own: what another test still asks of a result is not taken away.
  await signInAs(page, 'Wren Ashlock');
  await beginWith(page, 'pools=&kinds=single&count=4&mode=untimed');
  await answerAnything(page);
  await handIn(page);
  const taken = async (name: string) => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()]);
    return { name: file.suggestedFilename(), text: await readFile(await file.path(), 'utf8') };
  };
  const table = await taken('Table of questions (CSV)');
  expect(table.name).toMatch(/\.csv$/);
  const lines = table.text.trimEnd().split('\r\n');
  expect(lines).toHaveLength(5);
  expect(lines[0]).toMatch(/^question,text,topic/);
  const statements = await taken('Statements (xAPI, JSON)');
  expect(statements.name).toMatch(/\.json$/);
  const all = JSON.parse(statements.text) as { verb: { id: string } }[];
  // Those that were on screen, and how it ended.
  const seen = lines.filter((line) => !line.includes(',not_reached,')).length - 1;
  expect(all).toHaveLength(seen + 1);
  expect(all.at(-1)?.verb.id).toMatch(/completed$/);
});

test('a written answer is marked beside the model, and the totals change at once', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await beginWith(page, 'pools=&kinds=written&count=1&mode=untimed');
  await answerAnything(page);
  await handIn(page);
  await expect(page.getByRole('region', { name: 'In short' })).toContainText('1 written answer waits to be marked');
  await page.getByRole('link', { name: 'Mark your written answer' }).click();
  await expect(page.getByRole('heading', { name: 'A model answer' })).toBeVisible();
  for (const criterion of await page.getByRole('main').getByRole('group').all())
    await criterion.getByRole('radio').last().check();
  await page.getByRole('button', { name: 'Keep these marks' }).click();
  // It stays open, marked.
  await expect(page.getByText(/^\d+ of \d+ marks?, /)).toBeVisible();
  await page.getByRole('link', { name: 'Back to the result' }).click();
  await expect(page.getByRole('link', { name: 'Mark your written answer' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Marks' })).toContainText('you answered all 1');
  await expect(page.getByRole('region', { name: 'In short' })).not.toContainText('waits');
});

for (const [size, width, height] of [
  ['desk', 1280, 800],
  ['phone', 390, 844],
] as const) {
  test(`result and review have no grave fault of accessibility in any theme: ${size}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await latestOf(page, 'Bram Holloway');
    const result = page.url();
    const path = new URL(result).pathname.replace('/result/', '');
    for (const [address, ready] of [
      [result, 'Every question'],
      [`/review/${path}/1?show=all`, 'To take with you'],
      [`/review/${path}/all?show=missed`, /^Question \d/],
    ] as const) {
      await page.goto(address);
      await expect(page.getByRole('heading', { name: ready }).first()).toBeVisible();
      await expectNoSidewaysScroll(page);
      await (size === 'desk' ? expectAccessibleInThemes(page) : expectAccessible(page));
    }
  });
}
