import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, expectNoSidewaysScroll, of, register, signInAs } from './ways';

const fits = (page: Page, name: RegExp) => page.getByRole('treeitem', { name });
const begins = (page: Page) => page.getByRole('button', { name: 'Begin', exact: true });
const isFirst = async (page: Page, of: number) =>
  expect(page.getByRole('heading', { name: `Question 1 of ${of}` })).toBeVisible();

async function open(page: Page, name: string, address = '/build', ready = /questions? to draw from/): Promise<void> {
  await signInAs(page, name);
  await of(page, 'upland-guide');
  await page.goto(address);
  await expect(page.getByText(ready).first()).toBeVisible();
}

test('one click builds something good', async ({ page }) => {
  await open(page, 'Petra Quill');
  await expect(page.getByText(/^10 questions on all topics, new to me, tutor, about 15\s+min$/)).toBeVisible();
  await begins(page).click();
  await isFirst(page, 10);
});

for (const [size, viewport] of Object.entries({
  desk: { width: 1280, height: 800 },
  phone: { width: 360, height: 740 },
})) {
  test.describe(size, () => {
    test.use({ viewport });

    test('by chapter after reading', async ({ page }) => {
      await open(page, 'Petra Quill');
      await page.getByRole('button', { name: 'Clear', exact: true }).click();
      await expect(page.getByRole('alert')).toContainText('Choose at least one topic.');
      await fits(page, /^Mountain weather/).click();
      await page.getByRole('button', { name: 'Open all', exact: true }).click();
      await fits(page, /^Clouds and signs/).click();
      await expect(fits(page, /^Mountain weather/)).toHaveAttribute('aria-checked', 'mixed');
      await page.getByRole('button', { name: '20', exact: true }).click();
      await expect(page.getByText(/^20 questions on Mountain weather, new to me, tutor/)).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
      // What was chosen is in the address: a reload and a way back bring it back.
      await page.reload();
      await expect(page.getByText(/^20 questions on Mountain weather, new to me, tutor/)).toBeVisible();
      await begins(page).click();
      await isFirst(page, 20);
      await page.goBack();
      await expect(page.getByText(/^20 questions on Mountain weather/)).toBeVisible();
    });

    test('what was missed or flagged, before a date', async ({ page }) => {
      await open(page, 'Tamsin Orrel');
      await page.getByRole('button', { name: /^new to me \d/ }).click();
      await page.getByRole('button', { name: /^missed \d/ }).click();
      await page.getByRole('button', { name: /^flagged/ }).click();
      await expect(page.getByText(/missed or flagged, tutor/)).toBeVisible();
      await page.getByRole('textbox', { name: 'How many questions' }).fill('500');
      await expect(page.getByRole('alert')).toContainText('and you asked for 500');
      await page.getByRole('button', { name: /^Take \d+/ }).click();
      await expect(page.getByRole('alert')).toHaveCount(0);
      await page.getByRole('textbox', { name: 'How many questions' }).fill('5');
      await begins(page).click();
      await isFirst(page, 5);
    });

    test('a keyword over all, narrowed by kind and year', async ({ page }) => {
      await open(page, 'Petra Quill', '/build?pools=');
      await page.getByRole('searchbox', { name: 'Find in all questions' }).fill('wind');
      await expect(fits(page, /^Land, law and nature/)).toHaveAccessibleName(/0 fit/);
      await page.getByText('kind', { exact: false }).locator('xpath=ancestor-or-self::summary').first().click();
      await page.getByRole('checkbox', { name: /^single answer/ }).check();
      await page.keyboard.press('Escape');
      await expect(page.getByText(/1 kind, with wind, tutor/)).toBeVisible();
      await page.getByRole('button', { name: 'Drop kind' }).click();
      await page.getByRole('textbox', { name: 'How many questions' }).fill('3');
      await begins(page).click();
      await isFirst(page, 3);
    });

    test('so many of each, typed by hand', async ({ page }) => {
      await open(page, 'Petra Quill', '/build?spread=by_hand', /as typed beside the topics/);
      await expect(page.getByRole('alert')).toContainText('Type how many you want beside at least one topic.');
      await page.getByRole('textbox', { name: 'How many of Mountain weather' }).fill('4');
      await page.getByRole('textbox', { name: 'How many of Rope and knots' }).fill('2');
      await expect(page.getByText(/^6 questions on Mountain weather and Rope and knots/)).toBeVisible();
      await expect(fits(page, /^Mountain weather/)).toHaveAccessibleName(/4 drawn/);
      await page.getByRole('textbox', { name: 'How many of Rope and knots' }).fill('99');
      await expect(page.getByRole('alert')).toContainText('Rope and knots has 34 of the 99 asked for.');
      await page.getByRole('textbox', { name: 'How many of Rope and knots' }).fill('1');
      await begins(page).click();
      await isFirst(page, 5);
    });
  });
}

