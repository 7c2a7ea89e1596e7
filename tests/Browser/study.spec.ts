import { expect, test, type Browser, type Page, type Route } from '@playwright/test';
import { inDays, OwnServer } from './ownServer';
import {
  answerAnything,
  begin,
  beginWith,
  choose,
  dropOpenTests,
  expectAccessible,
  expectAccessibleInThemes,
  expectNoSidewaysScroll,
  of,
  register,
  signIn,
  signInAs,
} from './ways';

const letters = (text: string) => text.replace(/[^\p{L}\p{N}]/gu, '');

/** The right option of each question of a handed-in sitting of single answers, by the question's beginning. */
async function keysOf(page: Page, sitting: string): Promise<Map<string, string>> {
  const answer = await page.request.get(`/api/sittings/${sitting}/key`);
  const { answers } = (await answer.json()) as {
    answers: { question: { stem: string }; parts: { verdict: string; text: string }[] }[];
  };
  return new Map(
    answers.map(({ question, parts }) => [
      letters(question.stem).slice(0, 40),
      letters(parts.find(({ verdict }) => verdict === 'right' || verdict === 'missing')?.text ?? ''),
    ]),
  );
}

/** Goes through a test in tutor mode, each question rightly or wrongly, and hands it in. */
async function answerAll(page: Page, questions: number, keys: Map<string, string>, rightly: boolean): Promise<void> {
  for (let i = 1; i <= questions; i++) {
    await expect(page.getByRole('heading', { name: `Question ${i} of ${questions}` })).toBeVisible();
    const options = await page.getByRole('radiogroup').getByRole('radio').all();
    const names = await Promise.all(
      options.map((option) => option.evaluate((one) => one.closest('label')?.textContent ?? '')),
    );
    const asked = letters(await page.getByRole('article', { name: /^Question/ }).innerText());
    const key = [...keys].find(([stem]) => asked.includes(stem))?.[1];
    // Of "5 min" and "15 min" the shorter is the one that is meant.
    const ending = names.map(letters).filter((name) => key !== undefined && name.endsWith(key));
    const meant = ending.sort((one, other) => one.length - other.length)[0];
    const place = names.findIndex((name) => (letters(name) === meant) === rightly);
    await options[Math.max(0, place)]?.check();
    await page.getByRole('radio', { name: 'Sure', exact: true }).check();
    await page.getByRole('button', { name: 'Check', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
    if (i < questions) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: /^Hand in/ }).click();
  await expect(page.getByRole('heading', { name: 'Every question' })).toBeVisible();
}

test('a new person’s first day', async ({ page }) => {
  await register(page, 'Moss');
  await of(page, 'refuge-warden');
  await page.goto('/');
  const steps = page.getByRole('region', { name: 'What helps most now' });
  await expect(steps.getByRole('listitem')).toHaveCount(1);
  await expect(steps).toContainText('You see the answer and the reason after each one.');
  for (const [path, says] of [
    ['/progress', 'Nothing has been answered yet.'],
    ['/gaps', 'Nothing is in your gap book.'],
    ['/revisits', 'Nothing comes back yet.'],
    ['/cards', 'You have no cards yet.'],
    ['/cards/session', 'No card is due.'],
    ['/handbook/refuge-warden?mine', 'You have not marked anything here yet.'],
    ['/library', 'You have not met a question yet.'],
    ['/plan', 'When is your exam?'],
    ['/tests', 'No tests of this exam yet.'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByText(says).first()).toBeVisible();
    await expectAccessible(page);
  }
  await page.goto('/');
  await steps.getByRole('button', { name: /^Begin: / }).click();
  for (let i = 1; i <= 10; i++) {
    await expect(page.getByRole('heading', { name: `Question ${i} of 10` })).toBeVisible();
    // A few are read; what comes too fast says nothing.
    if (i <= 3) await page.waitForTimeout(9_000);
    await answerAnything(page);
    await page.getByRole('button', { name: 'Check', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
    if (i < 10) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: /^Hand in/ }).click();
  await expect(page.getByRole('heading', { name: 'By topic' })).toBeVisible();
  // Something true, and what is missing before more can be said.
  await page.goto('/progress');
  await expect(
    page.getByText(/Too early to tell. Still wanted: \d+ more questions? met for the first time/).first(),
  ).toBeVisible();
  await expect(page.getByRole('figure', { name: 'Toward all of it, all right' })).toContainText('10 of 111');
});

/** The same data some days on, on a server of its own whose clock goes ahead. */
async function later(browser: Browser, server: OwnServer, days: number, address: string): Promise<Page> {
  await server.start(days);
  const page = await browser.newPage({ baseURL: server.address });
  await signIn(page, address);
  await of(page, 'refuge-warden');
  return page;
}

test('a week: a plan, a miss with its cause and its page, a drill, revisits, a gap that closes and opens again', async ({
  page,
  browser,
}) => {
  const address = await register(page, 'Heather');
  await of(page, 'refuge-warden');

  // The plan.
  await page.goto('/plan');
  await page.getByRole('button', { name: 'When is your exam?' }).click();
  await page.getByLabel('Day of the exam').fill(inDays(35));
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('How many hours a week do you have?')).toBeVisible();
  await page.getByLabel('Hours a week').fill('many');
  await page.getByRole('button', { name: 'Lay out the weeks' }).click();
  await expect(page.getByText('Say how many hours a week you have')).toBeVisible();
  await page.getByLabel('Hours a week').fill('3.5');
  await page.getByRole('button', { name: 'Sun', exact: true }).click();
  await page.getByRole('button', { name: 'Lay out the weeks' }).click();
  await expect(
    page.getByText(/^\d weeks, .* It fits: all is met in time\. Left over: .* for rehearsals and papers/),
  ).toBeVisible();
  await expectAccessible(page);
  const calendar = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Into my calendar (iCalendar)' }).click();
  expect((await calendar).suggestedFilename()).toMatch(/\.ics$/);

  // Misses.
  await begin(page, { mode: 'Tutor', questions: 3 });
  await answerAll(page, 3, new Map(), true);
  const first = /result\/(\w+)/.exec(page.url())?.[1] ?? '';
  const keys = await keysOf(page, first);
  await begin(page, { mode: 'Tutor', questions: 3 });
  await answerAll(page, 3, new Map(), true);
  for (const [stem, key] of await keysOf(page, /result\/(\w+)/.exec(page.url())?.[1] ?? '')) keys.set(stem, key);
  await page.goto('/');
  await expect(page.getByText(/6 of \d+ questions/)).toBeVisible();
  await page.getByRole('link', { name: 'Study' }).click();
  const rows = page.getByRole('region', { name: 'Gaps' }).getByRole('listitem');
  // Six guesses of the first option: hardly all of them right.
  await expect(rows.first()).toBeVisible();

  // A cause, and the page to read.
  await page
    .getByRole('button', { name: /^More of: / })
    .first()
    .click();
  await page.getByLabel('What lay behind it').selectOption({ label: 'Mixed two things up' });
  await expect(rows.first()).toContainText('mixed two things up');
  await expectAccessible(page);
  await rows
    .first()
    .getByRole('link', { name: /^Read “/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/handbook\/refuge-warden\//);
  await expect(page.getByRole('article')).toBeVisible();
  await page.goto('/gaps?cause=mixed_up');
  await expect(rows).toHaveCount(1);

  // A drill: right once, so they are closing.
  await page.getByRole('button', { name: 'Drill it' }).click();
  await answerAll(page, 1, keys, true);
  await page.goto('/gaps?state=closing');
  await expect(rows).toHaveCount(1);

  const [next, third] = [new OwnServer(0), new OwnServer(1)];
  try {
    // The next day: what was missed is due, and the gap closes.
    let day = await later(browser, next, 1, address);
    await day.goto('/revisits');
    await expect(day.getByText(/\d+ (is|are) due today/)).toBeVisible();
    await day
      .getByRole('button', { name: /^In 3 days|^Not before three days/ })
      .first()
      .click();
    await day.goto('/gaps?cause=mixed_up');
    await day.getByRole('button', { name: 'Drill it' }).click();
    await answerAll(day, 1, keys, true);
    await day.goto('/gaps?state=closed');
    await expect(day.getByRole('region', { name: 'Gaps' }).getByRole('listitem')).toHaveCount(1);
    await day.close();

    // Two days on a session of revisits, and a miss that opens it again.
    day = await later(browser, third, 3, address);
    await day.goto('/revisits');
    const all = day.getByRole('button', { name: /^Revisit (it|all \d+)$/ });
    const due = Number(/\d+/.exec((await all.textContent()) ?? '')?.[0] ?? 1);
    await all.click();
    await answerAll(day, due, keys, true);
    await day.goto('/gaps?state=closed');
    const closed = day.getByRole('region', { name: 'Gaps' }).getByRole('listitem');
    await expect(closed.first()).toBeVisible();
    const before = await closed.count();
    await day.getByRole('button', { name: /^Drill/ }).click();
    await answerAll(day, Math.min(20, before), keys, false);
    await day.goto('/gaps?state=open');
    await expect(day.getByText(/missed 2 times/).first()).toBeVisible();
    await day.close();
  } finally {
    next.kill();
    third.kill();
  }
});

test('an outlook that moved, two results side by side, and a place among others', async ({ page }) => {
  await signInAs(page, 'Idris Vane');
  await dropOpenTests(page, 'upland-guide');
  await page.goto('/progress');
  const outlook = page.getByRole('figure', { name: 'Pass outlook' });
  const rests = async () => Number(/Rests on (\d+) answers/.exec((await outlook.textContent()) ?? '')?.[1]);
  await expect(outlook).toContainText('Rests on');
  const before = await rests();
  await beginWith(page, 'pools=new&mode=tutor&count=2&kinds=single');
  for (let i = 0; i < 2; i++) {
    // Long enough to have been read.
    await page.waitForTimeout(12_000);
    await choose(page, 0);
    await page.getByRole('button', { name: 'Check', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
    if (i === 0) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await page.getByRole('button', { name: /^Hand in/ }).click();
  await expect(page.getByRole('heading', { name: 'Every question' })).toBeVisible();
  await page.goto('/progress');
  await expect.poll(rests).toBe(before + 2);
  await expect(outlook).toContainText(/(Up|Down) from \d+\s%|As \d+ (weeks|days) ago/);

  // Beside the others; whoever stays out may come back.
  await expect(
    page.getByText(/^Of \d+ others who sat a whole paper or rehearsal, about \d+ in a hundred/),
  ).toBeVisible();
  const part = page.getByRole('checkbox', { name: /^Count my results among the others/ });
  // What cannot be kept springs back, and says so.
  const refuses = (route: Route) => (route.request().method() === 'PUT' ? route.abort() : route.continue());
  await page.route(/\/cohort$/, refuses);
  await part.click();
  await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
  await expect(part).toBeChecked();
  await page.unroute(/\/cohort$/, refuses);
  await part.uncheck();
  await expect(page.getByText('Your results left the comparison at once')).toBeVisible();
  await page.reload();
  await expect(part).not.toBeChecked();
  await part.check();
  await expect(page.getByText('They help to tell how difficult each question is.')).toBeVisible();

  // Two results, held against each other.
  await page.goto('/tests?state=handed_in&mode=timed');
  await page
    .getByRole('button', { name: /^More with/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Compare with another' }).click();
  await expect(page.getByText(/Choose the result to hold against/)).toBeVisible();
  await page.getByRole('link', { name: 'Compare' }).first().click();
  await expect(page.getByRole('heading', { name: 'Two results' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'In all' }).getByText('Share of marks')).toBeVisible();
  await expectAccessible(page);
  await page
    .getByRole('link')
    .filter({ hasText: /paper|All topics/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Every question' })).toBeVisible();
});

for (const [size, width, height] of [
  ['desk', 1280, 800],
  ['phone', 360, 640],
] as const) {
  test(`what belongs to Study has no grave fault of accessibility in any theme: ${size}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await signInAs(page, 'Tamsin Orrel');
    for (const [path, ready] of [
      ['/gaps', 'What to read'],
      ['/gaps/sheet', 'Study sheet,'],
      ['/revisits', 'The next four weeks'],
      ['/cards', 'A new card'],
      ['/cards/session', 'Turn it over'],
      ['/handbook/upland-guide/wx.storm?step=2', 'Count along'],
      ['/account/my-data', 'Take it away'],
      ['/library', 'that you have met or marked'],
      ['/plan', 'Days on which you study'],
    ] as const) {
      await page.goto(path);
      await expect(page.getByText(ready).first()).toBeVisible();
      await expectNoSidewaysScroll(page);
      await (size === 'desk' ? expectAccessibleInThemes(page) : expectAccessible(page));
    }
  });
}

test('what was met is found by a word of one’s own note, with its history', async ({ page }) => {
  await signInAs(page, 'Bram Holloway');
  await page.goto('/library?pool=missed');
  const rows = page.getByRole('main').getByRole('listitem');
  await page
    .getByRole('button', { name: /^History of: / })
    .first()
    .click();
  await expect(page.getByRole('link', { name: /: missed$/ }).first()).toBeVisible();
  await expect(page.getByText(/Still known with \d+/)).toBeVisible();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('Note', { exact: true }).fill('Mind the quagmire');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByText('Mind the quagmire')).toBeVisible();
  await page.goto('/library');
  await page.getByRole('searchbox').fill('quagmire');
  await expect(page.getByText('1 question like that.')).toBeVisible();
  await expect(rows).toHaveCount(1);
  await expectAccessible(page);
  const table = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a table (CSV)' }).click();
  expect((await table).suggestedFilename()).toMatch(/library\.csv$/);
  await rows.getByRole('link').first().click();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
});

test('the handbook is searched, read on where one stopped, and ends in a short quiz', async ({ page }) => {
  await signInAs(page, 'Bram Holloway');
  await page.goto('/handbook/upland-guide');
  await page.getByRole('searchbox', { name: 'Find in the handbook' }).fill('nothing of the sort');
  await expect(page.getByText('No page has all of these words.')).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find in the handbook' }).fill('wind chill');
  await expect(page.getByText(/^Found on \d+ pages?\.$/)).toBeVisible();
  await expectAccessible(page);
  const hit = page.getByRole('search').getByRole('link').first();
  const title = (await hit.textContent()) ?? '';
  await hit.click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
  await page.goto('/handbook/upland-guide');
  await page.getByRole('link', { name: `Go on where you stopped: ${title}` }).click();
  const asked = page.getByRole('region', { name: 'Questions on this section' });
  await expect(asked).toContainText('to this section');
  await asked.getByRole('button', { name: /^A quiz of \d$|^Answer it$/ }).click();
  await expect(page.getByRole('heading', { name: /^Question 1 of [1-5]/ })).toBeVisible();
  await dropOpenTests(page, 'upland-guide');
});

test('a page of the handbook is read aloud where the browser has a voice', async ({ page }) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    const voice = Object.assign(new EventTarget(), {
      getVoices: () => [{ name: 'One' }],
      speak: (words: SpeechSynthesisUtterance) => said.push(words.text),
      cancel: () => said.push('(silence)'),
      pause: () => said.push('(pause)'),
      resume: () => said.push('(on)'),
    });
    Object.defineProperty(window, 'speechSynthesis', { value: voice });
    Object.assign(window, { said });
  });
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
  await signInAs(page, 'Bram Holloway');
  await page.goto('/handbook/upland-guide/wx.clouds');
  await page.getByRole('button', { name: 'Read it to me' }).click();
  const first = (await said()).filter((words) => !words.startsWith('('));
  expect(first[0]).toBe(await page.getByRole('article').getByRole('heading', { level: 2 }).textContent());
  expect(first.length).toBeGreaterThan(3);
  const shown = await page.getByRole('article').textContent();
  for (const words of first) expect(shown).toContain(words);
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('button', { name: 'Go on', exact: true }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  expect((await said()).slice(-3)).toEqual(['(pause)', '(on)', '(silence)']);
  // On another page it is silent, and begins anew.
  await page.getByRole('button', { name: 'Read it to me' }).click();
  await page.getByRole('link', { name: /^On: / }).click();
  await expect(page.getByRole('button', { name: 'Read it to me' })).toBeVisible();
  await expect.poll(async () => (await said()).at(-1)).toBe('(silence)');
});

test('the study sheet is printed from what is looked at', async ({ page }) => {
  await signInAs(page, 'Bram Holloway');
  await page.goto('/gaps');
  const topic = page.getByLabel('Of which topic');
  const name = (await topic.locator('option').nth(1).textContent())?.replace(/ \(\d+\)$/, '') ?? 'none';
  await topic.selectOption({ index: 1 });
  await expect(page).toHaveURL(/topic=/);
  await page.getByRole('link', { name: 'Study sheet' }).click();
  await expect(page.getByRole('heading', { level: 2 })).toHaveCount(1);
  await expect(page.getByRole('heading', { level: 2 })).toContainText(name);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print it' })).toBeHidden();
  expect((await page.pdf()).byteLength).toBeGreaterThan(5_000);
});
