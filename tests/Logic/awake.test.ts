import { expect, test } from 'vitest';
import { Awake } from '../../resources/js/features/sitting/sync/awake';
import { ToyTime } from './world';

/** A page by a server's clock of its own, which is one second past a million when it is first heard. */
function made() {
  const time = new ToyTime();
  const server = { now: 5_000, woken: [] as number[] };
  const awake = new Awake(
    time,
    () => server.now,
    (wentOn) => server.woken.push(wentOn),
  );
  return { time, server, awake };
}

test('before the server was heard, the page knows nothing of its time', async () => {
  const { server, awake } = made();
  expect(awake.tell()).toBeNull();
  server.now = 1_001_000;
  awake.heard();
  expect([awake.tell(), awake.since]).toEqual([1_001_000, 1_001_000]);
});

test('a page that runs without a gap is awake since it was first heard', async () => {
  const { time, server, awake } = made();
  server.now = 1_001_000;
  awake.heard();
  for (let minute = 0; minute < 3; minute++) {
    await time.pass(60_000);
    server.now += 60_000;
    awake.tell();
    awake.heard();
  }
  expect([awake.tell(), server.woken]).toEqual([1_001_000, []]);
});

test('after a gap only the server knows the time: it is asked, and the page is awake since its answer', async () => {
  const { time, server, awake } = made();
  awake.heard();
  time.setWall(91_000);
  await time.pass(5_000);
  // Its own clock stood still in the gap.
  expect(server.woken).toEqual([0]);
  expect(awake.tell()).toBeNull();
  server.now = 2_000_000;
  awake.heard();
  expect([awake.tell(), awake.since]).toEqual([2_000_000, 2_000_000]);
});

test('an answer to what was asked before the gap says nothing of the time after it', async () => {
  const { time, server, awake } = made();
  awake.heard();
  expect(awake.tell()).toBe(5_000);
  // The lid is closed while the letter is on its way.
  time.setWall(3_600_000);
  awake.heard();
  expect(awake.tell()).toBeNull();
  server.now = 3_700_000;
  awake.heard();
  expect(awake.tell()).toBe(3_700_000);
});

test('a hidden page that is woken once a minute has not slept', async () => {
  const { time, server, awake } = made();
  awake.heard();
  time.setWall(89_000);
  expect([server.woken, awake.tell()]).toEqual([[], 5_000]);
  awake.stop();
});

test('it is told for how long its own clock went on in the gap, a tick at the least left out', () => {
  const { time, server, awake } = made();
  awake.heard();
  time.sleep(3_600_000);
  awake.look();
  expect(server.woken).toEqual([3_595_000]);
  awake.look();
  expect(server.woken).toHaveLength(1);
});