test('the tree, the filters and the button by keyboard alone', async ({ page }) => {
  await open(page, 'Petra Quill');
  await page.getByRole('button', { name: 'Clear', exact: true }).press('Enter');
  await fits(page, /^Map and compass/).focus();
  await page.keyboard.press('ArrowDown');
  await expect(fits(page, /^Mountain weather/)).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(fits(page, /^Pressure and fronts/)).toBeFocused();
  await page.keyboard.press('Space');
  await expect(fits(page, /^Pressure and fronts/)).toHaveAttribute('aria-checked', 'true');
  await page.keyboard.press('ArrowLeft');
  await expect(fits(page, /^Mountain weather/)).toHaveAttribute('aria-checked', 'mixed');
  await page.keyboard.press('ArrowLeft');
  await expect(fits(page, /^Pressure and fronts/)).toHaveCount(0);
  await page.keyboard.press('End');
  await expect(fits(page, /^Land, law and nature/)).toBeFocused();
  // Each part of the sentence leads to its choice.
  await page.getByRole('button', { name: 'new to me', exact: true }).press('Enter');
  await expect(page.getByRole('button', { name: /^new to me \d/ })).toBeFocused();
  await page.getByRole('textbox', { name: 'How many questions' }).focus();
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type('4');
  await expect(begins(page)).toBeEnabled();
  await page.keyboard.press('Enter');
  await isFirst(page, 4);
});

test('a link of another exam leaves out what this one does not have', async ({ page }) => {
  await open(page, 'Petra Quill', '/build?topics=wx.clouds,nowhere.at_all&count=3');
  await expect(page.getByRole('alert')).toContainText('names a topic that this exam does not have');
  await begins(page).click();
  await isFirst(page, 3);
});

test('a recipe is kept under a name, brought back, renamed and deleted', async ({ page }) => {
  const name = `Ropes ${Date.now()}`;
  await open(page, 'Petra Quill', '/build?topics=rope.knots&pools=&count=7&mode=timed');
  await page.getByRole('button', { name: 'Keep these choices' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the recipe' })).toHaveValue('Knots · 7');
  await page.getByRole('textbox', { name: 'Name of the recipe' }).fill(name);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name, exact: true })).toBeVisible();
  await page.goto('/build');
  await page.getByRole('button', { name, exact: true }).click();
  await expect(page.getByText(/^7 questions on Knots, met or not, timed/)).toBeVisible();
  await page.getByRole('button', { name: `rename ${name}` }).click();
  await page.getByRole('textbox', { name: 'New name' }).fill(`${name} again`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: `${name} again`, exact: true })).toBeVisible();
  await begins(page).click();
  // Before a clock starts, one sees what it is for.
  await page.getByRole('link', { name: 'Start the clock' }).click();
  await isFirst(page, 7);
  await page.goto('/build');
  await page.getByRole('button', { name: `delete ${name} again` }).click();
  await expect(page.getByRole('button', { name: `${name} again`, exact: true })).toHaveCount(0);
});

for (const [size, viewport] of Object.entries({
  desk: { width: 1280, height: 800 },
  phone: { width: 360, height: 740 },
})) {
  test.describe(`hand-picked: ${size}`, () => {
    test.use({ viewport });

    test('by mouse, and a look before', async ({ page }) => {
      await open(page, 'Petra Quill', '/build?pools=&topics=rope.knots&mode=untimed');
      await page.getByRole('button', { name: 'List what matches' }).click();
      const boxes = page.getByRole('table', { name: 'Questions that match' }).getByRole('row');
      await page.getByRole('button', { name: /^Difficulty/ }).click();
      await page
        .getByRole('button', { name: /^Look at:/ })
        .first()
        .click();
      await expect(page.getByRole('dialog', { name: 'The question' })).toBeVisible();
      await page.getByRole('button', { name: 'Close', exact: true }).click();
      await boxes.nth(1).getByRole('checkbox').check();
      await boxes.nth(3).getByRole('checkbox').check();
      await expect(page.getByText('2 questions picked.')).toBeVisible();
      await expect(page.getByText(/picked by hand, untimed/)).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
      // A case is picked whole, so they may be more.
      await expect(begins(page)).toBeEnabled();
      const many = Number(/^\d+/.exec((await page.getByText(/picked by hand, untimed/).textContent()) ?? '')?.[0]);
      expect(many).toBeGreaterThanOrEqual(2);
      await begins(page).click();
      await isFirst(page, many);
    });
  });
}

