import { expect, test, type Page } from '@playwright/test';
import { begin, choose, expectAccessible, send, signInAs } from './ways';

test('Today leads back into the middle of a test', async ({ page }) => {
  await signInAs(page, 'Tamsin Orrel');
  await expect(page.getByRole('heading', { name: 'You are in the middle of a test' })).toBeVisible();
  await page.getByRole('link', { name: 'Go on' }).click();
  // A closed lid stopped the clock; the candidate starts it again.
  await expect(page.getByRole('heading', { name: 'Paused' })).toBeVisible();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Question \d+ of/ })).toBeVisible();
});

test('a result speaks of sureness and habits and leads to the questions', async ({ page }) => {
  await signInAs(page, 'Bram Holloway');
  await page.getByRole('table').getByRole('link').first().click();
  await expect(page.getByRole('region', { name: 'In short' })).toContainText('%');
  await expect(page.getByText('False footing', { exact: true })).toBeVisible();
  // By topic first, then by whatever else differs; each group leads to its questions.
  const by = page.getByRole('group', { name: 'By what' });
  await expect(by.getByRole('button', { pressed: true })).toHaveText('Topic');
  await by.getByRole('button', { name: 'Difficulty' }).press('Enter');
  const hard = page.getByRole('button', { name: /^(Hard|Moderate)$/ }).first();
  await hard.press('Enter');
  await expect(hard).toHaveAttribute('aria-expanded', 'true');
  await expectAccessible(page);
  await page.getByText('As a table').first().click();
  await expect(page.getByRole('table', { name: 'Result by difficulty' })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Question \d+$/ }).first()).toHaveAttribute('href', /^\/review\//);
  const longest = page.getByRole('region', { name: 'Time' }).getByRole('definition').first().getByRole('link').first();
  const number = await longest.textContent();
  await longest.click();
  await expect(page.getByRole('heading', { name: `Question ${number}`, exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
});

test('tutor mode shows the right answer, the choice, every reason and the handbook', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await begin(page, { mode: 'Tutor', questions: 1 });
  await choose(page, 0);
  await page.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(page.getByText('Right answer')).toHaveCount(1);
  await expect(page.getByText('Your choice')).toHaveCount(1);
  await expect(page.getByRole('radiogroup')).toHaveCount(0);
  await page.getByText('In the handbook:').getByRole('link').first().click();
  const [opened] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('link', { name: 'Open it in the handbook' }).click(),
  ]);
  await expect(opened.getByRole('navigation', { name: 'Contents' })).toBeVisible();
  await expect(opened.getByRole('article').getByRole('heading')).toBeFocused();
});

test('an answer can be taken back and an option brought back', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await begin(page, { mode: 'Timed', questions: 2 });
  const rule = page.getByRole('button', { name: /^Rule out/ }).first();
  await rule.click();
  await expect(rule).toHaveAttribute('aria-pressed', 'true');
  await rule.click();
  await expect(rule).toHaveAttribute('aria-pressed', 'false');
  // How sure one is can be said before the answer, and said anew with it.
  await page.getByRole('radio', { name: 'Sure', exact: true }).check();
  await choose(page, 1);
  await expect(page.getByRole('radio', { name: 'Sure', exact: true })).toBeChecked();
  await page.getByRole('radio', { name: 'Leaning', exact: true }).check();
  await page.getByRole('button', { name: 'Take my answer back', exact: true }).click();
  await expect(page.getByRole('radiogroup').getByRole('radio', { checked: true })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Question 1: not answered', exact: true })).toBeVisible();
});

test('the hand-in check leads to what is left, and handing in by accident takes two steps', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await begin(page, { mode: 'Timed', questions: 4 });
  await choose(page, 0);
  await page.getByRole('button', { name: 'Question 3: not seen yet', exact: true }).click();
  await page.getByRole('button', { name: 'Flag', exact: true }).click();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await expect(page.getByText('You have answered 1 of 4 questions.')).toBeVisible();
  await expect(page.getByRole('heading', { name: '1 question flagged' })).toBeVisible();
  await page.getByRole('button', { name: 'Go to question 2', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Question 2 of 4' })).toBeVisible();
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: 'Hand in all the same', exact: true }).click();
  await expect(page.getByText('Fewer than 80 % of the questions were answered')).toBeVisible();
});

