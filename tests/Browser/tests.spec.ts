import { expect, test, type Page } from '@playwright/test';
import {
  begin,
  choose,
  dropOpenTests,
  expectAccessible,
  expectNoSidewaysScroll,
  expectRoomForFingers,
  of,
  register,
  signInAs,
} from './ways';

const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 360, height: 740 } };

/** How many pages a PDF has. */
async function pages(page: Page): Promise<number> {
  const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  return Math.max(...[...pdf.matchAll(/\/Count (\d+)/g)].map(([, n]) => Number(n)));
}

/** A short test of the Certificate that is handed in, answered by the first option each time. */
async function sat(page: Page, questions = 3): Promise<void> {
  await begin(page, { mode: 'Timed', questions });
  for (let i = 0; i < questions; i++) {
    await choose(page, 0);
    if (i < questions - 1) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Hand in', exact: true }).first().click();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page).toHaveURL(/\/result\//);
}

for (const [size, viewport] of Object.entries(SIZES)) {
  test.describe(size, () => {
    test.use({ viewport });

    test('the quick starts begin something each', async ({ page }) => {
      await signInAs(page, 'Bram Holloway');
      await of(page, 'upland-guide');
      await page.goto('/');
      await expect(page.getByRole('heading', { name: 'Quick starts' })).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
      await page.getByRole('button', { name: /^Ten quick ones/ }).click();
      await expect(page.getByRole('heading', { name: 'Question 1 of 10' })).toBeVisible();
      await page.goto('/');
      await page.getByRole('button', { name: /^My weak spots/ }).click();
      await expect(page.getByRole('heading', { name: 'Why these' })).toBeVisible();
      await expect(page.getByText(/for it costs \d+\.\d points/).first()).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
    });

    test('a rehearsal, one section and a series are one click away', async ({ page }) => {
      await signInAs(page, 'Petra Quill');
      await of(page, 'upland-guide');
      await page.goto('/ready');
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
      await page.getByRole('button', { name: /^Craft 16/ }).click();
      await expect(page.getByRole('heading', { name: 'Rehearsal, Craft' })).toBeVisible();
      await page.goto('/ready');
      await page.getByRole('button', { name: 'Rehearse it' }).click();
      await expect(page.getByRole('row', { name: /Days on the hill 13 2/ })).toBeVisible();
      await page.goto('/exam');
      await expect(page.getByText('160 on a scale from 0 to 240')).toBeVisible();
      // Down to each subtopic, with what to read on it.
      await expect(
        page
          .getByRole('row', { name: /^Knots \d+ / })
          .getByRole('link')
          .first(),
      ).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);

      await of(page, 'refuge-warden');
      await page.goto('/ready');
      await expect(page.getByRole('heading', { name: 'Chapter by chapter' })).toBeVisible();
      const test_ = size === 'desk' ? 'Radio' : 'Food';
      await page.getByRole('button', { name: `Begin ${test_}` }).click();
      await expect(page.getByRole('heading', { name: test_ })).toBeVisible();
      await page.goto('/ready');
      await expect(page.getByRole('row', { name: new RegExp(`^${test_} (8 Timed, 10 min )?1 of 3`) })).toBeVisible();
      await page.getByRole('link', { name: `Go on with ${test_}` }).click();
      await expect(page.getByText('Attempt 1 of 3: it counts as soon as you begin.')).toBeVisible();
      await page.getByRole('link', { name: 'Start the clock' }).click();
      await expect(page.getByRole('heading', { name: 'Question 1 of 8' })).toBeVisible();
    });

    test('a test is found, renamed, sat again, deleted and had back, also after a reload', async ({ page }) => {
      await signInAs(page, 'Noor Selwick');
      await sat(page);
      await page.goto('/tests');
      await expect(page.getByRole('table')).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
      const name = `Huts ${size} ${Date.now()}`;
      await page
        .getByRole('button', { name: /^More with/ })
        .first()
        .click();
      await page.getByRole('button', { name: 'Rename', exact: true }).click();
      await page.getByRole('textbox', { name: 'New name' }).fill(name);
      await page.getByRole('textbox', { name: 'New name' }).press('Enter');
      await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
      // A note on all of it, which is kept as it is typed, and by which it is found.
      await page.getByRole('button', { name: 'Note', exact: true }).click();
      await page.getByLabel('Title of the note').fill(`An evening of rain, ${name}`);
      await page.getByLabel('Note', { exact: true }).fill('Slow with *water*.');
      await expect(page.getByText('Saved as you type')).toBeVisible();
      // What was saved takes nobody out of the field.
      await expect(page.getByLabel('Note', { exact: true })).toBeFocused();
      await page.getByRole('searchbox', { name: 'Find a test by its name' }).fill(`rain, ${name}`);
      await expect(page.getByText(`An evening of rain, ${name}`)).toBeVisible();
      await page.goto('/tests?noted=1');
      await page.getByRole('link', { name, exact: true }).click();
      await expect(page.getByRole('region', { name: 'My note on this test' }).locator('em')).toHaveText('water');
      await page.goto('/library');
      await expect(page.getByRole('link', { name: /note.? on whole tests/ })).toBeVisible();
      await page.goto('/tests');
      await page.getByRole('searchbox', { name: 'Find a test by its name' }).fill(name);
      await expect(page.getByRole('row')).toHaveCount(2);
      await page.getByRole('combobox', { name: 'Mode' }).selectOption('tutor');
      await expect(page.getByText('No test is like that.')).toBeVisible();
      await page.getByRole('button', { name: /^Show all/ }).click();
      await page.getByRole('searchbox', { name: 'Find a test by its name' }).fill(name);
      await page.getByRole('button', { name: `More with ${name}` }).click();
      await page.getByRole('button', { name: 'The same questions again' }).click();
      await expect(page.getByRole('heading', { name: `${name} (2)` })).toBeVisible();
      await page.goBack();
      await page.getByRole('searchbox', { name: 'Find a test by its name' }).fill(`${name} (2)`);
      await page.getByRole('button', { name: `More with ${name} (2)` }).click();
      await page.getByRole('button', { name: 'Delete', exact: true }).click();
      await expect(page.getByText(`${name} (2) is deleted.`)).toBeVisible();
      await page.reload();
      await page.getByRole('button', { name: 'Have it back' }).first().click();
      await expect(page.getByRole('link', { name: `${name} (2)` })).toBeVisible();
      await expect(page.getByText(`${name} (2) is deleted.`)).toHaveCount(0);
    });
  });
}