test('hand-picked by keyboard alone', async ({ page }) => {
  await open(page, 'Petra Quill', '/build?pools=&topics=rope.knots&mode=untimed');
  await page.getByRole('button', { name: 'List what matches' }).press('Enter');
  await page.getByRole('checkbox', { name: 'All on this page' }).press('Space');
  await expect(page.getByText(/questions picked\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Pick none' }).press('Enter');
  await expect(page.getByText(/questions picked\.$/)).toHaveCount(0);
  await page.getByRole('table').getByRole('checkbox').nth(2).press('Space');
  await expect(page.getByText('1 question picked.')).toBeVisible();
  await expect(page.getByText(/on Knots, met or not, picked by hand/)).toBeVisible();
  await expect(begins(page)).toBeEnabled();
  await begins(page).press('Enter');
  await expect(page.getByRole('heading', { name: /^Question 1 of/ })).toBeVisible();
});

test('a time for each question moves on by itself, and nobody goes back', async ({ page }) => {
  await open(page, 'Petra Quill', '/build?exam=refuge-warden&topics=radio&kinds=single&pools=&count=3&mode=timed');
  await page.getByRole('combobox', { name: 'What the clock is for' }).selectOption('each');
  const seconds = page.getByRole('textbox', { name: 'Seconds for each question' });
  await seconds.fill('4');
  await expect(page.getByText('A question has between 5 and 3,600 seconds').first()).toBeVisible();
  await seconds.fill('6');
  await page.getByRole('checkbox', { name: 'ask how sure I am' }).uncheck();
  await expect(page.getByText(/^3 questions on .*1\s+min$/)).toBeVisible();
  await begins(page).click();
  await page.getByRole('link', { name: 'Start the clock' }).click();
  await isFirst(page, 3);
  await expect(page.getByText('How sure?')).toHaveCount(0);
  await page.getByRole('radio').first().check();
  await expect(page.getByRole('heading', { name: 'Question 2 of 3' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Back', exact: true })).toBeDisabled();
  await expect(page.getByRole('button', { name: /^Question 1:/ })).toBeDisabled();
  await page.reload();
  await expect(page.getByRole('heading', { name: /Question [23] of 3/ })).toBeVisible();
  await expect(page.getByText('Not marked')).toHaveCount(0);
  await expect(page).toHaveURL(/\/result\//, { timeout: 40_000 });
});

test('a test is kept for later, and a recipe takes what was changed', async ({ page }) => {
  await open(page, 'Petra Quill', '/build?count=7');
  await page.getByRole('button', { name: 'keep for later' }).click();
  await expect(page.getByText('Kept. You find it under')).toBeVisible();
  await page.getByRole('button', { name: 'Keep these choices' }).click();
  await page.getByRole('textbox', { name: 'Name of the recipe' }).fill('Sevens');
  await page.getByRole('textbox', { name: 'Name of the recipe' }).press('Enter');
  await page.getByRole('button', { name: 'Sevens', exact: true }).click();
  await page.getByRole('button', { name: '20', exact: true }).click();
  await page.getByRole('button', { name: /^Keep these changes/ }).click();
  await expect(page.getByRole('button', { name: /^Keep these changes/ })).toHaveCount(0);
  await page.goto('/build');
  await page.getByRole('button', { name: 'Sevens', exact: true }).click();
  await expect(page.getByText(/^20 questions on all topics/)).toBeVisible();
  await page.getByRole('button', { name: 'delete Sevens' }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).first().click();
  await expect(page.getByRole('link', { name: 'All topics, new to me · 7' })).toBeVisible();
});

test('what waits to be begun is changed, and what is copied stays as it is', async ({ page }) => {
  await register(page, 'Sunniva');
  await of(page, 'refuge-warden');
  await page.goto('/build?topics=radio&kinds=single&pools=&count=4');
  await page.getByRole('button', { name: 'keep for later' }).click();
  await page.getByRole('link', { name: 'Tests' }).last().click();
  const rows = page.getByRole('row', { name: /Radio/ });
  await expect(rows).toHaveCount(1);
  await page.getByRole('button', { name: /^More with Radio/ }).click();
  await page.getByRole('button', { name: 'Copy and change' }).click();
  await expect(page.getByText(/^4 questions on Radio/)).toBeVisible();
  await expect(page.getByText('You are changing a test')).toHaveCount(0);
  await page.getByRole('textbox', { name: 'How many questions' }).fill('5');
  await page.getByRole('button', { name: 'keep for later' }).click();
  await expect(page.getByText('Kept. You find it under')).toBeVisible();
  await page.goto('/tests');
  await expect(rows).toHaveCount(2);
  await page.getByRole('button', { name: /^More with .* · 5/ }).click();
  await page.getByRole('button', { name: 'Change its choices' }).click();
  await expect(page.getByText('You are changing a test that waits to be begun')).toBeVisible();
  await expectAccessible(page, 'main');
  await page.getByRole('textbox', { name: 'How many questions' }).fill('6');
  // Also after a reload it knows whose place it takes.
  await expect(page).toHaveURL(/count=6.*instead=/);
  await page.reload();
  await page.getByRole('button', { name: 'keep for later' }).click();
  await expect(page.getByText('Kept. You find it under')).toBeVisible();
  await expect(page.getByText('You are changing a test')).toHaveCount(0);
  await page.goto('/tests');
  await expect(rows).toHaveCount(2);
  await expect(page.getByRole('row', { name: /· 5/ })).toHaveCount(0);
  await expect(page.getByRole('row', { name: /· 6/ })).toHaveCount(1);
});

test('by hand: what is there is told before anything is typed, and what a topic lacks is one click away', async ({
  page,
}) => {
  await open(page, 'Petra Quill', '/build?pools=&spread=by_hand', /^As many as you type on topics of your choice/);
  await expect(page.getByRole('treeitem', { name: /^Rope and knots, 8 % of the exam, [1-9]\d* fit/ })).toBeVisible();
  await expect(page.getByText('Type how many you want beside at least one topic.').first()).toBeVisible();
  await page.getByRole('textbox', { name: 'How many of Rope and knots' }).fill('400');
  const take = page.getByRole('button', { name: /^Take \d+ of Rope and knots$/ });
  const most = /\d+/.exec((await take.textContent()) ?? '')?.[0] ?? '';
  await take.click();
  await expect(page.getByRole('textbox', { name: 'How many of Rope and knots' })).toHaveValue(most);
  await expect(begins(page)).toBeEnabled();
});

test('a link builds the same for somebody else, of the exam it names', async ({ page }) => {
  await open(page, 'Petra Quill', '/build?exam=refuge-warden&count=5', /5 questions on all topics/);
  await expect(page.getByRole('combobox', { name: 'Exam' })).toHaveValue('refuge-warden');
  await page.goto('/build?exam=the-moon');
  await expect(page.getByText('The address names an exam that is not here. This is Corvane')).toBeVisible();
});

test('a word that finds nothing leads to the right one, to its topic and to its page', async ({ page }) => {
  await signInAs(page, 'Petra Quill');
  await page.goto('/build?pools=');
  const find = page.getByRole('searchbox', { name: 'Find in all questions' });
  await find.fill('lightening');
  const close = page.getByRole('button', { name: /^lightning, \d+$/ });
  const n = Number(/\d+/.exec((await close.textContent()) ?? '')?.[0]);
  expect(n).toBeGreaterThan(1);
  await expectAccessible(page, 'main');
  await close.click();
  await expect(find).toHaveValue('lightning');
  await expect(page.getByText(`${n} questions to draw from`)).toBeVisible();
  // The name of a topic finds what is under it.
  await find.fill('Mountain weather');
  await expect(page.getByText(/[2-9]\d questions to draw from/)).toBeVisible();
  await page.goto('/library');
  await page.getByRole('searchbox').fill('lightening');
  await expect(page.getByText('In the handbook:')).toBeVisible();
});