test('the exam is the person’s: whoever signs in next on this machine has their own', async ({ page, browser }) => {
  const exam = page.getByRole('combobox', { name: 'Exam' });
  const enter = async (on: Page, key: string) => {
    await on.request.get('/api/session');
    await send(on, 'POST', '/api/session/demo', { person: key });
  };
  await signInAs(page, 'Idris Vane');
  await signInAs(page, 'Tamsin Orrel');
  await exam.selectOption({ label: 'Corvane Refuge Warden Certificate' });
  await expect(page).toHaveURL(/[?]exam=refuge-warden$/);
  await expect(page).toHaveTitle('Today · Corvane Refuge Warden Certificate · Uplandia');
  await page.getByRole('link', { name: 'Progress', exact: true }).click();
  await expect(page).toHaveURL(/progress[?]exam=refuge-warden$/);
  // A link that names another is about that one, here, and changes nobody's choice.
  await page.goto('/tests?exam=upland-guide');
  await expect(exam).toHaveValue('upland-guide');
  await page.getByRole('link', { name: 'Build a test' }).click();
  await expect(exam).toHaveValue('upland-guide');
  // Signed out and in as somebody else, in the same tab and without a reload.
  await page.goto('/tests?exam=refuge-warden');
  await page.getByRole('link', { name: 'Account', exact: true }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByRole('button', { name: /^Idris Vane/ }).click();
  await expect(exam).toHaveValue('upland-guide');
  // On another machine Tamsin finds what she chose.
  const other = await browser.newPage({ baseURL: new URL(page.url()).origin });
  await enter(other, 'tamsin');
  await other.goto('/');
  await expect(other.getByRole('combobox', { name: 'Exam' })).toHaveValue('refuge-warden');
  await other.close();
});

test('a screen that is asked for before anything else has come is the one that comes', async ({ page }) => {
  const held = { exams: () => {}, screen: () => {} };
  const hold = async (what: keyof typeof held, address: RegExp) => {
    const free = new Promise<void>((release) => (held[what] = release));
    await page.route(address, async (route) => {
      await free;
      await route.continue();
    });
  };
  await hold('exams', /\/api\/exams$/);
  await hold('screen', /\/ProgressScreen-.*\.js$/);
  await signInAs(page, 'Tamsin Orrel');
  await page.getByRole('link', { name: 'Progress', exact: true }).click();
  // Today, which is still shown, hears of its exam: it must not put its own address over the one asked for.
  const heard = page.waitForResponse(/\/api\/exams$/);
  held.exams();
  await heard;
  await expect(page.getByRole('combobox', { name: 'Exam' })).toBeVisible();
  held.screen();
  await expect(page.getByRole('heading', { name: 'Where you stand' })).toBeVisible();
  await expect(page).toHaveURL(/\/progress\?exam=upland-guide$/);
});

test('the other exam has its own topics, bank and handbook', async ({ page }) => {
  await signInAs(page, 'Wren Ashlock');
  await page.getByRole('combobox', { name: 'Exam' }).selectOption({ label: 'Corvane Refuge Warden Certificate' });
  await expect(page.getByRole('heading', { name: 'Corvane Refuge Warden Certificate' })).toBeVisible();
  await page.getByRole('link', { name: 'Build a test' }).first().click();
  await expect(page.getByText(/^\d+ questions to draw from$/)).toBeVisible();
  await page.getByRole('link', { name: 'Handbook' }).click();
  await expect(page.getByRole('link', { name: 'Stoves and gas' })).toBeVisible();
});

test('a test that has not begun can be discarded', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await page.goto('/build?count=30');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Begin' })).toBeVisible();
  await page.getByRole('link', { name: 'Later' }).click();
  const unbegun = page.getByText('not begun', { exact: true });
  await expect(unbegun.first()).toBeVisible();
  const before = await unbegun.count();
  await page
    .getByRole('button', { name: /^Discard/ })
    .first()
    .click();
  await expect(unbegun).toHaveCount(before - 1);
});

test('theme and text size are kept and sent with the page, before any script runs', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('radio', { name: 'Clear (high contrast)' }).check();
  await page.getByRole('radio', { name: 'Largest' }).check();
  const [response] = await Promise.all([
    page.waitForResponse((answer) => answer.url().endsWith('/sign-in')),
    page.reload(),
  ]);
  expect(await response.text()).toMatch(/<html[^>]* data-size="4" [^>]*data-theme="clear"/);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'clear');
});

test('signing in with a wrong password says what to do and keeps the address', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill('wren@corvane.example');
  await page.getByLabel('Password').fill('not this one');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByText('This address and password do not belong together.')).toBeVisible();
  await expect(page.getByLabel('E-mail address')).toHaveValue('wren@corvane.example');
});

test('somebody else’s sitting is a page that says there is nothing', async ({ page, browser }) => {
  await signInAs(page, 'Noor Selwick');
  await begin(page, { mode: 'Timed', questions: 2 });
  await expect(page.getByRole('timer')).toContainText(/^3:[34]\d/);
  const other = await (await browser.newContext()).newPage();
  await signInAs(other, 'Petra Quill');
  await other.goto(new URL(page.url()).pathname);
  await expect(other.getByText('There is nothing here.')).toBeVisible();
});