test.describe('by touch', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a finger sits a test, stars a question, and has what went wrong once more, on paper', async ({ page }) => {
    await signInAs(page, 'Wren Ashlock');
    await of(page, 'refuge-warden');
    await dropOpenTests(page, 'refuge-warden');
    await page.goto('/ready');
    await page.getByRole('button', { name: 'Begin Fire' }).tap();
    await page.getByRole('link', { name: /^(Begin|Start the clock)$/ }).tap();
    await expect(page.getByRole('heading', { name: 'Question 1 of 8' })).toBeVisible();
    await page.getByRole('radio').first().tap();
    await expect(page.getByRole('radio').first()).toBeChecked();
    // Ruling out lies away from the thumb.
    const out = (await page
      .getByRole('button', { name: /^Rule out: / })
      .first()
      .boundingBox())!;
    expect(out.x).toBeLessThan((await page.getByRole('radio').first().boundingBox())!.x);
    await page.getByRole('button', { name: 'Star', exact: true }).tap();
    await expect(page.getByRole('button', { name: 'Starred' })).toBeVisible();
    await page.getByRole('button', { name: 'Hide the clock' }).tap();
    await expect(page.getByRole('timer')).toHaveCount(0);
    await page.getByRole('button', { name: 'Show the clock' }).tap();
    await page.getByRole('button', { name: 'Next', exact: true }).tap();
    await expect(page.getByRole('heading', { name: 'Question 2 of 8' })).toBeVisible();
    await expectNoSidewaysScroll(page);
    await expectRoomForFingers(page);
    await page.getByRole('button', { name: 'Hand in', exact: true }).first().tap();
    await page
      .getByRole('button', { name: /^Hand in/ })
      .last()
      .tap();
    await expect(page).toHaveURL(/\/result\//);
    await page.goto('/tests');
    await page
      .getByRole('button', { name: /^More with/ })
      .first()
      .tap();
    await expectRoomForFingers(page);
    await page.getByRole('button', { name: 'Again: missed, partly, left blank' }).tap();
    await expect(page.getByRole('heading', { name: /, missed$/ })).toBeVisible();
    await expectRoomForFingers(page);
    await page.getByRole('button', { name: 'Sit it on paper' }).tap();
    await page.getByRole('dialog').getByRole('button', { name: 'Sit it on paper' }).tap();
    await expect(page.getByText('You sit it on paper')).toBeVisible();
    for (const path of ['/', '/build', page.url().replace('/briefing/', '/answers/')]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expectRoomForFingers(page);
    }
  });
});

