import { expect, test, type Page } from '@playwright/test';
import {
  begin,
  beginWith,
  expectAccessible,
  expectNoSidewaysScroll,
  expectRoomForFingers,
  select,
  signInAs,
} from './ways';

/** The words that are painted over the text. */
const painted = (page: Page, kind: 'marked' | 'struck') =>
  page.evaluate((kind) => [...(CSS.highlights.get(`uplandia-${kind}`) ?? [])].map(String), kind);

test('the calculator reckons, keeps its tape, and answers a number', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'kinds=number&pools=&count=3&mode=untimed');
  await page.keyboard.press('r');
  const field = page.getByRole('textbox', { name: 'Calculation' });
  await field.fill('1,5 × (4 + 2');
  await field.press('Enter');
  await expect(page.getByRole('alert')).toHaveText(/Are all brackets closed/);
  await field.press(')');
  await field.press('Enter');
  await expect(page.getByRole('list', { name: 'Tape' })).toContainText('9');
  // A sign goes on from the last result.
  await page.getByRole('button', { name: '÷', exact: true }).click();
  await field.press('4');
  await field.press('Enter');
  await page.getByRole('button', { name: 'Answer with 2.25' }).click();
  await expect(page.locator('#the-question').getByRole('textbox').first()).toHaveValue('2.25');
  await page.getByRole('checkbox', { name: 'Scientific' }).check();
  await field.fill('sin(30)');
  await page.getByRole('button', { name: 'Equals' }).click();
  await expect(page.getByRole('list', { name: 'Tape' })).toContainText('0.5');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Tape' })).toContainText('2.25');
  await expect(page.getByText('All saved')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('list', { name: 'Tape' })).toContainText('2.25');
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.locator('#the-question').getByRole('textbox').first()).toHaveValue('2.25');
});

test('the scratch pad is the same after a crash and on another device, and waits for a connection', async ({
  page,
  browser,
}) => {
  await signInAs(page, 'Noor Selwick');
  await begin(page, { mode: 'Tutor', questions: 2 });
  await page.keyboard.press('p');
  const pad = page.getByRole('textbox', { name: 'Scratch pad' });
  await pad.fill('12 km at 4 km/h');
  await expect(page.getByText('Kept', { exact: true })).toBeVisible();
  await page.context().setOffline(true);
  await pad.fill('12 km at 4 km/h: 3 h');
  await expect(page.getByText('Kept on this device; sent when the server is back')).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('Kept', { exact: true })).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: 'Draw' }).click();
  const drawing = page.getByRole('img', { name: /^A drawing of/ });
  const box = (await drawing.boundingBox())!;
  await page.mouse.move(box.x + 30, box.y + 30);
  await page.mouse.down();
  await page.mouse.move(box.x + 90, box.y + 60, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('img', { name: 'A drawing of 1 stroke' })).toBeVisible();
  await expect(page.getByText('Kept', { exact: true })).toBeVisible();

  const other = await (await browser.newContext()).newPage();
  await signInAs(other, 'Noor Selwick');
  await other.goto(page.url());
  await other.getByRole('button', { name: 'Go on here' }).click();
  await other.getByRole('button', { name: 'Scratch' }).click();
  await expect(other.getByRole('textbox', { name: 'Scratch pad' })).toHaveValue('12 km at 4 km/h: 3 h');
  await other.getByRole('button', { name: 'Draw' }).click();
  await expect(other.getByRole('img', { name: 'A drawing of 1 stroke' })).toBeVisible();
  await other.close();
});