test('keys while sitting can be changed and turned off, and the route line can be skipped', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 3 });
  const heading = page.getByRole('heading', { name: /^Question \d of 3/ });
  await page.keyboard.press(']');
  await expect(heading).toContainText('Question 2');
  await page.getByRole('button', { name: 'Keys' }).click();
  await page.getByLabel('Go on a question').fill('x');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.keyboard.press(']');
  await expect(heading).toContainText('Question 2');
  await page.keyboard.press('x');
  await expect(heading).toContainText('Question 3');
  await page.keyboard.press('?');
  await page.getByLabel('Flag or unflag').fill('x');
  await expect(page.getByText('This key already stands for')).toBeVisible();
  await page.getByLabel('Use single keys while sitting').uncheck();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary', { name: 'Keys' })).toBeHidden();
  await page.keyboard.press('[');
  await page.keyboard.press('1');
  await expect(heading).toContainText('Question 3');
  await expect(page.getByRole('radiogroup').getByRole('radio', { checked: true })).toHaveCount(0);
  await page.evaluate(() => localStorage.removeItem('uplandia.shortcuts'));

  await page.reload();
  await expect(heading).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(heading).toBeFocused();
});

test('a star and a note stay with a question, also in the review and its pools', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 2 });
  await page.getByRole('button', { name: 'Star', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Starred' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.keyboard.type('Read 3.2 once more');
  // It is saved as one types: going on, or a reload, takes nothing away, nor does it take the keyboard.
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByRole('textbox', { name: 'Note' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Question 1: not answered, with a note' })).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByText('Read 3.2 once more')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Question 1 of 2' })).toBeFocused();
  await page.getByRole('button', { name: 'Change the note' }).click();
  await page.getByRole('textbox', { name: 'Note' }).press('End');
  await page.keyboard.type(', and 3.4');
  await expect(page.getByText('Saved as you type')).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByText('Read 3.2 once more')).toBeVisible();
  await page.getByRole('button', { name: 'Change the note' }).click();
  await page.getByRole('textbox', { name: 'Note' }).press('End');
  // Typed to the end and handed in at once: nothing is lost.
  await page.keyboard.type(' and 3.5');
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: /^Hand in/ }).click();
  await page.getByRole('link', { name: 'Review each question' }).click();
  await page.getByRole('link', { name: /^With notes \(1\)/ }).click();
  await expect(page.getByText('Read 3.2 once more, and 3.4 and 3.5')).toBeVisible();
  await page.goto('/build?pools=starred,with_notes&count=1');
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeEnabled();
});

test('a star that is put on and taken off is off, however slow the connection: one thing is sent after the other', async ({
  page,
}) => {
  let [open, most, all] = [0, 0, 0];
  await page.route(/\/star$/, async (route) => {
    most = Math.max(most, ++open);
    all++;
    await page.waitForTimeout(800);
    await route.continue();
    open--;
  });
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 2 });
  await page.getByRole('button', { name: 'Star', exact: true }).click();
  await page.getByRole('button', { name: 'Starred' }).click();
  await expect(page.getByRole('button', { name: 'Star', exact: true })).toHaveAttribute('aria-pressed', 'false');
  await expect.poll(() => [all, open]).toEqual([2, 0]);
  expect(most).toBe(1);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Star', exact: true })).toBeVisible();
});

test('the clock says how the pace is, and can be hidden', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Timed', questions: 10, minutes: 40 });
  await expect(page.getByText('on pace')).toBeVisible();
  await page.getByRole('radio').first().check();
  await expect(page.getByText(/^3\s+min ahead$/)).toBeVisible();
  await page.getByRole('button', { name: 'Hide the clock' }).click();
  await expect(page.getByRole('timer')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Show the clock' })).toBeVisible();
  await page.getByRole('button', { name: 'Show the clock' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
});

test('going on leads to the unanswered, the flagged or the guesses only', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Timed', questions: 5 });
  const at = (n: number) => expect(page.getByRole('heading', { name: `Question ${n} of 5` })).toBeVisible();
  const next = page.getByRole('button', { name: 'Next', exact: true });
  for (const n of [1, 2, 4]) {
    await page.getByRole('button', { name: new RegExp(`^Question ${n}:`) }).click();
    await choose(page, 0);
  }
  await page.getByRole('radio', { name: 'Guess' }).check();
  await page.getByRole('button', { name: /^Question 1:/ }).click();
  const only = page.getByRole('combobox', { name: 'What going on leads to' });
  // One is taken to the first at once, goes round, and sees which they are.
  await only.selectOption({ label: 'only unanswered (2)' });
  await at(3);
  await next.click();
  await at(5);
  await next.click();
  await at(3);
  await page.getByRole('button', { name: 'Go to question 5' }).click();
  await at(5);
  await only.selectOption({ label: 'only guesses (1)' });
  await at(4);
  await expect(page.getByRole('button', { name: 'Question 4: answered, a guess' })).toBeVisible();
  // There is no other: going on leads somewhere all the same.
  await page.getByRole('button', { name: 'All questions again' }).click();
  await next.click();
  await at(5);
  // At the end it leads to what is open, and only then to handing in.
  await page.getByRole('button', { name: 'To the next unanswered (1)' }).click();
  await at(3);
  await choose(page, 1);
  await next.click();
  await next.click();
  await at(5);
  await choose(page, 1);
  await expect(page.getByRole('button', { name: /^To the next unanswered/ })).toHaveCount(0);
  await only.selectOption('guesses');
  await expectAccessible(page);
  await page.setViewportSize({ width: 360, height: 740 });
  await expect(only).toBeVisible();
});
