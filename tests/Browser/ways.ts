import { existsSync, readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import type { RunOptions } from 'axe-core';
import type { View } from '../../resources/js/api/client';
import { read, recipeOf, usualOf } from '../../resources/js/features/assembly/recipe';

/**
 * Signed in as one of the demo's people, at Today. How one signs in has tests of its own, so here the server is asked:
 * a hundred tests begin with it.
 */
export async function signInAs(page: Page, name: string): Promise<void> {
  const { people } = (await (await page.request.get('/api/session')).json()) as View<'Session'>;
  const person = people.find((one) => one.name === name)?.key;
  if (!person) throw new Error(`The demo has no ${name}.`);
  await send<View<'User'>>(page, 'POST', '/api/session/demo', { person });
  // The exam somebody chose is kept with their account, and another test may have chosen.
  await of(page, 'upland-guide');
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
}

/** Asks the server for something as the page would. */
export async function send<T>(
  page: Page,
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  data: object = {},
): Promise<T> {
  const cookie = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN');
  const headers = { 'X-XSRF-TOKEN': decodeURIComponent(cookie?.value ?? ''), Accept: 'application/json' };
  const answer = await page.request.fetch(path, { method, headers, data });
  if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`);
  return (answer.status() === 204 ? undefined : await answer.json()) as T;
}

/** Signs in by address and password, as those do who registered here. */
export async function signIn(page: Page, address: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill(address);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('navigation', { name: 'Main' })).toBeVisible();
}

/** The exam one is studying for, from the next page on. */
type ExamName = 'upland-guide' | 'refuge-warden';

export async function of(page: Page, exam: ExamName): Promise<void> {
  await send(page, 'PUT', `/api/exams/${exam}/chosen`);
}

/** Subtopics of the Certificate whose single answers all stand alone: nothing that is taken whole comes with them. */
const ALONE = 'radio,book,water.waste,food.store';

/** Builds a test of single answers and begins it, so that what a test does is the same every time. */
export async function begin(
  page: Page,
  {
    mode,
    questions,
    minutes,
    exam = 'refuge-warden',
  }: { mode: 'Tutor' | 'Timed'; questions: number; minutes?: number; exam?: ExamName },
): Promise<void> {
  const topics = exam === 'refuge-warden' ? `topics=${ALONE}&` : '';
  const choices = `${topics}kinds=single&pools=&mode=${mode.toLowerCase()}`;
  await beginWith(page, `${choices}&count=${questions}&minutes=${minutes ?? ''}`, exam);
}

/**
 * Builds a test and begins it, as the builder does: that has tests of its own.
 *
 * @param choices of the builder, as its address has them
 */
export async function beginWith(page: Page, choices: string, exam: ExamName = 'upland-guide'): Promise<void> {
  await of(page, exam);
  const { counts } = (await (await page.request.get(`/api/exams/${exam}/builder`)).json()) as View<'Builder'>;
  const chosen = recipeOf(read(new URLSearchParams(choices), usualOf(counts)));
  const { sitting } = await send<View<'Built'>>(page, 'POST', `/api/exams/${exam}/tests`, chosen);
  await page.goto(`/sit/${sitting}`);
  await expect(page.getByRole('heading', { name: 'Question 1 of' })).toBeVisible();
}

/** Begins what is sat under the rules of the exam: says that they are known, and ends the reading. */
export async function beginPaper(page: Page): Promise<void> {
  await page.getByRole('checkbox', { name: 'I have read how this is sat.' }).check();
  await page.getByRole('link', { name: 'Begin', exact: true }).click();
  await endReading(page);
}

export async function endReading(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Begin to answer now' }).click();
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByRole('timer', { name: 'Time left' })).toBeVisible();
}

/** Chooses the option at a place, from 0, of the question on screen. */
export async function choose(page: Page, place: number): Promise<void> {
  await page.getByRole('radiogroup').getByRole('radio').nth(place).check();
}

/** Gives some answer to the question on screen, whatever its kind. */
export async function answerAnything(page: Page): Promise<string> {
  const main = page.getByRole('main');
  const picture = main.getByRole('application');
  if (await picture.count()) {
    await picture.scrollIntoViewIfNeeded();
    await picture.click({ position: { x: 120, y: 90 } });
    return 'picture';
  }
  const asIs = main.getByRole('button', { name: 'It is right as it stands' });
  if (await asIs.count()) {
    await main
      .getByRole('button', { name: /^Move down:/ })
      .first()
      .click();
    return 'ordering';
  }
  // Not the one that says where going on leads.
  // Nor those of the next question, which is built while nobody sees it.
  const menus = await main.locator('select:not([aria-label="What going on leads to"])').filter({ visible: true }).all();
  for (const menu of menus) await menu.selectOption({ index: 1 });
  // Nor the one for the number of a question.
  const fields = await main
    .locator('input[type=text]:not(#go-to-question), input:not([type]):not(#go-to-question), textarea')
    .filter({ visible: true })
    .all();
  for (const field of fields) {
    await field.fill((await field.getAttribute('placeholder')) === 'unit' ? 'km' : '12');
    await field.blur();
  }
  const boxes = await main.getByRole('checkbox').all();
  if (boxes[0]) await boxes[0].check();
  const groups = await main.getByRole('radiogroup').all();
  for (const group of groups) await group.getByRole('radio').first().check();
  return menus.length
    ? 'menus'
    : fields.length
      ? 'fields'
      : boxes.length
        ? 'several'
        : groups.length > 1
          ? 'rows'
          : 'single';
}

/**
 * No serious fault of accessibility on the screen as it is, or in a part of it. What stays at the edges is let go for as
 * long as it is looked at: what it covers by half depends on where one has scrolled to. Colours are looked at where the
 * page is wide: a narrow one has the same, and reading them is half of the work.
 */
export async function expectAccessible(page: Page, part?: string): Promise<void> {
  const narrow = (page.viewportSize()?.width ?? 0) < 640;
  const rules = narrow ? { 'color-contrast': { enabled: false } } : {};
  await expectNoFault(page, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'], rules }, part);
}

/** The same in every theme: they differ by their colours alone. */
export async function expectAccessibleInThemes(page: Page): Promise<void> {
  await expectAccessible(page);
  for (const theme of ['dusk', 'clear']) {
    await page.evaluate((name) => (document.documentElement.dataset.theme = name), theme);
    await expectNoFault(page, { runOnly: { type: 'rule', values: ['color-contrast'] } });
  }
  await page.evaluate(() => (document.documentElement.dataset.theme = 'day'));
}

/** Told of faults alone, in the page itself (it has no frames): a third of the time that all of it takes. */
async function expectNoFault(page: Page, options: RunOptions, part = 'html'): Promise<void> {
  const stuck = await page.evaluateHandle(() => {
    const all = [...document.querySelectorAll<HTMLElement>('body *')];
    return all.filter((element) => getComputedStyle(element).position === 'sticky');
  });
  await stuck.evaluate((all) =>
    all.forEach((element) => Object.assign(element.style, { position: 'relative', inset: 'auto' })),
  );
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ ...options, resultTypes: ['violations'], selectors: false })
    .include(part)
    .analyze();
  const grave = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  await stuck.evaluate((all) => all.forEach((element) => Object.assign(element.style, { position: '', inset: '' })));
  expect(grave.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual([]);
}

/** Nothing sticks out sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(over).toBeLessThanOrEqual(0);
}

/** The last letter to an address, from where the stand-in for a mail service puts them, once it has been sent. */
export async function letterTo(address: string): Promise<string> {
  const read = () => {
    const letters = existsSync('storage/logs/mail.log') ? readFileSync('storage/logs/mail.log', 'utf8') : '';
    const at = letters.lastIndexOf(`To: ${address}`);
    return at < 0 ? '' : letters.slice(at);
  };
  await expect.poll(read).not.toBe('');
  return read();
}

/** Where its first link leads, on the server of the tests. */
export function linkIn(letter: string): string {
  const found = /https?:\/\/[^/\s]+(\/\S*)/.exec(letter);
  return found?.[1] ?? '';
}

/** All there is to be pressed has the height of a finger, but for words to be pressed within a sentence. */
export async function expectRoomForFingers(page: Page): Promise<void> {
  const small = await page
    .locator('button:visible, select:visible, input:visible, summary:visible')
    .evaluateAll((all) =>
      all
        .filter((one) => !one.closest('p'))
        // A box is as large as the label around it.
        .map((one) => ({ one, box: (one.closest('label, [role=radio]') ?? one).getBoundingClientRect() }))
        .filter(({ box }) => box.width > 1 && (box.height < 44 || box.width < 36))
        .map(({ one, box }) => `${one.getAttribute('aria-label') ?? one.textContent}: ${box.width} × ${box.height}`),
    );
  expect(small).toEqual([]);
}

/**
 * Drops all tests that are still open: what a running clock asks is kept from other tests, and chance says whether that
 * touches the next one.
 */
export async function dropOpenTests(page: Page, exam: ExamName): Promise<void> {
  // They come in pages, and what is dropped makes room for the next.
  for (let first: string | undefined, before: string | undefined = ''; first !== before;) {
    before = first;
    const { tests } = (await (
      await page.request.get(`/api/exams/${exam}/sittings?page=1&state=open`)
    ).json()) as View<'Tests'>;
    for (const { id } of tests) await send<void>(page, 'DELETE', `/api/sittings/${id}`);
    first = tests[0]?.id;
  }
}

export const PASSWORD = 'over the saddle';

/** Makes an account of one's own, so that nothing anybody else did is in it. */
export async function register(page: Page, name: string): Promise<string> {
  const worker = process.env.TEST_PARALLEL_INDEX ?? '0';
  const address = `${name.toLowerCase()}-${worker}-${Date.now()}@corvane.example`;
  await page.goto('/register');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('E-mail address').fill(address);
  await page.getByRole('button', { name: 'Send me the letter', exact: true }).click();
  await expect(page.getByText('A letter is on its way')).toBeVisible();
  await page.goto(linkIn(await letterTo(address)));
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Make the account', exact: true }).click();
  await expect(page.getByText(`Good to see you, ${name}.`)).toBeVisible();
  return address;
}

/**
 * Selects words of a part of a question or section, as somebody does who drags over them.
 *
 * @param what the words, or so many letters from the start of the first text that has as many
 */
export async function select(page: Page, part: string, what: string | number): Promise<void> {
  const within = page.locator(`[data-part="${part}"]`).filter({ visible: true });
  await within.evaluate((root, what) => {
    const texts = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
    for (let text = texts.nextNode(); text; text = texts.nextNode()) {
      const all = text.textContent ?? '';
      const [from, length] = typeof what === 'string' ? [all.indexOf(what), what.length] : [0, what];
      if (from < 0 || from + length > all.length) continue;
      document.getSelection()?.setBaseAndExtent(text, from, text, from + length);
      return;
    }
    throw new Error(`There is no such text: ${what}`);
  }, what);
}

/** The worker has all it needs to start the app alone. */
export const isKept = (page: Page) =>
  page
    .evaluate(() => navigator.serviceWorker.ready.then(({ active }) => active?.state))
    .then((state) => {
      expect(['activating', 'activated']).toContain(state);
    });
