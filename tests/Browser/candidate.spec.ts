import { expect, test, type Page } from '@playwright/test';
import {
  begin,
  beginWith,
  choose,
  expectAccessible,
  expectAccessibleInThemes,
  expectNoSidewaysScroll,
  letterTo,
  linkIn,
  signInAs,
} from './ways';

test('from sign-in to a marked, explained test, and the next one from what was missed', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Wren Ashlock' }).click();
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
  await begin(page, { mode: 'Tutor', questions: 6 });
  for (let i = 0; i < 6; i++) {
    await choose(page, 0);
    await page.getByRole('button', { name: 'Check', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
    if (i < 5) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText('Nothing is left blank.')).toBeVisible();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
  await expect(page.getByText('you answered all 6')).toBeVisible();
  // The next test is one click away.
  await page.getByRole('button', { name: /^Again: missed, partly, left blank/ }).click();
  await expect(page.getByRole('link', { name: 'Begin' })).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: 'Review each question' }).click();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  await page.getByRole('link', { name: 'All (6)' }).click();
  await page.goto('/build?pools=missed,partly,left_blank');
  // Six first options in a row are hardly ever all right: options are shuffled.
  await expect(page.getByRole('button', { name: /^missed \d/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('textbox', { name: 'How many questions' }).fill('21');
  // More than there are, as it may be: the way out is one click.
  const out = page.getByRole('button', { name: /^Take \d+/ }).first();
  await expect(out).toBeVisible();
  await out.click();
  await page.getByRole('textbox', { name: 'How many questions' }).fill('1');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of 1' })).toBeVisible();
});

test('a reload in mid-test keeps the question, every answer and the clock', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Timed', questions: 6, minutes: 9 });
  await choose(page, 1);
  await page.getByRole('button', { name: 'Flag', exact: true }).click();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await choose(page, 2);
  await expect(page.getByText('All saved')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Question 2 of 6' })).toBeVisible();
  await expect(page.getByRole('radiogroup').getByRole('radio').nth(2)).toBeChecked();
  await expect(page.getByRole('button', { name: 'Question 1: answered, flagged', exact: true })).toBeVisible();
  await expect(page.getByRole('timer')).toContainText(/^[78]:[0-5]\d/);
});

test('answers made without a connection are kept and saved when it is back', async ({ page, context }) => {
  await signInAs(page, 'Idris Vane');
  await begin(page, { mode: 'Timed', questions: 5 });
  await expect(page.getByText('All saved')).toBeVisible();
  await context.setOffline(true);
  await choose(page, 0);
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await choose(page, 3);
  await expect(page.getByText('2 kept on this device')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('All saved')).toBeVisible({ timeout: 60_000 });
  await page.reload();
  await expect(page.getByRole('button', { name: 'Question 1: answered', exact: true })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Question 2: answered', exact: true })).toBeVisible();
});

test('answers made without a connection outlive the page', async ({ page, context }) => {
  await signInAs(page, 'Idris Vane');
  await begin(page, { mode: 'Timed', questions: 5 });
  await expect(page.getByText('All saved')).toBeVisible();
  const address = page.url();
  await context.setOffline(true);
  await choose(page, 2);
  await expect(page.getByText('1 kept on this device')).toBeVisible();
  await page.close();
  await context.setOffline(false);
  const next = await context.newPage();
  await next.goto(address);
  const goOn = next.getByRole('button', { name: 'Go on here', exact: true });
  await expect(goOn.or(next.getByText('All saved'))).toBeVisible();
  if (await goOn.isVisible()) await goOn.click();
  await expect(next.getByText('All saved')).toBeVisible();
  await expect(next.getByRole('radiogroup').getByRole('radio').nth(2)).toBeChecked();
});

test('without a connection a pause is not claimed before it is one', async ({ page, context }) => {
  await signInAs(page, 'Idris Vane');
  await begin(page, { mode: 'Timed', questions: 3 });
  await expect(page.getByText('All saved')).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Pause', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Not paused yet' })).toBeVisible();
  const before = await page.getByRole('timer').textContent();
  await expect(page.getByRole('timer')).not.toHaveText(before ?? '');
  await context.setOffline(false);
  await expect(page.getByRole('heading', { name: 'Paused', exact: true })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await expect(page.getByText('You go on as soon as the server has heard of it')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('heading', { name: 'Question 1 of 3' })).toBeVisible();
});

test('a check without a connection locks the answer at once, and the reasons follow', async ({ page, context }) => {
  await signInAs(page, 'Idris Vane');
  await begin(page, { mode: 'Tutor', questions: 3 });
  await choose(page, 0);
  await expect(page.getByText('All saved')).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(page.getByText('Checked: your answer stands')).toBeVisible();
  await expect(page.getByRole('radiogroup').getByRole('radio').nth(1)).toBeDisabled();
  await context.setOffline(false);
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
});

// By somebody with no other clock running: questions still asked elsewhere are left out of a result.
test('handing in without a connection keeps everything and is done when it is back', async ({ page, context }) => {
  await signInAs(page, 'Wren Ashlock');
  await begin(page, { mode: 'Timed', questions: 2 });
  await expect(page.getByText('All saved')).toBeVisible();
  await context.setOffline(true);
  await choose(page, 0);
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await choose(page, 1);
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText('The server cannot be reached just now.')).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText('you answered all 2')).toBeVisible();
});

