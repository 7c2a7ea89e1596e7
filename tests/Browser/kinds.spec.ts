import { expect, test } from '@playwright/test';
import { answerAnything, beginPaper, endReading, expectAccessible, expectNoSidewaysScroll, signInAs } from './ways';

test('a fixed paper with every kind of question, from briefing to marking one\u2019s own written answers', async ({
  page,
}) => {
  test.setTimeout(600_000);
  const grumbles: string[] = [];
  page.on('console', (message) => message.type() === 'error' && grumbles.push(message.text()));
  page.on('pageerror', (error) => grumbles.push(error.message));
  await signInAs(page, 'Petra Quill');
  await page.goto('/ready');
  await page.getByRole('button', { name: 'Sit The paper of 2024' }).click();
  await expect(page.getByRole('row', { name: /Ground knowledge 30 1 costs 1\/3/ })).toBeVisible();
  // The plan, with what one means to have left; then the rules, and reading before the clock begins.
  // The break is in the reserve, and reading, sections and reserve add up to all there is.
  await expect(page.getByRole('row', { name: /Ground knowledge .* 44/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^In reserve, the break too\s+10\smin/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /^In all\s+2\sh 30\smin/ })).toBeVisible();
  await page.getByRole('spinbutton', { name: 'with a reserve of' }).fill('90');
  await page.getByRole('button', { name: 'Plan it so' }).click();
  await expect(page.getByRole('alert')).toHaveText('Of this test at most 70 min can be kept in reserve.');
  // The browser says so too, in its own words.
  grumbles.length = 0;
  await page.getByRole('spinbutton', { name: 'with a reserve of' }).fill('0');
  await page.getByRole('button', { name: 'Plan it so' }).click();
  await expect(page.getByRole('row', { name: /Ground knowledge .* 48/ })).toBeVisible();
  await page.getByRole('spinbutton', { name: 'with a reserve of' }).fill('10');
  await page.getByRole('button', { name: 'Plan it so' }).click();
  await expect(page.getByRole('row', { name: /Ground knowledge .* 44/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeDisabled();
  await expectAccessible(page);
  await page.getByRole('checkbox', { name: 'I have read how this is sat.' }).check();
  await page.getByRole('link', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('timer', { name: 'Reading time left' })).toHaveText(/^(10:00|9:5\d)$/);
  await expect(page.getByRole('radio').first()).toBeDisabled();
  await page.keyboard.press('1');
  await page.getByRole('button', { name: 'Flag', exact: true }).click();
  await page.getByRole('button', { name: 'Unflag', exact: true }).click();
  await expectAccessible(page);
  await page.reload();
  await endReading(page);
  await expect(page.getByRole('radio', { checked: true })).toHaveCount(0);
  await expect(page.getByRole('timer', { name: 'Time left' })).toHaveText(/^2:(20:00|19:5\d)/);
  await expect(
    page.getByRole('heading', { name: 'Question 1 of 59, a wrong answer costs 1/3 of a mark' }),
  ).toBeVisible();

  const met = new Set<string>();
  for (let i = 1; i <= 59; i++) {
    await expect(page.getByRole('heading', { name: new RegExp(`^Question ${i} of 59`) })).toBeVisible();
    const kind = await answerAnything(page);
    await expect(page.getByRole('button', { name: new RegExp(`^Question ${i}: answered`) })).toBeVisible();
    if (!met.has(kind)) {
      met.add(kind);
      await expectAccessible(page);
      await page.setViewportSize({ width: 360, height: 700 });
      await expectNoSidewaysScroll(page);
      await page.setViewportSize({ width: 1280, height: 800 });
    }
    if (i < 59) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  expect([...met].sort()).toEqual(['fields', 'menus', 'ordering', 'picture', 'rows', 'several', 'single']);

  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText('Nothing is left blank.')).toBeVisible();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
  await page.getByRole('link', { name: 'Review each question' }).click();
  await page.getByRole('link', { name: /^All \(/ }).click();
  await page
    .getByRole('link', { name: /To be marked/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'A model answer' })).toBeVisible();
  const keep = page.getByRole('button', { name: 'Keep these marks' });
  await expect(keep).toBeDisabled();
  for (const criterion of await page.getByRole('main').getByRole('group').all())
    await criterion.getByRole('radio').last().check();
  await keep.click();
  await expect(page.getByText('2 of 2 marks')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change the marks' })).toBeVisible();
  expect(grumbles).toEqual([]);
});

test('in a series nothing closes unseen or unasked, and leaving a running paper is asked about', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await page.goto('/ready');
  await page.getByRole('button', { name: 'Sit The paper of 2025' }).click();
  await beginPaper(page);
  await page.getByRole('button', { name: 'Question 56:' }).click();
  await expect(page.getByText('There is no going back in a series')).toBeVisible();
  // Nobody jumps over what was never seen, by a press or by its number.
  await expect(page.getByRole('button', { name: 'Question 58: not seen yet, comes in its turn' })).toBeDisabled();
  await page.getByLabel('Go to').fill('58');
  await page.keyboard.press('Enter');
  const blank = page.getByRole('dialog', { name: 'Leave question 56 blank?' });
  await blank.getByRole('button', { name: 'Answer it first' }).click();
  await expect(page.getByRole('heading', { name: 'Question 56 of' })).toBeVisible();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await blank.getByRole('button', { name: 'Leave it blank and go to 57' }).click();
  await expect(page.getByRole('heading', { name: 'Question 57 of' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Question 56: left blank, closed' })).toBeVisible();
  await answerAnything(page);
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 58 of' })).toBeVisible();
  await expect(page.getByText('All saved')).toBeVisible();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByText('This question is closed: your answer stands.')).toBeVisible();
  await expect(page.getByRole('radiogroup').getByRole('radio').first()).toBeDisabled();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText('1 question left blank and closed: 56.')).toBeVisible();
  await page.getByRole('button', { name: 'Go back to the questions' }).click();
  await page.getByRole('link', { name: 'Today' }).click();
  const leaving = page.getByRole('dialog', { name: 'The clock runs on' });
  await leaving.getByRole('link', { name: 'Leave all the same' }).click();
  await expect(page.getByText('its clock runs').first()).toBeVisible();
  await page.getByRole('link', { name: 'Go on', exact: true }).click();
  await expect(page).toHaveTitle(/^\d:\d\d:\d\d · The paper of 2025/);

  await page.getByRole('button', { name: 'Tables' }).click();
  await page.getByRole('searchbox', { name: 'Find in the tables' }).fill('search radius');
  await expect(page.getByRole('combobox', { name: 'Table' })).toHaveValue(/formula/i);
  await expect(page.getByText('Search radius')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('searchbox', { name: 'Find in the tables' }).fill('quicksilver');
  await expect(page.getByText('Nothing in the tables is like that.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary', { name: 'Tables and formulas' })).toBeHidden();
  // The browser asks too, before the page is closed.
  const [asked] = await Promise.all([page.waitForEvent('dialog'), page.close({ runBeforeUnload: true })]);
  expect(asked.type()).toBe('beforeunload');
  await asked.accept();
});

test('pictures, order and gaps work from the keyboard alone', async ({ page }) => {
  await signInAs(page, 'Noor Selwick');
  await page.goto('/ready');
  await page.getByRole('button', { name: 'Sit The paper of 2026' }).click();
  await beginPaper(page);
  const left = new Set(['picture', 'ordering', 'gap']);
  for (let i = 31; i <= 46 && left.size > 0; i++) {
    await page.getByRole('button', { name: `Question ${i}:` }).click();
    const picture = page.getByRole('application');
    const gap = page.getByRole('textbox', { name: 'Gap 1' });
    const down = page.getByRole('button', { name: /^Move down:/ }).first();
    if (left.has('picture') && (await picture.count())) {
      await picture.focus();
      await page.keyboard.press('ArrowRight');
      await page.keyboard.press('Shift+ArrowDown');
      await page.keyboard.press('Enter');
      left.delete('picture');
    } else if (left.has('ordering') && (await down.count())) {
      await down.focus();
      await page.keyboard.press('ArrowDown');
      await expect(page.getByText('Now in place 2 of')).toBeAttached();
      left.delete('ordering');
    } else if (left.has('gap') && (await gap.count())) {
      await gap.focus();
      await page.keyboard.type('[handrail]');
      left.delete('gap');
    } else continue;
    await expect(page.getByRole('button', { name: new RegExp(`^Question ${i}: answered`) })).toBeVisible();
  }
  expect([...left]).toEqual([]);
});

test('a paper is sat without a clock too, and its result says that it is compared with nobody’s', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await page.goto('/ready');
  await page.getByRole('combobox', { name: 'How to sit The paper of 2026' }).selectOption('without a clock');
  await expect(page.getByText('It is compared with nobody’s')).toBeVisible();
  await expectAccessible(page, 'main');
  await page.getByRole('button', { name: 'Sit The paper of 2026' }).click();
  await expect(page.getByRole('heading', { name: 'The paper of 2026, without a clock' })).toBeVisible();
  await page.getByRole('link', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of 59' })).toBeVisible();
  await expect(page.getByRole('timer')).toHaveCount(0);
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: 'Hand in all the same' }).click();
  await expect(page.getByText('but it was not sat as in the exam')).toBeVisible();
});
