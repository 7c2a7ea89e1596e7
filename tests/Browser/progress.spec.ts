import { expect, test } from '@playwright/test';
import { inDays } from './ownServer';
import { expectAccessible, expectAccessibleInThemes, expectNoSidewaysScroll, signInAs } from './ways';

test('reading where one stands, and starting what is new in a subtopic', async ({ page }) => {
  await signInAs(page, 'Idris Vane');
  await page.getByRole('link', { name: 'Progress' }).click();
  await expect(page.getByText(/You would pass today with a chance of about/)).toBeVisible();
  await expect(
    page.getByRole('img', { name: /^Estimated mastery against the cut of 65 %: Map and compass/ }),
  ).toBeVisible();
  // What would move it is there, or everything lies above the cut; its course is a table too.
  await page.getByRole('figure', { name: 'Pass outlook' }).getByText('As a table').click();
  await expect(page.getByRole('table', { name: 'Pass outlook by day' }).getByRole('row').nth(2)).toBeVisible();
  const topic = page.getByRole('button', { name: 'Map and compass' });
  await topic.press('Enter');
  await expect(topic).toHaveAttribute('aria-expanded', 'true');
  await page
    .getByRole('link', { name: /^\d+ new ones?$/ })
    .first()
    .click();
  await expect(page.getByText('to draw from')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeEnabled();
});

test('the over-confident one is told so, and a test of the trend is one click away', async ({ page }) => {
  await signInAs(page, 'Bram Holloway');
  await page.goto('/progress');
  await expect(page.getByText(/^Of late you are surer than right, by \d+ points/)).toBeVisible();
  const trend = page.getByRole('figure', { name: 'How your tests came out' });
  await trend.getByRole('button', { name: 'Tutor' }).press('Enter');
  await trend.getByText('As a table').click();
  await trend.getByRole('table').getByRole('link').first().click();
  await expect(page.getByRole('heading', { name: 'Every question' })).toBeVisible();
});

for (const [size, width, height] of [
  ['desk', 1280, 800],
  ['phone', 360, 640],
] as const) {
  test(`progress has no grave fault of accessibility in any theme: ${size}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await signInAs(page, 'Bram Holloway');
    await page.goto('/progress');
    await expect(page.getByRole('heading', { name: 'Topic by topic' })).toBeVisible();
    await expectNoSidewaysScroll(page);
    await (size === 'desk' ? expectAccessibleInThemes(page) : expectAccessible(page));
  });
}

test('the date of the exam is set in one step, and what helps most begins with one click', async ({ page }) => {
  await signInAs(page, 'Noor Selwick');
  await page.getByRole('button', { name: 'When is your exam?' }).click();
  await page.getByLabel('Day of the exam').fill(inDays(30));
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('30 days to the exam')).toBeVisible();
  await page.getByRole('button', { name: 'Change the date' }).click();
  await page.getByLabel('Day of the exam').fill(inDays(1));
  await page.keyboard.press('Enter');
  await expect(page.getByText('The exam is tomorrow')).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await page.getByRole('button', { name: 'Change the date' }).click();
  await page.getByLabel('Day of the exam').fill('');
  await page.getByRole('button', { name: 'No date' }).click();
  await expect(page.getByRole('button', { name: 'When is your exam?' })).toBeVisible();
  const steps = page.getByRole('region', { name: 'What helps most now' }).getByRole('listitem');
  expect(await steps.count()).toBeGreaterThanOrEqual(2);
  await steps
    .getByRole('button', { name: /^Begin: / })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /^Question 1 of/ })).toBeVisible();
});
