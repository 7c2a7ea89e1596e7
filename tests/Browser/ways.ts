import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** Signs in as one of the demo's people with one click. */
export async function signInAs(page: Page, name: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name }).click();
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
}

/** Builds a test and begins it. */
export async function begin(
  page: Page,
  { mode, questions, minutes }: { mode: 'Tutor' | 'Timed'; questions: number; minutes?: number },
): Promise<void> {
  await page.goto('/build');
  await page.getByRole('radio', { name: mode, exact: true }).check();
  await page.getByRole('spinbutton', { name: 'How many questions' }).fill(String(questions));
  if (minutes) await page.getByRole('spinbutton', { name: 'Minutes' }).fill(String(minutes));
  await page.getByRole('button', { name: 'Build it', exact: true }).click();
  await page.getByRole('link', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of' })).toBeVisible();
}

/** Chooses the option at a place, from 0, of the question on screen. */
export async function choose(page: Page, place: number): Promise<void> {
  await page.getByRole('radiogroup').getByRole('radio').nth(place).check();
}

/** No serious fault of accessibility on the screen as it is. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(grave.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual([]);
}

/** Nothing sticks out sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(over).toBeLessThanOrEqual(0);
}
