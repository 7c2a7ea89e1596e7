import { expect, test, type Page } from '@playwright/test';
import { answerAnything, expectAccessible, expectNoSidewaysScroll, expectRoomForFingers, of, register } from './ways';

const goOn = (page: Page) => page.getByRole('button', { name: /^(Next|Leave it blank)$/ });
const heading = (page: Page, n: number) => page.getByRole('heading', { name: `Question ${n} of at most` });

async function begin(page: Page) {
  // Of one's own: what a clock of another test still asks would keep the result back.
  await register(page, 'Torfinn');
  await of(page, 'upland-guide');
  await page.goto('/ready');
  await page.getByLabel('At most').selectOption('30 questions');
  await page.getByRole('button', { name: 'Begin a test that adapts' }).click();
  await expect(page.getByText('at most 30')).toBeVisible();
}

test('a test that adapts: one question at a time, never back, and a range at the end', async ({ page }) => {
  await begin(page);
  await expectAccessible(page);
  await expect(page.getByRole('link', { name: 'Print it' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Begin' }).click();
  await expect(heading(page, 1)).toBeVisible();
  await expectAccessible(page);
  await expect(page.getByRole('button', { name: /^Question \d/ })).toHaveCount(1);
  await expect(page.getByRole('button', { name: 'Leave it blank' })).toBeVisible();
  await page.getByRole('button', { name: 'Offline', exact: true }).click();
  await expect(page.getByText('this test cannot be taken along')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();

  // What was in front of one when the page went is there again, and the question before it is closed.
  await answerAnything(page);
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(heading(page, 2)).toBeVisible();
  await page.reload();
  await expect(heading(page, 2)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Question 1: answered/ })).toBeDisabled();

  // Ending it sooner is a word apart.
  await page.getByRole('button', { name: 'End it here' }).click();
  await expect(page.getByRole('heading', { name: 'Before you end it' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go back to the questions' }).click();

  for (let n = 2; n <= 30 && !page.url().includes('/result/'); n++) {
    await goOn(page).click();
    await expect(heading(page, n + 1).or(page.getByText('expected of the whole bank'))).toBeVisible();
  }
  await expect(page.getByText('It ended by itself, for it could tell.')).toBeVisible();
  await expect(page.getByText('All that is likely lies below the cut of 65 %.')).toBeVisible();
  await expect(page.getByText(/between \d+\s% and \d+\s%/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'By topic' })).toHaveCount(0);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Another that adapts' }).click();
  await expect(page.getByRole('heading', { name: 'A test that adapts' })).toBeVisible();
  await page.goto('/tests');
  await page
    .getByRole('row', { name: /All topics · adaptive, up to 30/ })
    .first()
    .waitFor();
});

test('without a connection the next question waits, and nothing is lost', async ({ page, context }) => {
  await begin(page);
  await page.getByRole('link', { name: 'Begin' }).click();
  await expect(heading(page, 1)).toBeVisible();
  await answerAnything(page);
  await expect(page.getByText('All saved')).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByText('The next question needs a connection.')).toBeVisible();
  await expect(heading(page, 1)).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(heading(page, 2)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Question 1: answered/ })).toBeDisabled();
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 360, height: 740 }, hasTouch: true });

  test('it fits, and ends where one says so', async ({ page }) => {
    await begin(page);
    await page.getByRole('link', { name: 'Begin' }).click();
    await expect(heading(page, 1)).toBeVisible();
    await expectNoSidewaysScroll(page);
    await expectRoomForFingers(page);
    await page.getByRole('button', { name: 'End it here' }).click();
    await page.getByRole('button', { name: 'End it here' }).click();
    await expect(page.getByText('Before 15 questions nothing is settled, and 1 was asked.')).toBeVisible();
    await expect(page.getByText('You ended it.')).toBeVisible();
    await expectNoSidewaysScroll(page);
  });
});

test('what adapts can be built of some topics, and its result speaks of those', async ({ page }) => {
  // Of one's own: what it asks is met after that.
  await register(page, 'Ketil');
  await of(page, 'upland-guide');
  await page.goto('/build?topics=rope.knots,rope.anchors&pools=');
  await page.getByText('Adapting', { exact: true }).click();
  await expect(page.getByText(/^At most 60 questions on .*adapting, untimed/)).toBeVisible();
  await expect(page.getByText(/These choices have \d+ questions for it/)).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Spread' })).toHaveCount(0);
  await expectAccessible(page, 'main');
  await page.getByRole('textbox', { name: 'How many questions' }).fill('14');
  await expect(page.getByText('A test that adapts asks at most 15 to 100 questions.').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'How many questions' }).fill('30');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('Each question is chosen by your answers so far')).toBeVisible();
  await page.getByRole('link', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of at most 30' })).toBeVisible();
  await page.getByRole('button', { name: 'End it here' }).click();
  await page.getByRole('button', { name: 'End it here' }).click();
  await expect(page.getByText(/expected of Rope and knots/)).toBeVisible();
});
