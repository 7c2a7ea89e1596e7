import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { begin, choose, expectAccessible, expectNoSidewaysScroll, of, register, select, signInAs } from './ways';

const STORM = '/handbook/upland-guide/wx.storm';

test('a card is made with one key, gone through by keys, and comes back on another day', async ({ page }) => {
  await register(page, 'Alder');
  await begin(page, { mode: 'Tutor', questions: 1 });
  await choose(page, 0);
  await page.getByRole('button', { name: 'Check', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To take with you' })).toBeVisible();
  await page.keyboard.press('m');
  const form = page.getByRole('dialog', { name: 'A new card' });
  await expect(form.getByLabel('Front', { exact: true })).toBeFocused();
  await expect(form.getByLabel('Front', { exact: true })).not.toHaveValue('');
  await expect(form.getByLabel('Back', { exact: true })).not.toHaveValue('');
  await expectAccessible(page, 'dialog');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('It is among your cards.')).toBeVisible();
  // A line of the handbook, by its words.
  await page.goto('/handbook/refuge-warden/water.treat?step=2');
  await expect(page.getByRole('heading', { name: 'Four ways, and what each leaves' })).toBeVisible();
  await select(page, 'step:1', 20);
  await page.getByRole('toolbar', { name: 'The chosen words' }).getByRole('button', { name: 'Card' }).click();
  await expect(form.getByLabel('Back', { exact: true })).not.toHaveValue('');
  await form.getByLabel('Front', { exact: true }).fill('');
  await form.getByRole('button', { name: 'Keep the card' }).click();
  await expect(form.getByRole('alert')).toHaveText('The front of a card cannot be empty.');
  await form.getByLabel('Front', { exact: true }).fill('A second one');
  await form.getByRole('button', { name: 'Keep the card' }).click();
  await expect(form).toBeHidden();
  await page.goto('/');
  await page.getByRole('link', { name: 'My cards' }).click();
  await expect(page.getByRole('heading', { name: 'Card 1 of 2' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Back' })).toBeFocused();
  await page.keyboard.press('g');
  await expect(page.getByRole('heading', { name: 'Card 2 of 2' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('k');
  await expect(page.getByText('You knew 1 of 2.')).toBeVisible();
  await page.getByRole('button', { name: 'Once more the one that was gone' }).click();
  await expect(page.getByText('this does not count')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('a');
  await page.getByRole('link', { name: 'All cards' }).click();
  await expect(page.getByText('Nothing is due. The next comes back on')).toBeVisible();
  await expect(page.getByText('looked at once', { exact: false })).toHaveCount(0);
  await page.getByRole('button', { name: /A second one/ }).click();
  await expect(page.getByText('looked at once, still known with')).toBeVisible();
});

test('looks at cards that are made without a connection reach the server when it is back', async ({
  page,
  context,
}) => {
  await register(page, 'Rowan');
  await of(page, 'refuge-warden');
  await page.goto('/cards');
  await page.getByRole('button', { name: 'A new card' }).click();
  await page.getByLabel('Front', { exact: true }).fill('How long does water boil?');
  await page.getByLabel('Back', { exact: true }).fill('A minute.');
  await page.getByRole('button', { name: 'Keep the card' }).click();
  await page.getByRole('link', { name: 'Go through it' }).click();
  await page.getByRole('button', { name: 'Turn it over' }).click();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Knew it' }).click();
  await expect(page.getByText('The last ones are still on their way to the server.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('The last ones are still on their way')).toBeHidden({ timeout: 15_000 });
  await page.getByRole('link', { name: 'All cards' }).click();
  await expect(page.getByText('Nothing is due.')).toBeVisible();
});

test('cards go out and come in as a file, and a file that cannot be read says where', async ({ page }) => {
  await register(page, 'Hazel');
  await of(page, 'refuge-warden');
  await page.goto('/cards');
  const bring = async (name: string, text: string) => {
    await page.getByRole('button', { name: 'Take cards in' }).click();
    const file = { name, mimeType: 'text/plain', buffer: Buffer.from(text) };
    await page.getByLabel('File').setInputFiles(file);
    await page.getByRole('button', { name: 'Take them in' }).click();
  };
  await bring('a.txt', 'Front: one\n\nFront: two\nBack: b');
  await expect(page.getByRole('alert')).toHaveText(
    'Line 1: Here a "Front:" with its "Back:" is missing. Nothing was taken in.',
  );
  await page.getByRole('button', { name: 'Cancel' }).click();
  await bring('a.csv', 'front,back\n"one, two",$x^2$\n');
  await expect(page.getByText('1 new card came in.')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  const [table] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'All as a table (CSV)' }).click(),
  ]);
  expect(readFileSync((await table.path()) ?? '', 'utf8')).toBe('front,back\r\n"one, two",$x^2$\r\n');
  await page.getByRole('button', { name: /one, two/ }).click();
  await page.getByRole('button', { name: 'Let it stay away' }).click();
  await expect(page.getByRole('button', { name: 'Staying away (1)' })).toBeVisible();
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByText('You have no cards yet.')).toBeVisible();
});

test('no Markdown of one’s own runs a script or asks anybody else for anything', async ({ page }) => {
  await register(page, 'Bracken');
  await of(page, 'refuge-warden');
  const foreign: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(new URL(page.url()).origin) && !/^(data|blob):/.test(request.url()))
      foreign.push(request.url());
  });
  page.on('dialog', (dialog) => foreign.push(`dialog: ${dialog.message()}`));
  const hostile = [
    '<script>alert(1)</script><img src="https://elsewhere.example/a.png" onerror="alert(2)">',
    '![a hill](https://elsewhere.example/b.png) ![c](//elsewhere.example/c.svg) ![d](https://elsewhere.example/d.mp4)',
    '[click](javascript:alert(3)) [data](data:text/html,<script>alert(4)</script>)',
    '<iframe src="https://elsewhere.example"></iframe> <style>@import url(https://elsewhere.example/e.css)</style>',
    '$\\href{javascript:alert(5)}{x}$ $\\includegraphics{https://elsewhere.example/f.png}$',
    '[away](https://elsewhere.example/page)',
  ].join('\n\n');
  await page.goto('/cards');
  await page.getByRole('button', { name: 'A new card' }).click();
  await page.getByLabel('Front', { exact: true }).fill('hostile');
  await page.getByLabel('Back', { exact: true }).fill(hostile);
  await page.getByRole('button', { name: 'Keep the card' }).click();
  await page.getByRole('button', { name: /^hostile/ }).click();
  const shown = page.getByRole('main').getByRole('listitem').first();
  await expect(shown.getByText('Picture: a hill')).toBeVisible();
  await expect(shown.getByText('<script>alert(1)</script>')).toBeVisible();
  await shown.getByText('click', { exact: true }).click();
  expect(await shown.locator('script, iframe, style, img, video, [onerror]').count()).toBe(0);
  await expect(shown.getByRole('link', { name: 'away' })).toHaveAttribute('rel', 'noopener noreferrer');
  await page.goto('/handbook/refuge-warden/water.treat');
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('Note', { exact: true }).fill(hostile);
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByText('Picture: a hill')).toBeVisible();
  expect(foreign).toEqual([]);
});

test('words marked and notes written in the handbook stay, and are found again', async ({ page }) => {
  await register(page, 'Sedge');
  await page.goto(STORM);
  await expect(page.getByRole('heading', { name: 'Lightning and storms' })).toBeFocused();
  await select(page, 'page', 25);
  await page.getByRole('toolbar', { name: 'The chosen words' }).getByRole('button', { name: 'Mark' }).click();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('Note', { exact: true }).fill('Count *three* for a kilometre');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.locator('em', { hasText: 'three' })).toBeVisible();
  // A note hangs on words that are marked, too, and is kept as it is typed.
  await select(page, 'page', 60);
  await page.getByRole('toolbar', { name: 'The chosen words' }).getByRole('button', { name: 'Note' }).click();
  await page.getByRole('textbox', { name: /^Note on/ }).fill('not by the eye');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('list', { name: 'Notes on words' })).toContainText('not by the eye');
  await page.reload();
  await expect(page.getByRole('list', { name: 'Notes on words' })).toContainText('not by the eye');
  await expect
    .poll(() => page.evaluate(() => CSS.highlights.get('uplandia-marked')?.size ?? 0), { timeout: 10_000 })
    .toBe(1);
  await page.getByRole('link', { name: 'My notes and marks (1)' }).click();
  await expect(page.getByRole('heading', { name: 'My notes and marks' })).toBeVisible();
  await expect(page.getByText('Count three for a kilometre')).toBeVisible();
  await expect(page.getByText(/: not by the eye$/)).toBeVisible();
  await expectAccessible(page);
});

