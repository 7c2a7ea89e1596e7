import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import type { Kind, SittingEvent } from '../../resources/js/features/sitting/sync/events';
import { Queue } from '../../resources/js/features/sitting/sync/queue';
import { BrowserStorage } from '../../resources/js/features/sitting/sync/queueStorage';
import { ToyStorage } from './world';

let seq = 0;

function event(kind: Kind, position: number | null = null, value: unknown = null): SittingEvent {
  seq += 1;
  return { id: `e${seq}`, seq, kind, madeAt: seq, position, value };
}

function filled(...events: SittingEvent[]): Queue {
  const queue = new Queue(new ToyStorage(), 'me/s');
  for (const one of events) queue.put(one);
  return queue;
}

const said = (queue: Queue) => queue.all.map(({ kind, position, value }) => [kind, position, value]);

test('of marks that nobody has seen the last stands for those before it', () => {
  const queue = filled(
    event('answered', 3, 'a'),
    event('flagged', 3, true),
    event('answered', 4, 'x'),
    event('answered', 3, 'b'),
    event('struck', 3, ['c']),
    event('answered', 3, 'c'),
    event('flagged', 3, false),
  );
  expect(said(queue)).toEqual([
    ['answered', 4, 'x'],
    ['struck', 3, ['c']],
    ['answered', 3, 'c'],
    ['flagged', 3, false],
  ]);
  expect(queue.answers).toBe(2);
});

test.each(['checked', 'shown', 'break_began', 'section_began', 'paused', 'left'] as const)(
  'what came before a step that may close it stays: %s',
  (kind) => {
    const queue = filled(event('answered', 3, 'a'), event(kind, 3), event('answered', 3, 'b'));
    expect(said(queue).filter(([mark]) => mark === 'answered')).toEqual([
      ['answered', 3, 'a'],
      ['answered', 3, 'b'],
    ]);
  },
);

test('what is on its way may have arrived, so nothing takes its place', () => {
  const queue = filled(event('answered', 3, 'a'));
  const sent = queue.next();
  queue.put(event('answered', 3, 'b'));
  queue.put(event('answered', 3, 'c'));
  expect(said(queue).map(([, , value]) => value)).toEqual(['a', 'c']);
  queue.acknowledge(sent.map(({ id }) => id));
  expect(said(queue).map(([, , value]) => value)).toEqual(['c']);
});

test('only what was not sent can be withdrawn', () => {
  const queue = filled(event('paused'));
  expect(queue.withdraw('paused')).toBe(true);
  expect(queue.all).toEqual([]);
  queue.put(event('paused'));
  queue.next();
  expect(queue.withdraw('paused')).toBe(false);
  expect(queue.all).toHaveLength(1);
});

test('a letter holds 500', () => {
  const queue = filled(...Array.from({ length: 501 }, (_, i) => event('shown', i)));
  expect(queue.next()).toHaveLength(500);
});

test('the browser’s own database keeps them for the next page, each person’s and sitting’s apart', async () => {
  const storage = new BrowserStorage();
  const mine = new Queue(storage, 'me/s');
  const [one, two, three] = [event('answered', 0, 'a'), event('shown', 1), event('answered', 0, 'b')];
  for (const each of [one, two, three]) mine.put(each);
  await mine.settled();
  const next = new Queue(new BrowserStorage(), 'me/s');
  await next.load(0);
  expect(next.all).toEqual([one, two, three]);
  for (const other of ['you/s', 'me/t']) {
    const queue = new Queue(storage, other);
    await queue.load(0);
    expect(queue.all).toEqual([]);
  }
  next.acknowledge([one.id, 'unknown']);
  await next.settled();
  expect((await storage.read('me/s')).map(({ id }) => id)).toEqual([two.id, three.id]);
  expect(next.isKept).toBe(true);
});

test('what was stood for is gone from the device too', async () => {
  const storage = new ToyStorage();
  const queue = new Queue(storage, 'me/s');
  queue.put(event('answered', 0, 'a'));
  queue.put(event('answered', 0, 'b'));
  await queue.settled();
  expect(storage.kept.get('me/s')?.map(({ value }) => value)).toEqual(['b']);
});

test('a storage that fails is noticed, and one that works again too', async () => {
  const storage = new ToyStorage();
  const queue = new Queue(storage, 'me/s');
  storage.broken = true;
  queue.put(event('answered', 0, 'a'));
  await queue.settled();
  expect(queue.isKept).toBe(false);
  storage.broken = false;
  queue.put(event('shown', 1));
  await queue.settled();
  expect(queue.isKept).toBe(true);
});

test('what was acknowledged is kept, sent again when the server lost it, and goes with the sitting', async () => {
  const storage = new ToyStorage();
  const queue = new Queue(storage, 'me/s');
  const from = seq + 1;
  for (const position of [0, 1, 2]) queue.put(event('answered', position, 'a'));
  const ids = queue.next().map(({ id }) => id);
  queue.acknowledge(ids, new Set([ids[2] ?? '']));
  await queue.settled();
  expect(storage.kept.get('me/s')).toEqual([]);
  expect(storage.kept.get('me/s#told')?.map((one) => one.seq - from)).toEqual([0, 1]);
  expect(queue.again(from + 1)).toBe(false);
  expect(queue.again(from)).toBe(true);
  expect(queue.all.map((one) => one.seq - from)).toEqual([1]);
  queue.acknowledge([ids[1] ?? '']);
  // The next page knows them too, but not for ever.
  await queue.settled();
  const next = new Queue(storage, 'me/s');
  await next.load(0);
  expect(next.again(0)).toBe(true);
  expect(next.all.map((one) => one.seq - from).sort()).toEqual([0, 1]);
  next.acknowledge(ids);
  await next.settled();
  const late = new Queue(storage, 'me/s');
  await late.load(49 * 3_600_000);
  expect(late.again(0)).toBe(false);
  next.forget();
  await next.settled();
  expect(storage.kept.get('me/s#told')).toEqual([]);
});
