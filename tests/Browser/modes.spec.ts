import { expect, test, type Page } from '@playwright/test';
import { OwnServer } from './ownServer';
import {
  answerAnything,
  begin,
  beginWith,
  choose,
  endReading,
  expectAccessible,
  expectNoSidewaysScroll,
  of,
  signInAs,
} from './ways';

/** Begins a test of some choices, as the address of the builder has them. */
const DAY_MS = 86_400_000;
const next = (page: Page) => page.getByRole('button', { name: 'Next', exact: true });
const handIn = (page: Page) => page.getByRole('button', { name: 'Hand in', exact: true });

test('tutor, whole: tries before the key, the first of which counts, and a note by one key', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await begin(page, { mode: 'Tutor', questions: 3 });
  const tell = page.getByRole('button', { name: 'Only tell me if it is right' });
  await expect(tell).toHaveCount(0);

  // The options one by one, until it is found: then the reasons come by themselves.
  let tries = 0;
  for (const option of [0, 1, 2, 3, 4]) {
    const radios = page.getByRole('radiogroup').getByRole('radio');
    if ((await radios.count()) <= option) break;
    await choose(page, option);
    if (tries === 0) await page.getByRole('radio', { name: 'Sure', exact: true }).check();
    await tell.click();
    tries++;
    const found = page.getByRole('heading', { name: 'To take with you' });
    const missed = page.getByText(tries === 1 ? 'This try counts.' : `Try ${tries}:`);
    await expect(found.or(missed).first()).toBeVisible();
    if (await found.isVisible()) break;
    await expect(page.getByRole('radio', { name: 'Sure', exact: true })).toBeDisabled();
    await expect(tell).toBeDisabled();
    if (tries === 1) {
      await expectAccessible(page);
      await page.reload();
      await expect(page.getByText('This try counts.')).toBeVisible();
    }
  }
  const list = page.getByRole('region', { name: 'Tries, the first of which counts' });
  if (tries > 1) {
    await expect(list.getByRole('listitem')).toHaveCount(tries);
    await expect(list.getByRole('listitem').first()).toContainText('Missed');
    await expect(list.getByRole('listitem').last()).toContainText('Right');
    await expect(page.getByRole('button', { name: /^Question 1: missed/ })).toBeVisible();
  } else await expect(page.getByRole('button', { name: /^Question 1: right/ })).toBeVisible();
  await page.getByRole('heading', { name: 'Question 1 of 3' }).focus();
  await page.keyboard.press('n');
  await expect(page.getByRole('textbox', { name: 'Note' })).toBeFocused();
  await page.keyboard.type('A note from the reasons');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Question 1: .*with a note/ })).toBeVisible();

  for (const question of [2, 3]) {
    await next(page).click();
    await expect(page.getByRole('heading', { name: `Question ${question} of 3` })).toBeVisible();
    await choose(page, 1);
    await page.getByRole('heading', { name: /^Question/ }).focus();
    await page.keyboard.press('c');
    await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  }
  await handIn(page).click();
  await handIn(page).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
});

