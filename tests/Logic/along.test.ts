import { expect, test } from 'vitest';
import { Spells } from '../../resources/js/features/sitting/packs/spells';
import type { Pack } from '../../resources/js/features/sitting/packs/packs';
import { made, NOW, opened, question, refusal, settle, state, type Answer } from './world';

class Shelf {
  readonly kept = new Map<string, string>();
  getItem = (key: string) => this.kept.get(key) ?? null;
  setItem = (key: string, text: string) => void this.kept.set(key, text);
  removeItem = (key: string) => void this.kept.delete(key);
}

test('a page that runs on makes one spell longer, and the next page begins another', () => {
  const shelf = new Shelf();
  const first = new Spells(shelf, 'k');
  first.ran(100, 150.4);
  first.ran(100, 180);
  const second = new Spells(shelf, 'k');
  second.ran(900, 950);
  second.ran(990, 995);
  expect(second.all).toEqual([
    [100, 180],
    [900, 950],
    [990, 995],
  ]);
});

test.each(['', '{', '5', '[[1],"x",[1,2,3],["a",2]]'])('what cannot be read of spells is left out: %s', (text) => {
  const shelf = new Shelf();
  shelf.setItem('k', text);
  expect(new Spells(shelf, 'k').all).toEqual([]);
});

test('a spell never ends before it began, however the server’s clock is estimated', () => {
  const spells = new Spells(new Shelf(), 'k');
  spells.ran(1000.6, 1000.2);
  spells.ran(2000, 1500);
  expect(spells.all).toEqual([
    [1001, 1001],
    [2000, 2000],
  ]);
});

test('what the server has heard of is told no more, and of what is over nothing is left', () => {
  const shelf = new Shelf();
  const spells = new Spells(shelf, 'k');
  spells.ran(100, 200);
  spells.ran(300, 400);
  spells.heard(200);
  expect(spells.all).toEqual([[300, 400]]);
  expect(new Spells(shelf, 'k').all).toEqual([[300, 400]]);
  spells.clear();
  expect([spells.all, shelf.kept.size]).toEqual([[], 0]);
});

test('spells do not grow for ever, and a full device loses none of this page', () => {
  const shelf = new Shelf();
  const spells = new Spells(shelf, 'k');
  for (let i = 0; i < 1000; i++) spells.ran(10 * i, 10 * i + (i % 7));
  expect(spells.all).toHaveLength(400);
  // No moment in which somebody was there is lost: the closest became one.
  for (let i = 0; i < 1000; i++) expect(spells.all.some(([from, to]) => from <= 10 * i && 10 * i <= to)).toBe(true);
  shelf.setItem = () => {
    throw new Error('full');
  };
  spells.ran(50_000, 50_001);
  expect(spells.all.at(-1)).toEqual([50_000, 50_001]);
});

const AN_HOUR = 3_600_000;

/** A store on a device that took the sitting along an hour ago. */
async function openPacked(answers: Answer[], first: Answer = 'down', alone = true) {
  const kept = { states: [] as unknown[], dropped: 0 };
  const pack = {
    tab: 'device',
    toldAt: NOW - AN_HOUR,
    opened: { ...opened(), state: state({ now: NOW - AN_HOUR, questions: [question(0), question(1), question(2)] }) },
  } as unknown as Pack;
  const along = {
    find: () => Promise.resolve(pack),
    hold: () => Promise.resolve(alone),
    release: () => undefined,
    keep: (told: unknown) => void kept.states.push(told),
    drop: () => void kept.dropped++,
    spells: new Spells(new Shelf(), 'k'),
  };
  const world = made([first, ...answers], undefined, along);
  await world.store.open();
  await settle();
  return { ...world, kept };
}

test('without a server it goes on from what was taken along, under the name of the device', async () => {
  const { store, server, time } = await openPacked([]);
  expect(store.read().link.kind).toBe('away');
  expect(store.read().questions).toHaveLength(3);
  store.answer(1, { choice: 'b' });
  await settle();
  expect(store.read().questions[1]?.response).toEqual({ choice: 'b' });
  expect(store.name).toBe('device');
  await time.pass(15_000);
  // The server must first open it again for this name.
  const asked = server.asked.map(({ what }) => what);
  expect(asked.slice(0, 3)).toEqual(['open', 'open', 'record']);
  expect(store.read().link.kind).toBe('saved');
  const [letter] = server.asked.filter(({ what }) => what === 'record');
  expect(letter?.letter).toMatchObject({ tab: 'device' });
});

test('what the server tells is kept for the next time without it', async () => {
  const { store, kept } = await openPacked([], opened());
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(kept.states.at(-1)).toMatchObject({ lastSeq: expect.any(Number) as number, status: 'active' });
  expect(await store.handIn()).toBe(true);
  expect(kept.dropped).toBe(1);
  expect(store.read().pack).toBeNull();
});

test('taken over by another device: what was done here is told to wait, not lost', async () => {
  const { store, time } = await openPacked([refusal(409, 'open_elsewhere')]);
  store.answer(1, { choice: 'b' });
  await time.pass(15_000);
  expect(store.read().link).toMatchObject({ kind: 'elsewhere', waiting: 1 });
});

test('handed in by the clock meanwhile: what waits is sent after it, once', async () => {
  const { store, server, time } = await openPacked([refusal(409, 'handed_in')]);
  store.answer(1, { choice: 'b' });
  await time.pass(20_000);
  expect(server.sent('handIn')).toHaveLength(1);
  expect(store.read().link.kind).toBe('handedIn');
});

test('a second tab of the device stays out', async () => {
  const { store } = await openPacked([], opened(), false);
  expect(store.read().link).toMatchObject({ kind: 'elsewhere' });
});
