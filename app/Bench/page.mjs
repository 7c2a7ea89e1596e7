// Looks at a sitting as a browser does, and tells what that cost, as JSON. Started by PageTrial.
import { chromium } from '@playwright/test';

const [server, sitting, person] = process.argv.slice(2);
const MOVES = 30;

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
// Signed in without a page, so that nothing of the page is there before.
await signIn();
const cdp = await page.context().newCDPSession(page);
await cdp.send('Network.enable');
// The time of the page's own thread: what other programs do meanwhile is not the page's.
await cdp.send('Performance.enable', { timeDomain: 'threadTicks' });
const scripts = new Set();
let sent = 0;
cdp.on('Network.responseReceived', ({ requestId, type }) => type === 'Script' && scripts.add(requestId));
cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
  if (scripts.has(requestId)) sent += encodedDataLength;
});
await page.goto(`${server}/sit/${sitting}`);
const goOn = page.getByRole('button', { name: 'Go on here' });
const heading = page.getByRole('heading', { name: /^Question \d+ of/ });
await heading.or(goOn).waitFor();
if (await goOn.isVisible()) await goOn.click();
await heading.waitFor();
await page.waitForTimeout(1_000);
const scriptKb = sent / 1000;

// The same page by hand: only its markup, and the question's put in whole.
const bare = await page.context().newPage();
const bareCdp = await bare.context().newCDPSession(bare);
await bareCdp.send('Performance.enable', { timeDomain: 'threadTicks' });
const markup = await page.evaluate(() => {
  const whole = document.documentElement.cloneNode(true);
  for (const script of whole.querySelectorAll('script, link[rel=modulepreload]')) script.remove();
  return `<!doctype html>${whole.outerHTML}`;
});
await bare.route('**/bare', (route) => route.fulfill({ contentType: 'text/html', body: markup }));
await bare.goto(`${server}/bare`);

const [moves, byHand] = await move();
for (const session of [cdp, bareCdp]) await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
const [slowMoves, slowByHand] = await move();
await browser.close();
console.log(JSON.stringify({ scriptKb, moves, byHand, slowMoves, slowByHand }));

async function signIn() {
  const { request } = page.context();
  await request.get(`${server}/api/session`);
  const cookie = (await page.context().cookies()).find(({ name }) => name === 'XSRF-TOKEN');
  const token = decodeURIComponent(cookie?.value ?? '');
  const answer = await request.post(`${server}/api/session/demo`, {
    headers: { 'X-XSRF-TOKEN': token, Accept: 'application/json' },
    data: { person },
  });
  if (!answer.ok()) throw new Error(`Signing in: ${answer.status()}`);
}

/**
 * Milliseconds of work on the page's thread for each move to the next question, from the click to the picture, and for
 * the same by hand, in turn with it.
 */
async function move() {
  const [took, hand] = [[], []];
  let last = null;
  for (let i = 0; i < MOVES; i++) {
    await page.bringToFront();
    await page.waitForTimeout(600);
    const before = await busy(cdp);
    await page.evaluate(async () => {
      const buttons = [...document.querySelectorAll('button')];
      buttons.find((button) => button.textContent?.trim() === 'Next')?.click();
      await new Promise((painted) => requestAnimationFrame(() => setTimeout(painted)));
    });
    const spent = (await busy(cdp)) - before;
    // In a series a blank is asked about: that is no move.
    const leave = page.getByRole('button', { name: /^Leave (it|them) blank and go/ });
    if (await leave.count()) {
      await leave.click();
      continue;
    }
    took.push(spent);
    const at = await page.getByRole('heading', { name: /^Question \d+ of/ }).textContent();
    if (at === last) throw new Error(`Going on leads nowhere from “${at}”.`);
    last = at;
    const article = await page.evaluate(() => {
      const copy = document.querySelector('article').cloneNode(true);
      for (const hidden of copy.querySelectorAll('[style*="content-visibility: hidden"]')) hidden.remove();
      return copy.innerHTML;
    });
    await bare.bringToFront();
    await bare.waitForTimeout(100);
    const beforeHand = await busy(bareCdp);
    await bare.evaluate(async (markup) => {
      document.querySelector('article').innerHTML = markup;
      await new Promise((painted) => requestAnimationFrame(() => setTimeout(painted)));
    }, article);
    hand.push((await busy(bareCdp)) - beforeHand);
  }
  return [took, hand];
}

async function busy(session) {
  const { metrics } = await session.send('Performance.getMetrics');
  const of = (sought) => metrics.find(({ name }) => name === sought)?.value ?? 0;
  // What asking for it costs is not the page's.
  return 1000 * (of('TaskDuration') - of('DevToolsCommandDuration'));
}