test('untimed, whole: to a question by its number, and one’s own time on it', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'topics=radio,book&kinds=single&pools=&count=12&mode=untimed', 'refuge-warden');
  await expect(page.getByText('on this one')).toHaveCount(0);
  await page.getByRole('button', { name: 'Look', exact: true }).click();
  await page.getByRole('checkbox', { name: 'My time on each question' }).check();
  await expect(page.getByText(/^0:0[1-9] on this one$/)).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  const where = page.getByRole('textbox', { name: 'Go to' });
  await where.fill('13');
  await where.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('There are 1 to 12.');
  await expect(page.getByText(/^0:(0[6-9]|[1-5]\d) on this one$/)).toBeVisible();
  await page.getByRole('heading', { name: 'Question 1 of 12' }).focus();
  await page.keyboard.press('g');
  await expect(where).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('11\n');
  await expect(page.getByRole('heading', { name: 'Question 11 of 12' })).toBeVisible();
  // What was spent on the first, six seconds at least by now, stays with it.
  await expect(page.getByText(/^0:0[0-5] on this one$/)).toBeVisible();

  const answer = async (i: number) => {
    await page.getByRole('button', { name: new RegExp(`^Question ${i}:`) }).click();
    await choose(page, 0);
    await page.getByRole('radio', { name: i % 2 ? 'Guess' : 'Sure', exact: true }).check();
  };
  for (let i = 1; i <= 11; i++) await answer(i);
  // All answers so far are checked at once, after asking; what came of them is hidden and shown again.
  await page.getByRole('button', { name: 'Check all 11 answers' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Not yet' }).click();
  const reasons = page.getByRole('heading', { name: 'To take with you' });
  await expect(reasons).toHaveCount(0);
  await page.getByRole('button', { name: 'Check all 11 answers' }).click();
  await expect(page.getByRole('dialog')).toContainText('the 1 question without an answer');
  await page.getByRole('dialog').getByRole('button', { name: 'Check them' }).click();
  await expect(reasons.first()).toBeVisible();
  await expect(page.getByRole('button', { name: /^Question 4: (right|missed|partly)/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Hide again' }).click();
  await expect(reasons).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Question 4: (right|missed|partly)/ })).toHaveCount(0);
  await expect(page.getByText('Checked and hidden')).toBeVisible();
  await page.getByRole('button', { name: 'Show again' }).click();
  await expect(reasons.first()).toBeVisible();
  await answer(12);
  // As large as with twice the size of everything: nothing is lost, and there is room to read.
  await page.setViewportSize({ width: 640, height: 400 });
  await expectNoSidewaysScroll(page);
  await expect(page.getByRole('radio').first()).toBeInViewport();
  await expect(handIn(page).first()).toBeInViewport();
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(page.getByRole('button', { name: 'Check', exact: true })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Only tell me if it is right' })).toHaveCount(0);
  await handIn(page).click();
  await expect(page.getByText('6 answers guessed')).toBeVisible();
  await handIn(page).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
});

test('a paper: tried out first, read, and a break that closes what was seen', async ({ page }) => {
  test.setTimeout(400_000);
  await signInAs(page, 'Petra Quill');
  await of(page, 'upland-guide');
  await page.goto('/ready');
  await page.getByRole('button', { name: 'Sit The paper of 2025' }).click();
  await expect(page.getByText('The scaled score runs from 0 to 240; 160 passes.')).toBeVisible();

  await page.getByRole('link', { name: 'Try the screen out first' }).click();
  const [, kinds] = /of (\d+)/.exec((await page.getByRole('heading', { name: /^Question 1 of/ }).textContent())!)!;
  const met = new Set<string>();
  for (let i = 1; i <= Number(kinds); i++) {
    await expect(page.getByRole('heading', { name: `Question ${i} of ${kinds}` })).toBeVisible();
    met.add(await answerAnything(page));
    await expect(page.getByRole('button', { name: new RegExp(`^Question ${i}: answered`) })).toBeVisible();
    await expectAccessible(page, 'main');
    if (i < Number(kinds)) await next(page).click();
  }
  expect([...met].sort()).toEqual(['fields', 'menus', 'ordering', 'picture', 'rows', 'several', 'single']);
  await handIn(page).first().click();
  await expect(page.getByText('Nothing is left blank.')).toBeVisible();
  await handIn(page).click();

  // It has not begun, and nothing of it is known.
  await expect(page.getByRole('button', { name: 'Begin', exact: true })).toBeDisabled();
  await page.getByRole('checkbox', { name: 'I have read how this is sat.' }).check();
  await page.getByRole('link', { name: 'Begin', exact: true }).click();
  await endReading(page);
  await choose(page, 0);
  // The break comes after the first section: all of its thirty questions have to be seen.
  await expect(page.getByRole('button', { name: 'Break', exact: true })).toBeDisabled();
  for (let i = 2; i <= 30; i++) {
    await next(page).click();
    await expect(page.getByRole('heading', { name: `Question ${i} of 59` })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Break', exact: true }).click();
  await expect(page.getByText(/^10\smin are meant for it\./)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Before your break' })).toBeVisible();
  await expect(page.getByText('29 questions that you have seen would be left blank for good')).toBeVisible();
  await page.getByRole('button', { name: 'Begin the break' }).click();
  await expect(page.getByRole('heading', { name: 'On a break' })).toBeVisible();
  await page.getByRole('button', { name: 'End the break' }).click();
  await expect(page.getByRole('heading', { name: 'Question 30 of 59' })).toBeVisible();
  await expect(page.getByRole('radio').first()).toBeDisabled();
  await page.getByRole('button', { name: /^Question 1:/ }).click();
  await expect(page.getByText('This question is closed: your answer stands.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Break', exact: true })).toHaveCount(0);
  await page.getByRole('button', { name: /^Question 31:/ }).click();
  await expect(page.getByText('This question is closed')).toHaveCount(0);
  await handIn(page).click();
  await expect(page.getByText('1 question left blank, 28 not reached')).toBeVisible();
  await expect(page.getByText('29 questions left blank and closed')).toBeVisible();
  await page.getByRole('button', { name: 'Hand in all the same' }).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
});

test('the server is killed in the middle of a test, and nothing is lost', async ({ page, browser }) => {
  const server = new OwnServer(0);
  await server.start();
  try {
    const other = await browser.newPage({ baseURL: server.address });
    await signInAs(other, 'Noor Selwick');
    await begin(other, { mode: 'Timed', questions: 4, minutes: 30 });
    await choose(other, 0);
    await expect(other.getByText('All saved')).toBeVisible();
    await next(other).click();
    server.kill();
    await choose(other, 1);
    await next(other).click();
    await choose(other, 2);
    await expect(other.getByText('No connection: 2 kept on this device')).toBeVisible();
    await server.start();
    await expect(other.getByText('All saved')).toBeVisible({ timeout: 60_000 });
    const address = new URL(other.url()).pathname;

    // Another browser, on another server over the same data: the same question, the same answers, the same clock.
    await signInAs(page, 'Noor Selwick');
    await page.goto(address);
    const goOn = page.getByRole('button', { name: 'Go on here' });
    await expect(goOn).toBeVisible();
    await goOn.click();
    await expect(page.getByRole('heading', { name: 'Question 3 of 4' })).toBeVisible();
    await expect(page.getByRole('radiogroup').getByRole('radio').nth(2)).toBeChecked();
    await expect(page.getByRole('button', { name: /: answered/ })).toHaveCount(3);
    await expect(page.getByRole('timer', { name: 'Time left' })).toHaveText(/^3[5-7]:/);
    await handIn(page).click();
    await page.getByRole('button', { name: 'Hand in all the same' }).click();
    await expect(page.getByText(/3 of 4/).first()).toBeVisible();
  } finally {
    server.kill();
  }
});

for (const [which, goOn] of [
  ['goes on', async (page: Page) => page.clock.fastForward(DAY_MS)],
  ['stands', async (page: Page) => page.clock.setSystemTime(Date.now() + DAY_MS)],
] as const)
  test(`a lid that is closed for a day takes no second and no answer: the browser’s own clock ${which} meanwhile`, async ({
    browser,
  }) => {
    const server = new OwnServer(0);
    await server.start();
    try {
      const page = await browser.newPage({ baseURL: server.address });
      await page.clock.install();
      await signInAs(page, 'Noor Selwick');
      await begin(page, { mode: 'Timed', questions: 2, minutes: 10 });
      await choose(page, 1);
      await expect(page.getByText('All saved')).toBeVisible();
      // First the connection goes, and something is answered without it.
      server.kill();
      await next(page).click();
      await choose(page, 2);
      await expect(page.getByText('No connection: 1 kept on this device')).toBeVisible();
      await goOn(page);
      await expect(page.getByRole('radiogroup').getByRole('radio').nth(2)).toBeChecked();
      await server.start(1);
      await expect(page.getByRole('heading', { name: 'Paused' })).toBeVisible();
      await expect(page.getByText('does not count')).toHaveCount(0);
      await page.getByRole('button', { name: 'Go on', exact: true }).click();
      await expect(page.getByRole('heading', { name: 'Question 2 of 2' })).toBeVisible();
      await expect(page.getByRole('radiogroup').getByRole('radio').nth(2)).toBeChecked();
      await expect(page.getByRole('timer', { name: 'Time left' })).toHaveText(/^12:[0-2]\d/);
      await choose(page, 0);
      await expect(page.getByText('All saved')).toBeVisible();
      await page.reload();
      await expect(page.getByRole('button', { name: /: answered/ })).toHaveCount(2);
      await page.close();
    } finally {
      server.kill();
    }
  });

test.describe('with a finger', () => {
  test.use({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 800 } });

  test('matching, groups and pictures', async ({ page }) => {
    test.setTimeout(300_000);
    await signInAs(page, 'Petra Quill');
    await beginWith(page, 'kinds=matching&pools=&count=1&mode=untimed');
    await page.locator('#the-question select').first().selectOption({ index: 2 });
    await expect(page.getByRole('button', { name: /^Question 1: answered/ })).toBeVisible();

    await beginWith(page, 'kinds=grouping&pools=&count=1&mode=untimed');
    await expect(page.locator('#the-question').getByTitle('Drag').first()).toBeVisible();
    await drag(page, '#the-question [title=Drag]', '#the-question ul > li:nth-child(2)');
    await expect(page.getByRole('radio', { checked: true })).toHaveCount(1);

    await beginWith(page, 'kinds=picture&pools=&count=1&mode=untimed');
    await page.getByRole('button', { name: 'Closer' }).tap();
    await expect(page.getByText('1.6 times as large.')).toBeAttached();
    await page.getByRole('application').tap({ position: { x: 60, y: 60 } });
    await expect(page.getByRole('button', { name: /^Take/ }).first()).toBeVisible();
    await page.getByRole('button', { name: 'The whole picture' }).tap();
    await expect(page.getByText('times as large.')).toHaveCount(0);
    await expectAccessible(page);
  });
});

/** Drags with one finger, as a screen tells it. */
async function drag(page: Page, what: string, where: string): Promise<void> {
  const from = (await page.locator(what).first().boundingBox())!;
  const to = (await page.locator(where).first().boundingBox())!;
  const cdp = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x: number, y: number) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
  const [x, y] = [from.x + from.width / 2, from.y + from.height / 2];
  const [toX, toY] = [to.x + to.width / 2, to.y + to.height / 2];
  await touch('touchStart', x, y);
  await page.waitForTimeout(400);
  for (let i = 1; i <= 10; i++) await touch('touchMove', x + ((toX - x) * i) / 10, y + ((toY - y) * i) / 10);
  await touch('touchEnd', toX, toY);
}

test('with a mouse: what belongs together is dragged, and a picture is looked at closely', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'kinds=matching&pools=&count=1&mode=untimed');
  const chip = page.locator('#the-question ul').getByTitle('Drag').nth(1);
  await expect(chip).toBeVisible();
  const words = (await chip.textContent())!.trim();
  const row = page.locator('#the-question select').first();
  const [from, to] = [(await chip.boundingBox())!, (await row.boundingBox())!];
  await page.mouse.move(from.x + 20, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x - 60, to.y + 15, { steps: 8 });
  await page.mouse.up();
  await expect(row.locator('option:checked')).toHaveText(words);
  await page.reload();
  await expect(row.locator('option:checked')).toHaveText(words);
  await expectAccessible(page);

  await beginWith(page, 'kinds=picture&pools=&count=1&mode=untimed');
  const picture = page.getByRole('application');
  await picture.focus();
  await expect(page.getByRole('button', { name: 'Closer' })).toBeEnabled();
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await expect(page.getByText('2.6 times as large.')).toBeAttached();
  await picture.evaluate((frame) => frame.scrollIntoView({ block: 'center' }));
  const lies = () => picture.evaluate((frame) => (frame.firstElementChild as HTMLElement).style.transform);
  const before = await lies();
  const box = (await picture.boundingBox())!;
  await page.mouse.move(box.x + 200, box.y + 150);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + 100, { steps: 6 });
  await page.mouse.up();
  await expect.poll(lies).not.toBe(before);
  // Pushing it about sets no point.
  await expect(page.getByRole('button', { name: /^Take/ })).toHaveCount(0);
  await picture.click({ position: { x: 150, y: 100 } });
  await expect(page.getByRole('button', { name: /^Take/ }).first()).toBeVisible();
  await page.keyboard.press('0');
  await expect(page.getByText('times as large.')).toHaveCount(0);
});