test('words are marked and struck, by pointer and by keyboard, and stay with the question', async ({ page }) => {
  await signInAs(page, 'Tamsin Orrel');
  await begin(page, { mode: 'Tutor', questions: 2 });
  // The next question is built already, out of sight.
  const stem = (await page.locator('[data-part="stem"]').filter({ visible: true }).textContent())!.trim();
  const [first = '', second = '', ...others] = stem.split(' ');
  // A short one would be found within another.
  const third = others.reduce((longest, word) => (word.length > longest.length ? word : longest), '');
  await select(page, 'stem', first);
  await page.getByRole('button', { name: 'Mark', exact: true }).first().waitFor();
  await page.getByRole('toolbar').getByRole('button', { name: 'Mark' }).click();
  await expect.poll(() => painted(page, 'marked')).toEqual([first]);
  await select(page, 'stem', third);
  await page.getByRole('toolbar').getByRole('button', { name: 'Strike' }).click();
  await expect.poll(() => painted(page, 'struck')).toEqual([third]);
  // From the keyboard, where nothing can be selected.
  await page.getByRole('textbox', { name: 'Mark words' }).fill(`${first} ${second}`);
  await page.keyboard.press('Enter');
  await expect.poll(() => painted(page, 'marked')).toEqual([`${first} ${second}`]);
  await page.getByRole('textbox', { name: 'Mark words' }).fill('no such words');
  await page.keyboard.press('Enter');
  await expect(page.getByText('These words are not in the question.')).toBeVisible();
  // Selecting words of an option does not choose it.
  const option = await page.locator('[data-part^="option:"]').first().getAttribute('data-part');
  const box = (await page.locator(`[data-part="${option}"]`).boundingBox())!;
  await page.mouse.move(box.x + 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + Math.min(60, box.width - 2), box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await page.getByRole('toolbar').getByRole('button', { name: 'Mark' }).click();
  await expect(page.getByRole('radio').first()).not.toBeChecked();
  await expect.poll(() => painted(page, 'marked').then((all) => all.length)).toBe(2);
  await expectAccessible(page);

  await page.reload();
  await expect.poll(() => painted(page, 'struck')).toEqual([third]);
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect.poll(() => painted(page, 'marked')).toEqual([]);
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await page.getByRole('button', { name: `Clear: ${third}`, exact: true }).click();
  await expect.poll(() => painted(page, 'struck')).toEqual([]);
  await page.getByRole('radio').first().check();
  await page.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  await expect.poll(() => painted(page, 'marked').then((all) => all[0])).toBe(`${first} ${second}`);
});

test('the handbook opens beside the reasons, and the authors can be told a word', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 1 });
  await page.getByRole('button', { name: 'A word to the authors' }).click();
  await page.getByRole('button', { name: 'Tell them' }).click();
  await expect(page.getByRole('alert')).toHaveText('Write a few words, so that the authors can find what you mean.');
  await page.getByRole('textbox', { name: 'What is wrong' }).fill('Two options say the same.');
  await page.getByRole('button', { name: 'Tell them' }).click();
  await expect(page.getByText('The authors have it. Thank you.')).toBeVisible();
  await page.getByRole('radio').first().check();
  await page.getByRole('button', { name: 'Check', exact: true }).click();
  const reference = page.getByText('In the handbook:').getByRole('link').first();
  const title = (await reference.textContent())!;
  await reference.click();
  const beside = page.getByRole('complementary', { name: 'Handbook' });
  await expect(beside.getByRole('heading', { name: title })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  await expectAccessible(page);
});

test('the kit is there without a connection', async ({ page }) => {
  await signInAs(page, 'Noor Selwick');
  const parts = ['Calculator', 'MoreTools', 'Scratch'].map((part) =>
    page
      .waitForResponse((answer) => answer.url().includes(`/${part}-`) && answer.url().endsWith('.js'), {
        timeout: 40_000,
      })
      .then((answer) => answer.finished()),
  );
  await begin(page, { mode: 'Timed', questions: 4, minutes: 30, exam: 'upland-guide' });
  await Promise.all(parts);
  await page.context().setOffline(true);
  await page.keyboard.press('r');
  await page.getByRole('textbox', { name: 'Calculation' }).fill('3 × 4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Tape' })).toContainText('12');
  await page.getByRole('button', { name: 'Tables' }).click();
  await expect(page.getByRole('combobox', { name: 'Table' })).toBeVisible();
  await page.getByRole('button', { name: 'Scratch' }).click();
  await page.getByRole('textbox', { name: 'Scratch pad' }).fill('kept here');
  await expect(page.getByText('Kept on this device; sent when the server is back')).toBeVisible();
  // A page of the handbook and the like say that they cannot be had, and the screen stands.
  await expect(page.getByRole('heading', { name: 'Question 1 of 4' })).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText('Kept', { exact: true })).toBeVisible({ timeout: 15_000 });
});

