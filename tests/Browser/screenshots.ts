import { test, type Page } from '@playwright/test';
import { begin, beginPaper, choose, of, signInAs } from './ways';

// Taken by `./uplandia screenshots`: each main view as it is now. The phone's and the themes' go to test-results/looks,
// to be looked at and not kept.

async function shoot(page: Page, name: string, also: { themes?: boolean } = {}): Promise<void> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.waitForTimeout(300);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  if (also.themes) {
    for (const theme of ['dusk', 'clear']) {
      await page.evaluate((name) => (document.documentElement.dataset.theme = name), theme);
      await page.screenshot({ path: `test-results/looks/${name}-${theme}.png` });
    }
    await page.evaluate(() => delete document.documentElement.dataset.theme);
  }
  await page.setViewportSize({ width: 390, height: 844 });
  await page.waitForTimeout(200);
  await page.screenshot({ path: `test-results/looks/${name}-390.png`, fullPage: name !== 'sitting' });
  await page.setViewportSize({ width: 1280, height: 800 });
}

test('every main view', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByText('Or look round').waitFor();
  await shoot(page, 'sign-in');
  await signInAs(page, 'Wren Ashlock');
  await page.goto('/build');
  await page.getByText('to draw from').waitFor();
  await page.goto(
    '/build?pools=new&topics=wx.systems,wx.clouds,wx.temp,wx.storm,rope.knots&count=30&difficulties=easy,moderate',
  );
  await page.getByText('to draw from').waitFor();
  await page.getByRole('treeitem', { name: /^Mountain weather/ }).press('ArrowRight');
  await shoot(page, 'build', { themes: true });

  await begin(page, { mode: 'Tutor', questions: 8 });
  for (let i = 0; i < 5; i++) {
    await choose(page, i % 4);
    if (i === 1) await page.getByRole('button', { name: 'Flag', exact: true }).click();
    await page.getByRole('button', { name: 'Check', exact: true }).click();
    await page.getByRole('heading', { name: 'To take with you' }).waitFor();
    if (i < 4) await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await shoot(page, 'tutor');
  await page.getByRole('button', { name: 'Hand in', exact: true }).click();
  await shoot(page, 'hand-in-check');
  await page.getByRole('button', { name: /^Hand in/ }).click();
  await page.getByRole('heading', { name: 'By topic' }).waitFor();
  await page.getByRole('link', { name: 'Review each question' }).click();
  await page.getByRole('heading', { name: 'To take with you' }).waitFor();
  await shoot(page, 'review');

  await begin(page, { mode: 'Timed', questions: 30 });
  for (let i = 0; i < 7; i++) {
    if (i !== 3) await choose(page, i % 4);
    if (i === 2 || i === 5) await page.getByRole('button', { name: 'Flag', exact: true }).click();
    await page.getByRole('button', { name: 'Next', exact: true }).click();
  }
  await choose(page, 1);
  await page
    .getByRole('button', { name: /^Rule out:/ })
    .nth(2)
    .click();
  await page.getByText('All saved').waitFor();
  await shoot(page, 'sitting', { themes: true });
  await of(page, 'upland-guide');
  await page.goto('/ready');
  await page.getByText('The whole exam').waitFor();
  await shoot(page, 'ready', { themes: true });

  // A fixed paper: its briefing, and a case.
  await page.goto('/ready');
  await page.getByRole('button', { name: 'Sit The paper of 2026' }).click();
  await page.getByRole('table', { name: 'Sections' }).waitFor();
  await shoot(page, 'paper');
  await beginPaper(page);
  await page.getByRole('button', { name: 'Question 47:' }).click();
  await page.getByRole('tab', { name: 'Section' }).waitFor();
  await page.waitForLoadState('networkidle');
  await shoot(page, 'case', { themes: true });
  await page.goto('/handbook/upland-guide/wx.storm?step=3');
  await page.getByText('Where you stand matters more').waitFor();
  await shoot(page, 'handbook');
  await begin(page, { mode: 'Timed', questions: 5 });
  await page.goto('/build?mode=timed&count=40');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await page.getByText('a mark').waitFor();
  await shoot(page, 'briefing');

  await of(page, 'upland-guide');
  // Today and a result of somebody who has been at it for two weeks.
  await page.context().clearCookies();
  await signInAs(page, 'Tamsin Orrel');
  await page.getByRole('heading', { name: 'Latest results' }).waitFor();
  await shoot(page, 'today', { themes: true });
  await page.goto('/tests');
  await page
    .getByRole('button', { name: /^More with/ })
    .nth(1)
    .click();
  await shoot(page, 'tests', { themes: true });
  await page.goto('/');
  await page.getByRole('table').getByRole('link').first().click();
  await page.getByRole('heading', { name: 'Take it away' }).waitFor();
  await shoot(page, 'result', { themes: true });
  await page.goto('/progress');
  await page.getByRole('heading', { name: 'Topic by topic' }).waitFor();
  await shoot(page, 'progress', { themes: true });
  await page.goto('/gaps');
  await page.getByRole('heading', { name: 'What to read' }).waitFor();
  await shoot(page, 'gaps', { themes: true });
  await page.goto('/revisits');
  await page.getByText('The next four weeks').waitFor();
  await shoot(page, 'revisits', { themes: true });
  await page.goto('/cards');
  await page.getByRole('button', { name: /How far away is a storm/ }).click();
  await shoot(page, 'cards', { themes: true });
  await page.goto('/plan');
  await page.getByText('Days on which you study').waitFor();
  await shoot(page, 'plan', { themes: true });
});