test('a lesson goes step by step, by keys too, ends in a quiz, and is remembered', async ({ page }) => {
  await register(page, 'Linden');
  await page.goto(STORM);
  await page.getByRole('button', { name: 'Step by step (5)' }).click();
  await expect(page.getByRole('heading', { name: 'How far away is it?' })).toBeVisible();
  await page.getByRole('button', { name: 'Next step' }).click();
  await expect(page.getByRole('heading', { name: 'Count along' })).toBeFocused();
  await expect(page.getByRole('main').locator('video')).toHaveCount(1);
  await page.keyboard.press(']');
  await expect(page.getByText('Step 3 of 5')).toBeVisible();
  await page.keyboard.press('[');
  await expect(page.getByText('Step 2 of 5')).toBeVisible();
  const kept = async () => {
    const answer = await page.request.get('/api/exams/upland-guide/handbook-kept');
    return ((await answer.json()) as { pages: { step: number }[] }).pages[0]?.step;
  };
  await expect.poll(kept).toBe(1);
  // Whoever comes back goes on where they stopped.
  await page.goto('/handbook/upland-guide');
  await page.getByRole('link', { name: 'Go on where you stopped: Lightning and storms' }).click();
  await page.getByRole('button', { name: 'Step by step (5)' }).click();
  await expect(page.getByText('Step 2 of 5')).toBeVisible();
  await page.getByRole('button', { name: 'The end' }).click();
  await expect(page.getByText('That was all of it')).toBeVisible();
  await expect(page.getByRole('button', { name: /^A quiz of \d|^Answer it/ })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Lightning and storms lesson , read' })).toBeVisible();
  await page.setViewportSize({ width: 360, height: 640 });
  await page.goto(`${STORM}?step=1`);
  await expect(page.getByText('Step 1 of 5')).toBeVisible();
  await expectNoSidewaysScroll(page);
});

test('a person takes their data away and brings it into another account', async ({ page }) => {
  test.slow();
  await signInAs(page, 'Bram Holloway');
  await page.goto('/account');
  await page.getByRole('link', { name: 'My data' }).click();
  const [archive] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take my data away' }).click(),
  ]);
  await expect(page.getByText('The archive is in your downloads:')).toBeVisible();
  const file = readFileSync((await archive.path()) ?? '');
  const results = async () => {
    await of(page, 'upland-guide');
    await page.goto('/tests');
    await expect(page.getByRole('heading', { name: 'Tests', level: 1 })).toBeVisible();
    await expect(page.getByRole('link', { name: /All topics/ }).first()).toBeVisible();
    const tests = await page.getByRole('main').innerText();
    await page.goto('/gaps');
    await expect(page.getByRole('heading', { name: 'What to read' })).toBeVisible();
    return [tests, await page.getByRole('main').innerText()];
  };
  const there = await results();
  await page.goto('/account/my-data');
  const bring = async (buffer: Buffer) => {
    await page.getByLabel('Archive').setInputFiles({ name: 'mine.zip', mimeType: 'application/zip', buffer });
    await page.getByRole('button', { name: 'Take it in' }).click();
  };
  await bring(file);
  await expect(page.getByRole('alert')).toHaveText(/^The people of the demo stay as they are/);
  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  await register(page, 'Tansy');
  await page.goto('/account/my-data');
  await bring(file.subarray(0, 900));
  await expect(page.getByRole('alert')).toHaveText(
    /^This file is no archive, or it is damaged. Nothing was taken in\.$/,
  );
  await bring(file);
  await expect(page.getByRole('status')).toHaveText(/^It is all here: .*Corvane Upland Guide Licence;/, {
    timeout: 90_000,
  });
  expect(await results()).toEqual(there);
});

test('a note that could not be sent is its writer’s: whoever signs in next neither sees nor keeps it', async ({
  page,
}) => {
  await register(page, 'Yarrow');
  const notes = '**/handbook/*/note';
  await page.route(notes, (route) => route.abort());
  await page.goto(STORM);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('Note', { exact: true }).fill('Only Yarrow may read this');
  await expect(page.getByText('Kept on this device, and soon on the server')).toBeVisible();
  await page.goto('/account');
  await page.unroute(notes);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/sign-in/);
  await register(page, 'Clover');
  await page.goto(STORM);
  await expect(page.getByRole('button', { name: 'Note', exact: true })).toBeVisible();
  // Longer than one rests before what was typed is sent.
  await page.waitForTimeout(1500);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Note', exact: true })).toBeVisible();
  await expect(page.getByText('Only Yarrow may read this')).toHaveCount(0);
});
