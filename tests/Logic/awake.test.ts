import { expect, test } from 'vitest';
import { Awake } from '../../resources/js/features/sitting/sync/awake';
import { ToyTime } from './world';

test('a gap in the page’s own time is a sleep', async () => {
  const time = new ToyTime();
  let now = 1_000_000;
  const awake = new Awake(time, () => now);
  await time.pass(60_000);
  now += 60_000;
  expect(awake.awakeSince).toBe(1_000_000);
  time.setWall(91_000);
  now += 91_000;
  expect(awake.awakeSince).toBe(1_151_000);
  awake.stop();
});