test('what is to be put in order can be dragged', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'kinds=ordering&pools=&count=2&mode=untimed');
  const items = page.locator('#the-question').getByRole('listitem');
  await expect(items.getByTitle('Drag').first()).toBeVisible();
  const first = (await items.nth(0).locator('[data-part]').textContent())!;
  const second = (await items.nth(1).locator('[data-part]').textContent())!;
  const from = (await items.nth(0).getByTitle('Drag').boundingBox())!;
  const to = (await items.nth(1).getByTitle('Drag').boundingBox())!;
  await page.mouse.move(from.x + 10, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(from.x + 10, to.y + 20, { steps: 8 });
  await page.mouse.up();
  await expect(items.nth(0).locator('[data-part]')).toHaveText(second);
  await expect(items.nth(1).locator('[data-part]')).toHaveText(first);
  await expect(page.getByRole('button', { name: 'Question 1: answered' })).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(items.nth(0).locator('[data-part]')).toHaveText(second);
});

test('what drags is fetched once it is near, and takes no focus away', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  const fetched: string[] = [];
  page.on('request', (request) => fetched.push(request.url()));
  const drags = () => fetched.filter((url) => url.includes('DragList')).length;
  await beginWith(page, 'kinds=single&topics=nav.map&pools=&count=1&mode=untimed');
  await page.waitForTimeout(2_500);
  expect(drags()).toBe(0);
  await beginWith(page, 'kinds=ordering&pools=&count=2&mode=untimed');
  expect(drags()).toBe(0);
  const down = page.getByRole('button', { name: /^Move down:/ }).first();
  const label = (await down.getAttribute('aria-label'))!;
  await down.focus();
  await expect(page.locator('#the-question').getByTitle('Drag').first()).toBeVisible();
  expect(drags()).toBe(1);
  await expect(page.getByRole('button', { name: label, exact: true })).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('button', { name: label, exact: true })).toBeFocused();
  await expect(page.getByRole('button', { name: 'Question 1: answered' })).toBeVisible();
});

test('the look of a sitting: room between lines, and a ruler that follows', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 1 });
  await page.getByRole('button', { name: 'Look' }).click();
  const height = () =>
    page
      .locator('[data-part="stem"] p')
      .filter({ visible: true })
      .evaluate((text) => parseFloat(getComputedStyle(text).lineHeight));
  const before = await height();
  await page.getByRole('radio', { name: 'Widest' }).check();
  await expect.poll(height).toBeGreaterThan(before * 1.3);
  await page.getByRole('checkbox', { name: 'Reading ruler' }).check();
  const ruler = page.locator('.reading-ruler');
  await page.mouse.move(400, 300);
  await expect.poll(async () => Math.round((await ruler.boundingBox())!.y)).toBeGreaterThan(240);
  await page.mouse.move(400, 600);
  await expect.poll(async () => Math.round((await ruler.boundingBox())!.y)).toBeGreaterThan(540);
  await page.reload();
  await expect(ruler).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.dataset.spacing)).toBe('3');
  await page.context().clearCookies({ name: 'uplandia_look' });
});

test.describe('the kit on a phone', () => {
  test.use({ viewport: { width: 360, height: 740 }, hasTouch: true, isMobile: true });

  test('comes from below and leaves the question in sight', async ({ page }) => {
    await signInAs(page, 'Petra Quill');
    await begin(page, { mode: 'Tutor', questions: 2 });
    await page.getByRole('button', { name: 'Kit', exact: true }).tap();
    const sheet = page.getByRole('complementary', { name: 'Calculator' });
    await expect(sheet).toBeVisible();
    expect((await sheet.boundingBox())!.y).toBeGreaterThan(250);
    for (const tool of ['Tables', 'Scratch', 'Look', 'Notes']) {
      await page.getByRole('list', { name: 'Kit' }).getByRole('button', { name: tool }).tap();
      await expectNoSidewaysScroll(page);
      await expectRoomForFingers(page);
    }
    // Of the question behind it some button is always half hidden.
    await expectAccessible(page, 'aside');
    await page.getByRole('button', { name: 'Close', exact: true }).tap();
    await expect(page.getByRole('complementary', { name: 'This question' })).toBeHidden();
    await expectAccessible(page);
    await page.getByRole('radio').first().tap();
    await expect(page.getByRole('radio').first()).toBeChecked();
  });
});