test('a long list stands in columns, is found by typing, and takes more than the limit, which then counts nothing', async ({
  page,
}) => {
  await signInAs(page, 'Petra Quill');
  await beginWith(page, 'topics=nav.bearings&kinds=several&words=ramp&pools=&count=1&mode=untimed');
  const options = page.locator('#the-question').getByRole('checkbox');
  await expect(options).toHaveCount(24);
  const [first, second] = [(await options.nth(0).boundingBox())!, (await options.nth(1).boundingBox())!];
  expect(second.x).toBeGreaterThan(first.x + 100);
  expect(Math.abs(second.y - first.y)).toBeLessThan(4);
  const find = page.getByRole('searchbox', { name: 'Find among the options' });
  await find.fill('113');
  await expect(page.getByText('1 of 24 shown')).toBeVisible();
  await options.first().check();
  await expect(page.getByText('1 of 7 chosen')).toBeVisible();
  await expectAccessible(page);
  await find.fill('no such thing');
  await expect(page.getByText('0 of 24 shown')).toBeVisible();
  await find.press('Escape');
  await expect(page.getByRole('checkbox', { name: '113°' })).toBeChecked();
  // As the exam has it: what is too much is said, and can still be taken back.
  for (const bearing of ['031°', '044°', '058°', '062°', '066°', '068°', '069°'])
    await page.getByRole('checkbox', { name: bearing }).check();
  await expect(page.getByText('8 chosen: more than 7, so it counts nothing.')).toBeVisible();
  await page.getByRole('checkbox', { name: '031°' }).uncheck();
  await expect(page.getByText('7 of 7 chosen')).toBeVisible();
  await page.setViewportSize({ width: 360, height: 700 });
  await expectNoSidewaysScroll(page);
});

test('a picture of a page comes close, is pushed about and put back, by keys alone', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await page.goto('/handbook/upland-guide/law.erosion');
  await page
    .getByRole('button', { name: /^Enlarge: / })
    .first()
    .press('Enter');
  const close = page.getByRole('dialog', { name: 'Picture' });
  const picture = close.getByRole('application');
  const shown = () => close.locator('img').evaluate((image) => getComputedStyle(image).transform);
  await picture.press('+');
  await expect(close.getByText('1.6 times as large.')).toBeAttached();
  const before = await shown();
  await picture.press('ArrowRight');
  expect(await shown()).not.toBe(before);
  await expectAccessible(page);
  await picture.press('0');
  await expect(close.getByRole('button', { name: 'The whole picture' })).toBeDisabled();
  await page.keyboard.press('Escape');
  await expect(close).toBeHidden();
});