test('a test on paper: booklet, sheet and key are printed, and its answers typed in by keyboard', async ({ page }) => {
  // An account of one's own: what a clock of another test of theirs still asks could not be sat on paper.
  await register(page, 'Ottilie');
  await of(page, 'upland-guide');
  await page.goto('/ready');
  await page.getByRole('button', { name: /^Craft 16/ }).click();
  await page.getByRole('link', { name: 'Print it' }).click();
  // Before one has chosen paper there is no key to print.
  await expect(page.getByRole('checkbox', { name: 'Key with reasons' })).toBeDisabled();
  await expect(page.getByRole('article')).toHaveCount(16);
  await page.goBack();
  const toPaper = async () => {
    await page.getByRole('button', { name: 'Sit it on paper' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Sit it on paper' }).click();
    await expect(page.getByText('You sit it on paper')).toBeVisible();
  };
  // Asked first, and taken back, also after a look at where answers are typed in.
  await toPaper();
  await page.getByRole('link', { name: 'Type in my answers' }).click();
  await expect(page.getByRole('textbox', { name: /^Answer to question/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Sit it on screen after all' }).click();
  await expect(page.getByRole('button', { name: 'Sit it on paper' })).toBeVisible();
  await expect(page.getByText('You sit it on paper')).toHaveCount(0);
  await toPaper();
  await page.getByRole('link', { name: 'Print it' }).click();
  await expect(page.getByRole('article')).toHaveCount(16);
  await expectAccessible(page);
  const booklet = await pages(page);
  await page.getByRole('checkbox', { name: 'Key with reasons' }).check();
  // Who sees the key has seen the questions: that is asked before it is sent.
  await expect(page.getByText('none of these questions is new to you any more')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Key: Rehearsal/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show me the key' }).click();
  await expect(page.getByRole('heading', { name: /^Key: Rehearsal/ })).toBeVisible();
  await expect(page.getByRole('article')).toHaveCount(32);
  const all = await pages(page);
  await page.getByRole('checkbox', { name: 'Booklet' }).uncheck();
  await page.getByRole('checkbox', { name: 'Key with reasons' }).uncheck();
  // Sixteen answers have room on one sheet; each part begins on a page of its own.
  expect(await pages(page)).toBe(1);
  expect(booklet).toBeGreaterThan(3);
  expect(all).toBeGreaterThan(booklet + 1);
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'Booklet' })).not.toBeChecked();

  await page.goto(page.url().replace(/\/print\/(\w+).*/, '/answers/$1'));
  const fields = page.getByRole('textbox', { name: /^Answer to question/ });
  await expect(fields.first()).toBeVisible();
  await expectAccessible(page);
  const lettered = page.getByRole('listitem').filter({ hasText: 'letters, - for' }).first().getByRole('textbox');
  await lettered.fill('?!');
  await expect(page.locator('[aria-invalid]').first()).toBeVisible();
  await lettered.fill('');
  const n = await fields.count();
  await fields.first().focus();
  for (let i = 0; i < n; i++) {
    const said = await fields.nth(i).evaluate((field) => field.nextElementSibling?.textContent ?? '');
    const text = /letters/.test(said) ? 'A' : /number and unit/.test(said) ? '12 km' : /number/.test(said) ? '12' : 'A';
    const order = /all (\d), such as (\w+)/.exec(said)?.[2];
    await expect(fields.nth(i)).toBeFocused();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(order ?? text);
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText('All saved')).toBeVisible();
  await page.reload();
  await expect(fields.first()).not.toHaveValue('');
  await page.getByRole('button', { name: /^Hand in/ }).click();
  const sure = page.getByRole('button', { name: 'Hand in all the same' });
  if (await sure.isVisible()) await sure.click();
  await expect(page).toHaveURL(/\/result\//);
  // The review goes on paper small: sixteen questions with all their reasons on four pages at most.
  await page.getByRole('link', { name: 'Booklet with my answers' }).click();
  await expect(page.getByRole('article')).toHaveCount(16);
  await expectAccessible(page);
  expect(await pages(page)).toBeLessThanOrEqual(4);
  await page.getByRole('checkbox', { name: 'With the reason for each part' }).uncheck();
  await expect(page).toHaveURL(/reasons=0/);
  await page.goto('/tests');
  await expect(
    page.getByRole('row', { name: /Rehearsal, Craft, .*Untimed, on paper \d+ of 16/ }).first(),
  ).toBeVisible();
});

test('a test is shared by a code, and another sits exactly its questions', async ({ page, browser }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 4 });
  const stem = await page.getByRole('main').getByRole('radiogroup').textContent();
  await page.goto('/tests');
  await page
    .getByRole('button', { name: /^More with/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Share it' }).click();
  const code = (await page.getByText('Others join with the code').locator('strong').textContent()) ?? '';
  expect(code).toMatch(/^[A-Z2-9]{8}$/);

  const other = await (await browser.newContext()).newPage();
  await signInAs(other, 'Wren Ashlock');
  await other.goto('/ready');
  await other.getByRole('textbox', { name: 'Code of the test' }).fill('WRONG222');
  await other.getByRole('button', { name: 'Join' }).click();
  await expect(other.getByText('There is no test with this code.')).toBeVisible();
  await other.getByRole('textbox', { name: 'Code of the test' }).fill(code.toLowerCase());
  await other.keyboard.press('Enter');
  await other.getByRole('link', { name: /^(Begin|Start the clock)$/ }).click();
  await expect(other.getByRole('heading', { name: 'Question 1 of 4' })).toBeVisible();
  // The options stand in an order of their own; their words are the same.
  const words = (text: string | null) => [...(text ?? '')].sort().join('');
  expect(words(await other.getByRole('main').getByRole('radiogroup').textContent())).toBe(words(stem));
  await other.context().close();
  await page.getByRole('button', { name: 'Stop sharing' }).click();
  await expect(page.getByText('Others join with the code')).toHaveCount(0);
});

test('all tests by keyboard alone', async ({ page }) => {
  await signInAs(page, 'Idris Vane');
  await of(page, 'upland-guide');
  await page.goto('/tests');
  await page.getByRole('button', { name: 'Share' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('columnheader', { name: 'Share' })).toHaveAttribute('aria-sort', 'descending');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('columnheader', { name: 'Share' })).toHaveAttribute('aria-sort', 'ascending');
  // The list has been turned round: those that are not handed in, then the worst.
  await expect(page.getByRole('row').nth(1)).not.toContainText(/100\s%/);
  await page
    .getByRole('button', { name: /^More with/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'Again: missed, partly, left blank' }).first()).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: /, missed$/ })).toBeVisible();
});