test('a sound is played, paused, wound back and slowed, and can be read', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'tag._holds=sound&pools=&count=1&mode=untimed');
  const seconds = () => page.locator('audio').evaluate((sound: HTMLAudioElement) => sound.currentTime);
  await page.getByRole('button', { name: 'Play it' }).click();
  await expect.poll(seconds).toBeGreaterThan(0.5);
  await page.getByRole('button', { name: 'Pause it' }).click();
  await page.getByRole('slider', { name: 'Place in it' }).fill('3');
  expect(await seconds()).toBeCloseTo(3, 1);
  await page.getByRole('button', { name: 'Ten seconds back' }).click();
  expect(await seconds()).toBe(0);
  await page.getByRole('combobox', { name: 'Speed' }).selectOption('0.75');
  expect(await page.locator('audio').evaluate((sound: HTMLAudioElement) => sound.playbackRate)).toBe(0.75);
  await page.getByRole('button', { name: 'Read it instead' }).click();
  await expect(page.getByRole('button', { name: 'Hide the written version' })).toBeVisible();
  await expectAccessible(page);
});

test.describe('where the player cannot be fetched', () => {
  test.use({ serviceWorkers: 'block' });

  test('a sound is played by the browser’s own', async ({ page }) => {
    await page.route(/\/Player-[^/]*\.js$/, (route) => route.abort());
    await signInAs(page, 'Petra Quill');
    await beginWith(page, 'tag._holds=sound&pools=&count=1&mode=untimed');
    await expect(page.locator('audio[controls]')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Read it instead' })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Play it' })).toHaveCount(0);
  });
});

test('tutor as one likes it: a clock of one’s own, a key without an answer, a check at once, and an answer anew', async ({
  page,
}) => {
  await signInAs(page, 'Tamsin Orrel');
  await begin(page, { mode: 'Tutor', questions: 2 });
  await page.getByRole('button', { name: 'Clock', exact: true }).click();
  await page.getByText('Countdown', { exact: true }).click();
  await page.getByRole('textbox', { name: 'From', exact: true }).fill('1 h 30');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('timer', { name: 'My clock' })).toHaveText(/^1:29:\d\d$/);
  await expect(page.getByRole('banner').getByText(/1:29:\d\d$/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await page.getByRole('button', { name: 'Reset', exact: true }).click();
  await expect(page.getByRole('timer', { name: 'My clock' })).toHaveText('1:30:00');
  // The key without an answer is asked about: it counts as left blank.
  await page.getByRole('button', { name: 'Show it', exact: true }).click();
  const asked = page.getByRole('dialog', { name: 'Show the answer to question 1?' });
  await asked.getByRole('button', { name: 'Show it', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Question 1: left blank' })).toBeVisible();
  // One who wants it so is told as soon as they choose; how sure one is can be said before.
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('checkbox', { name: 'Tutor: check as soon as I choose' }).check();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await page.getByRole('radio', { name: 'Leaning', exact: true }).check();
  await page.getByRole('radiogroup').getByRole('radio').first().click();
  await expect(page.getByRole('button', { name: /^Question 2: (right|missed)/ })).toBeVisible();
  await page.getByRole('button', { name: 'Hand in', exact: true }).first().click();
  await page.getByRole('button', { name: /^Hand in/ }).click();
  await page.getByRole('link', { name: 'Review each question' }).click();
  await page.getByRole('button', { name: 'Answer it anew' }).click();
  await expect(page.getByRole('heading', { name: 'Question 1 of 1' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toHaveCount(0);
});