test('a second tab must take the pen, and the first is told', async ({ page, context }) => {
  await signInAs(page, 'Bram Holloway');
  await begin(page, { mode: 'Timed', questions: 5 });
  await expect(page.getByText('All saved')).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByText('open in another tab')).toBeVisible();
  await second.getByRole('button', { name: 'Go on here', exact: true }).click();
  await choose(second, 1);
  await expect(second.getByText('All saved')).toBeVisible();
  // The question goes as soon as the server has refused it: nobody waits to see it chosen.
  await page.getByRole('radiogroup').getByRole('radio').nth(2).click();
  await expect(page.getByText('open in another tab')).toBeVisible();
  await expect(page.getByText('1 answer that you made here is not saved yet')).toBeVisible();
});

test('at zero the test is handed in as it stands, and not before: the server’s clock has the last word', async ({
  page,
}) => {
  await signInAs(page, 'Petra Quill');
  await page.clock.install();
  await begin(page, { mode: 'Timed', questions: 3, minutes: 1 });
  await choose(page, 0);
  await expect(page.getByText('All saved')).toBeVisible();
  // Only the browser's clock runs ahead.
  await page.clock.fastForward(70_000);
  await expect(page.getByRole('timer')).toHaveText(/^0:[45]\d/);
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await choose(page, 0);
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible({ timeout: 120_000 });
  await expect(page.getByText('you answered all', { exact: false })).toHaveCount(0);
  await expect(page.getByText('of the 2 of 3 you answered', { exact: false })).toBeVisible();
});

test('at zero without a connection nothing more can be answered, and it is handed in when it is back', async ({
  page,
  context,
}) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'topics=radio&kinds=single&pools=&count=1&mode=timed&each=12', 'refuge-warden');
  await choose(page, 0);
  await expect(page.getByText('All saved')).toBeVisible();
  await context.setOffline(true);
  await expect(page.getByRole('heading', { name: 'Time is up' })).toBeVisible();
  await expect(page.getByRole('radiogroup')).toHaveCount(0);
  await context.setOffline(false);
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('you answered all 1', { exact: false })).toBeVisible();
});

test('the whole sitting works from the keyboard', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await begin(page, { mode: 'Timed', questions: 3 });
  await page.keyboard.press('2');
  await expect(page.getByRole('radiogroup').getByRole('radio').nth(1)).toBeChecked();
  await page.keyboard.press('f');
  await page.keyboard.press(']');
  await expect(page.getByRole('heading', { name: 'Question 2 of 3' })).toBeFocused();
  await page.keyboard.press('[');
  await expect(page.getByRole('button', { name: 'Question 1: answered, flagged', exact: true })).toBeVisible();
});

test('a pause stops the clock and keeps the place', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await begin(page, { mode: 'Timed', questions: 3 });
  await page.getByRole('button', { name: 'Pause', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Paused' })).toBeVisible();
  // The clock is looked at a few times a second: what it showed last is seen once it has been looked at again.
  await page.waitForTimeout(500);
  const before = await page.getByRole('timer').textContent();
  await page.waitForTimeout(1500);
  expect(await page.getByRole('timer').textContent()).toBe(before);
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of 3' })).toBeVisible();
});

test('what cannot be built is said before and after asking', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await page.goto('/build');
  await page.getByRole('textbox', { name: 'How many questions' }).fill('400');
  await expect(page.getByRole('alert')).toContainText('and you asked for 400');
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Clear', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('Choose at least one topic.');
  await page.getByRole('button', { name: 'Choose all', exact: true }).click();
  for (const nonsense of ['0', '501', '2.5', '']) {
    await page.getByRole('textbox', { name: 'How many questions' }).fill(nonsense);
    await expect(page.getByText('A test has 1 to 500 questions, as a whole number.').first()).toBeVisible();
  }
});

test('an account from beginning to end', async ({ page }) => {
  const address = `fern-${Date.now()}@corvane.example`;
  await page.goto('/build');
  await expect(page).toHaveURL(/sign-in\?to=%2Fbuild/);
  await page.getByRole('link', { name: 'Make an account' }).click();
  await page.getByLabel('Name').fill('Fern Tolley');
  await page.getByLabel('E-mail address').fill(address);
  await page.getByRole('button', { name: 'Send me the letter', exact: true }).click();
  await expect(page.getByText('A letter is on its way')).toBeVisible();
  await page.goto(linkIn(await letterTo(address)));
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Make the account', exact: true }).click();
  await expect(page.getByText('at least 10 characters. A short sentence')).toBeVisible();
  await page.getByLabel('Password').fill('over the saddle');
  await page.getByRole('button', { name: 'Make the account', exact: true }).click();
  await expect(page.getByText('Good to see you, Fern Tolley.')).toBeVisible();
  await page.goto('/account');
  await page.getByRole('button', { name: 'Delete my account…', exact: true }).click();
  await page.getByLabel('Your password').fill('over the saddle');
  await page.getByRole('button', { name: 'Delete everything', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

const BEFORE_SIGNING_IN = [
  ['/sign-in', 'Or look round'],
  ['/register', 'I have an account'],
  ['/welcome?token=x', 'Choose a password'],
  ['/forgot', 'Send me a link'],
  ['/new-password', 'Set it'],
] as const;

const SIGNED_IN = [
  ['/', 'Your way through the bank'],
  ['/build', 'to draw from'],
  ['/account', 'Delete my account'],
  ['/handbook/upland-guide/rope.anchors', 'Anchor, holder and load'],
  ['/pieces', 'A figure'],
  ['/nowhere', 'There is no page'],
] as const;

for (const [size, viewport] of Object.entries({
  desk: { width: 1280, height: 800 },
  phone: { width: 390, height: 844 },
  small: { width: 360, height: 640 },
}))
  test.describe(`nothing has a grave fault of accessibility or sticks out sideways: ${size}`, () => {
    test.use({ viewport });
    const look = async (page: Page, ready: string) => {
      await expect(page.getByText(ready).first()).toBeVisible();
      if (size !== 'small') await expectAccessible(page);
      await expectNoSidewaysScroll(page);
    };

    test('what is seen before signing in, and then', async ({ page }) => {
      for (const [path, ready] of BEFORE_SIGNING_IN) {
        await page.goto(path);
        await look(page, ready);
      }
      await signInAs(page, 'Petra Quill');
      for (const [path, ready] of SIGNED_IN) {
        await page.goto(path);
        await look(page, ready);
      }
    });

    test('a test from its first question to its review', async ({ page }) => {
      await signInAs(page, 'Petra Quill');
      await begin(page, { mode: 'Tutor', questions: 3 });
      await choose(page, 0);
      await look(page, 'How sure?');
      await page.getByRole('button', { name: 'Check', exact: true }).click();
      await look(page, 'To take with you');
      await page.getByRole('button', { name: 'Hand in', exact: true }).click();
      await look(page, 'Before you hand in');
      await page.getByRole('button', { name: 'Hand in all the same' }).click();
      await look(page, 'Take it away');
      await page.getByRole('link', { name: 'Review each question' }).click();
      await look(page, 'Review');
      if (size === 'desk') await expectAccessibleInThemes(page);
    });
  });
