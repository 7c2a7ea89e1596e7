import { describe, expect, test } from 'vitest';
import type { SittingStore } from '../../resources/js/features/sitting/sittingStore';
import type { SittingEvent } from '../../resources/js/features/sitting/sync/events';
import {
  made,
  NOW,
  opened,
  openStore,
  question,
  refusal,
  settle,
  state,
  ToyStorage,
  ToyTime,
  type Answer,
} from './world';

const OWNER = 'me/s';
const kinds = (events: readonly SittingEvent[] | undefined) => (events ?? []).map(({ kind }) => kind);

test('what the candidate does shows at once and is on the device before it is sent', async () => {
  const { store, storage } = await openStore([]);
  store.answer(1, { choice: 'b' });
  store.flag(1, true);
  store.strike(1, ['a']);
  store.beSure(1, 'guess');
  await settle();
  expect(store.read().questions[1]).toMatchObject({
    response: { choice: 'b' },
    flagged: true,
    struck: ['a'],
    sureness: 'guess',
  });
  expect(kinds(storage.kept.get(OWNER))).toEqual(['shown', 'answered', 'flagged', 'struck', 'sureness']);
  expect(store.read().link.kind).toBe('saving');
});

test('what the server has acknowledged leaves the device, in the order of doing', async () => {
  const { store, server, storage } = await openStore([]);
  store.answer(0, { choice: 'a' });
  store.show(1);
  store.answer(0, { choice: 'c' });
  await store.flush();
  await settle();
  const [sent] = server.sent('record');
  expect(sent?.map(({ seq }) => seq)).toEqual([6, 7, 8, 9]);
  expect(storage.kept.get(OWNER)).toEqual([]);
  expect(store.read().link.kind).toBe('saved');
});

test('without a server answers are kept, counted, and sent again with the same ids', async () => {
  const { store, server } = await openStore(['down']);
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(store.read().link).toEqual({ kind: 'away', waiting: 1, kept: true });
  store.answer(2, { choice: 'b' });
  expect(store.read().link).toEqual({ kind: 'away', waiting: 2, kept: true });
  await store.flush();
  const [first, again] = server.sent('record');
  expect(again?.slice(0, first?.length)).toEqual(first);
  expect(again).toHaveLength((first?.length ?? 0) + 1);
  expect(store.read().link.kind).toBe('saved');
});

test('it is tried again by itself, ever less often, and at once when it works', async () => {
  const { store, server, time } = await openStore(['down', 'down', 'down']);
  store.answer(0, { choice: 'a' });
  await time.pass(150);
  expect(server.sent('record')).toHaveLength(1);
  await time.pass(999);
  expect(server.sent('record')).toHaveLength(1);
  await time.pass(1);
  expect(server.sent('record')).toHaveLength(2);
  await time.pass(2_000 + 4_000);
  expect(server.sent('record')).toHaveLength(4);
  expect(store.read().link.kind).toBe('saved');
  await time.pass(15_000);
  expect(server.sent('record').at(-1)).toEqual([]);
});

test('answers that were kept by a page that died come with the word that contact is back', async () => {
  const storage = new ToyStorage();
  storage.kept.set(OWNER, [
    { id: 'x', seq: 9, kind: 'answered', madeAt: NOW - 5000, position: 2, value: { choice: 'd' } },
  ]);
  const known = [0, 1, 2].map((position) => question(position, position === 2 ? { response: { choice: 'd' } } : {}));
  const { store, server } = made([opened({ lastSeq: 9, questions: known })], storage);
  await store.open();
  expect(server.sent('open').map((events) => events.map(({ id }) => id))).toEqual([['x']]);
  expect(store.read().questions[2]?.response).toEqual({ choice: 'd' });
  store.answer(1, { choice: 'a' });
  await store.flush();
  expect(server.sent('record')[0]?.map(({ seq }) => seq)).toEqual([10, 11]);
  await settle();
  expect(storage.kept.get(OWNER)).toEqual([]);
});

test('answers of a page that died, of which the server did not hear, stay when it cannot be opened', async () => {
  const storage = new ToyStorage();
  const left: SittingEvent = { id: 'x', seq: 9, kind: 'answered', madeAt: NOW, position: 2, value: { choice: 'd' } };
  storage.kept.set(OWNER, [left]);
  const { store } = made(['down'], storage);
  await store.open();
  await settle();
  expect(storage.kept.get(OWNER)).toEqual([left]);
});

test('where nothing can be kept it is said, and answers are sent all the same', async () => {
  const storage = new ToyStorage();
  storage.broken = true;
  const { store, server } = made([opened(), 'down'], storage);
  await store.open();
  store.answer(0, { choice: 'a' });
  await settle();
  await store.flush();
  expect(store.read().link).toEqual({ kind: 'away', waiting: 1, kept: false });
  await store.flush();
  expect(kinds(server.sent('record')[1])).toContain('answered');
  expect(store.read().link.kind).toBe('saved');
});

test('the first tab learns that another has taken the pen and sends no more', async () => {
  const { store, server, time } = await openStore([refusal(409, 'open_elsewhere')]);
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(store.read().link).toEqual({ kind: 'elsewhere', message: 'No.', waiting: 1 });
  await time.pass(60_000);
  expect(server.sent('record')).toHaveLength(1);
});

test('a refused event is told in the server’s words and what the server says stands', async () => {
  const { store } = await openStore([
    state({ questions: [question(0, { locked: true })], refused: { any: 'The answer had been shown.' } }),
  ]);
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(store.read().refused).toBe('The answer had been shown.');
  expect(store.read().questions[0]).toMatchObject({ response: null, locked: true });
});

test.each([
  [refusal(401, 'signed_out'), 'signedOut'],
  [refusal(404, 'not_found'), 'failed'],
  [refusal(422, 'too_many_events'), 'full'],
  [refusal(422, 'too_large'), 'full'],
  [refusal(429, 'slow'), 'away'],
  [refusal(503, 'down'), 'away'],
  [refusal(419, 'stale_page'), 'away'],
  ['down', 'away'],
] as [Answer, string][])('a refusal leads where it should: %s, %s', async (answer, link) => {
  const { store, server } = await openStore([answer]);
  await store.flush();
  expect(store.read().link.kind).toBe(link);
  expect(server.renewed).toBe(answer instanceof Error && 'status' in answer && answer.status === 419 ? 1 : 0);
});

test('a sitting that cannot be opened says so', async () => {
  const { store } = made(['down']);
  await store.open();
  expect(store.read().link.kind).toBe('failed');
});

test('what could not be opened for want of contact opens by itself, and nothing is sent before', async () => {
  const { store, server, time } = made(['down', 'down', 'down', opened()]);
  await store.open();
  store.online();
  await settle();
  expect(store.read().link.kind).toBe('failed');
  await store.flush();
  expect(server.sent('record')).toEqual([]);
  await time.pass(60_000);
  expect(store.read()).toMatchObject({ link: { kind: 'saved' }, status: 'active' });
  expect(store.read().sitting).not.toBeNull();
});

test('what may not be opened is not tried again', async () => {
  const { store, server, time } = made([refusal(404, 'not_found')]);
  await store.open();
  await time.pass(60_000);
  expect(server.sent('open')).toHaveLength(1);
});

test('a page that is out of sight has no question on screen, and has it again when it is back', async () => {
  const { store, server } = await openStore([]);
  await store.flush();
  store.hide(true);
  store.hide(false);
  await store.flush();
  expect(kinds(server.sent('record').flat())).toEqual(['shown', 'hidden', 'shown']);
});

test('an answer that came into a pause which nobody knew of is given again when one goes on', async () => {
  const { store, server } = await openStore([]);
  await store.flush();
  store.answer(1, { choice: 'a' });
  // The server refuses by the id that the page has made.
  const record = server.record.bind(server);
  let refuse = true;
  server.record = async (letter) => {
    const told = await record(letter);
    const ids = letter.events.filter(({ kind }) => kind === 'answered').map(({ id }) => id);
    if (!refuse || ids.length === 0) return told;
    refuse = false;
    return { ...told, status: 'paused', refused: Object.fromEntries(ids.map((id) => [id, 'The sitting was paused.'])) };
  };
  await store.flush();
  expect(store.read()).toMatchObject({ status: 'paused', refused: null });
  await store.resume();
  await store.flush();
  const sent = server.sent('record').flat();
  expect(kinds(sent)).toEqual(['shown', 'answered', 'resumed', 'answered', 'shown']);
  expect(sent[3]).toMatchObject({ position: 1, value: { choice: 'a' } });
});

test('a pause holds when the server has heard of it, and not before', async () => {
  const { store, server, time } = await openStore([
    state(),
    'down',
    state({ status: 'paused', deadline: null, remainingMs: 500_000 }),
  ]);
  await store.flush();
  await store.pause();
  expect(store.read()).toMatchObject({ status: 'active', asked: 'pause', link: { kind: 'away' } });
  const left = store.remaining() ?? 0;
  await time.pass(900);
  expect(left - (store.remaining() ?? 0)).toBe(900);
  await time.pass(100);
  expect(store.read()).toMatchObject({ status: 'paused', asked: null });
  expect(store.remaining()).toBe(500_000);
  await time.pass(5_000);
  expect(store.remaining()).toBe(500_000);
  expect(kinds(server.sent('record').flat())).toContain('paused');
});

const READING = { status: 'reading', readingUntil: NOW + 60_000, deadline: NOW + 660_000, remainingMs: 600_000 };

// Nobody is heard from meanwhile.
const ALONE: Answer[] = Array.from({ length: 40 }, () => 'down');

test('reading is over by itself, by the clock that nobody can set', async () => {
  const { store, time } = made([opened(READING), ...ALONE]);
  await store.open();
  expect(store.read().status).toBe('reading');
  expect(store.readingLeft()).toBe(60_000);
  time.setWall(50_000);
  expect(store.readingLeft()).toBe(60_000);
  await time.pass(60_000);
  expect(store.readingLeft()).toBe(0);
  store.readingOver();
  expect(store.read().status).toBe('active');
  expect([store.readingLeft(), store.remaining()]).toEqual([null, 600_000]);
});

test('who ends reading sooner answers at once, and the server says how long', async () => {
  const { store, server, time } = made([opened(READING), ...ALONE]);
  await store.open();
  await time.pass(20_000);
  await store.endReading();
  expect(store.read().status).toBe('active');
  expect(store.remaining()).toBe(600_000);
  store.answer(0, { choice: 'a' });
  server.answers.length = 0;
  await time.pass(60_000);
  const first = server.sent('record').find((events) => kinds(events).includes('answered'));
  expect(kinds(first)).toEqual(expect.arrayContaining(['reading_ended', 'answered']));
  expect(kinds(first).indexOf('reading_ended')).toBeLessThan(kinds(first).indexOf('answered'));
});

test('a pause that never left this page can be taken back, one that may have is answered', async () => {
  const { store, server } = await openStore([]);
  const answer = server.record.bind(server);
  let hear: (() => void) | undefined;
  server.record = (letter) => new Promise((done) => (hear = () => done(answer(letter))));
  void store.flush();
  void store.pause();
  void store.stayOn();
  expect(store.read().asked).toBeNull();
  hear?.();
  server.record = answer;
  await settle();
  await store.flush();
  expect(kinds(server.sent('record').flat())).not.toContain('paused');

  server.answers.push('down');
  await store.pause();
  await store.stayOn();
  expect(kinds(server.sent('record').at(-1)).slice(-2)).toEqual(['paused', 'resumed']);
});

test('after a pause the questions wait for the server’s word that the clock runs', async () => {
  const paused = state({ status: 'paused', deadline: null, remainingMs: 500_000 });
  const { store, time } = await openStore(['down', state()], paused);
  await settle();
  await store.resume();
  expect(store.read()).toMatchObject({ status: 'paused', asked: 'going on' });
  await store.resume();
  await time.pass(60_000);
  expect(store.read()).toMatchObject({ status: 'active', asked: null });
});

test('one goes on with the letter that knows of it, whatever was under way or failed before', async () => {
  const paused = { status: 'paused', deadline: null, remainingMs: 500_000 } as const;
  const { store, server, time } = await openStore([], paused);
  await settle();
  // A letter is under way when going on is asked for, and answered afterwards: still paused. The next one is lost.
  const record = server.record.bind(server);
  let answer: (() => void) | undefined;
  server.record = (letter) =>
    new Promise((done) => (answer = () => done(record(letter).then((told) => ({ ...told, ...paused })))));
  void store.flush();
  await settle();
  void store.resume();
  server.record = record;
  answer?.();
  await settle();
  expect(store.read()).toMatchObject({ status: 'paused', asked: 'going on' });
  server.answers.push('down');
  await time.pass(5_000);
  expect(store.read()).toMatchObject({ status: 'active', asked: null });
  const sent = kinds(server.sent('record').flat());
  expect(sent.filter((kind) => kind === 'shown')).toHaveLength(1);
  expect(sent.at(-1)).toBe('shown');
});

test('what waits when one goes on is given again in order, and a page out of sight shows no question', async () => {
  const { store, server } = await openStore([]);
  await store.flush();
  store.answer(0, { choice: 'a' });
  store.answer(1, { choice: 'b' });
  store.answer(1, { choice: 'c' });
  store.answer(2, { choice: 'a' });
  const record = server.record.bind(server);
  server.record = async (letter) => {
    const told = await record(letter);
    const ids = letter.events.filter(({ kind }) => kind === 'answered').map(({ id }) => id);
    return { ...told, status: 'paused', refused: Object.fromEntries(ids.map((id) => [id, 'The sitting was paused.'])) };
  };
  await store.flush();
  server.record = record;
  const before = server.sent('record').flat().length;
  store.hide(true);
  await store.resume();
  await store.flush();
  const again = server.sent('record').flat().slice(before);
  expect(kinds(again)).toEqual(['resumed', 'answered', 'answered', 'answered']);
  expect(again.map(({ position, value }) => [position, value]).slice(1)).toEqual([
    [0, { choice: 'a' }],
    [1, { choice: 'c' }],
    [2, { choice: 'a' }],
  ]);
  store.hide(false);
  await store.flush();
  expect(kinds(server.sent('record').flat()).at(-1)).toBe('shown');
});

test('whoever asks for the answer cannot change theirs, connection or not', async () => {
  const { store, time } = await openStore(['down']);
  store.answer(0, { choice: 'a' });
  await store.check(0);
  expect(store.read().questions[0]).toMatchObject({ checked: true, locked: true, outcome: null });
  await time.pass(500);
  expect(store.read().questions[0]?.locked).toBe(true);
});

test('handing in sends what had not been sent and ends it', async () => {
  const { store, server, storage } = await openStore([]);
  store.answer(1, { choice: 'b' });
  expect(await store.handIn()).toBe(true);
  expect(kinds(server.sent('handIn')[0])).toEqual(['shown', 'answered']);
  expect(storage.kept.get(OWNER)).toEqual([]);
  expect(store.read()).toMatchObject({ status: 'handed_in', link: { kind: 'handedIn' }, late: { answers: 0 } });
});

test('handing in without a server keeps everything and is not done', async () => {
  const { store, storage } = await openStore(['down']);
  store.answer(1, { choice: 'b' });
  expect(await store.handIn()).toBe(false);
  expect(kinds(storage.kept.get(OWNER))).toEqual(['shown', 'answered']);
  expect(store.read().status).toBe('active');
});

test('handing in goes in parts of 500', async () => {
  const { store, server } = await openStore([]);
  for (let i = 0; i < 1_100; i++) store.show(i % 3);
  expect(await store.handIn()).toBe(true);
  expect(server.sent('record').map((events) => events.length)).toEqual([500, 500]);
  expect(server.sent('handIn').map((events) => events.length)).toEqual([101]);
});

test('a sitting that takes no more is handed in all the same, and what is lost is told', async () => {
  const { store, server } = await openStore([refusal(422, 'too_many_events')]);
  for (let i = 0; i < 700; i++) store.show(i % 3);
  store.answer(2, { choice: 'c' });
  const refuse = (letter: number) => {
    const answered = server.sent('handIn')[letter]?.filter(({ kind }) => kind === 'answered') ?? [];
    return { sitting: 's', refused: Object.fromEntries(answered.map(({ id }) => [id, 'It is full.'])) };
  };
  server.handIn = async (letter) => {
    server.asked.push({ what: 'handIn', letter });
    return refuse(server.sent('handIn').length - 1);
  };
  expect(await store.handIn()).toBe(true);
  expect(server.sent('handIn').map((events) => events.length)).toEqual([500, 202]);
  expect(store.read().late).toEqual({ answers: 1, why: 'It is full.' });
});

test('a sitting whose time ran out while the server was away is handed in when it is back, and late answers are told', async () => {
  const { store, server, time } = await openStore(['down']);
  store.answer(1, { choice: 'b' });
  await store.flush();
  const late = server.sent('record')[0]?.find(({ kind }) => kind === 'answered')?.id ?? '';
  server.answers.push(state({ status: 'handed_in', deadline: null, refused: { [late]: 'The sitting had ended.' } }));
  await time.pass(1_000);
  expect(server.sent('handIn')).toHaveLength(1);
  expect(store.read()).toMatchObject({
    link: { kind: 'handedIn' },
    late: { answers: 1, why: 'The sitting had ended.' },
  });
});

test('what was kept here when it was handed in elsewhere is not lost without a word', async () => {
  const storage = new ToyStorage();
  storage.kept.set(OWNER, [
    { id: 'x', seq: 9, kind: 'answered', madeAt: NOW, position: 2, value: { choice: 'd' } },
    { id: 'y', seq: 10, kind: 'answered', madeAt: NOW, position: 1, value: { choice: 'd' } },
  ]);
  const { store, time } = made(
    [refusal(409, 'handed_in'), { sitting: 's', refused: { x: 'It had been handed in.' } }],
    storage,
  );
  await store.open();
  await time.pass(1);
  expect(store.read().late).toEqual({ answers: 1, why: 'It had been handed in.' });
  expect(storage.kept.get(OWNER)).toEqual([]);
});

test('when time is up the server is asked, and it is handed in as soon as it says so', async () => {
  const over = state({ status: 'handed_in', deadline: null });
  const { store, server, time } = await openStore(['down', 'down', over], { deadline: NOW });
  store.answer(0, { choice: 'a' });
  expect(store.timeUp()).toBe(true);
  expect(store.read().zero).toBe(true);
  await time.pass(0);
  expect(store.read().link.kind).toBe('away');
  await time.pass(1_000 + 2_000);
  expect(server.sent('record').map(kinds)).toEqual(Array(3).fill(['shown', 'answered']));
  expect(server.sent('handIn')).toEqual([[]]);
  expect(store.read().link.kind).toBe('handedIn');
});

test('when the server says that there is time left, nothing is handed in, and time may be up again', async () => {
  const { store, server, time } = await openStore(
    [state({ deadline: NOW + 900 }), state({ status: 'paused', deadline: null, remainingMs: 500_000 })],
    { deadline: NOW },
  );
  store.timeUp();
  await settle();
  // So it is, too, where a section ends and the next begins.
  expect(store.read()).toMatchObject({ zero: false, link: { kind: 'saved' } });
  expect(store.remaining()).toBe(900);
  expect(store.timeUp()).toBe(false);
  expect(store.read().zero).toBe(false);
  await time.pass(900);
  expect(store.timeUp()).toBe(true);
  await settle();
  expect(store.read()).toMatchObject({ zero: false, status: 'paused' });
  expect(store.remaining()).toBe(500_000);
  expect(server.sent('handIn')).toEqual([]);
});

describe('a lid that is closed', () => {
  const AN_HOUR = 3_600_000;

  test.each([
    ['goes on', (time: ToyTime) => time.sleep(AN_HOUR)],
    ['stands', (time: ToyTime) => time.setWall(AN_HOUR)],
  ])('takes no second where the page’s own clock %s, nor a turn; and the server is asked at once', async (_, sleep) => {
    const { store, server, time } = await openStore([state(), ...Array<Answer>(30).fill('down')]);
    await store.flush();
    const before = server.sent('record').length;
    sleep(time);
    expect(store.timeUp()).toBe(false);
    await time.pass(5_000);
    expect(server.sent('record').length).toBeGreaterThan(before);
    expect(server.asked.at(-1)?.letter.awakeSince).toBeNull();
    // All but the moments since it was opened again, and since the last look before.
    expect(store.remaining()).toBeGreaterThanOrEqual(590_000);
    expect(store.read()).toMatchObject({ zero: false, link: { kind: 'away' } });
  });

  test('does not stop the clock of what cannot be paused', async () => {
    const { store, time } = await openStore(['down', 'down'], { deadline: NOW + 600_000 });
    Object.assign(store.read().sitting?.briefing ?? {}, { pausable: false });
    time.sleep(AN_HOUR);
    expect(store.timeUp()).toBe(true);
  });

  test('once the server has said what time it is, the page is awake since then', async () => {
    const { store, server, time } = await openStore([state()]);
    await store.flush();
    time.setWall(AN_HOUR);
    await time.pass(5_000);
    expect(server.asked.at(-1)?.letter.awakeSince).toBeNull();
    await store.flush();
    expect(server.asked.at(-1)?.letter.awakeSince).toBe(NOW);
  });
});

test('what takes no more is handed in as it is when time is up', async () => {
  const { store, server } = await openStore([refusal(409, 'too_many_events')], { deadline: NOW });
  store.answer(0, { choice: 'a' });
  store.timeUp();
  await settle();
  expect(server.sent('handIn').map(kinds)).toEqual([['shown', 'answered']]);
  expect(store.read().link.kind).toBe('handedIn');
});

test('nothing is sent beside what is handed in, nor after it', async () => {
  const { store, server, time } = await openStore([]);
  const answer = server.handIn.bind(server);
  let hear: (() => void) | undefined;
  server.handIn = (letter) => new Promise((done) => (hear = () => done(answer(letter))));
  store.answer(1, { choice: 'b' });
  const done = store.handIn();
  await time.pass(500);
  void store.flush();
  await time.pass(60_000);
  expect(server.sent('record')).toEqual([]);
  hear?.();
  expect(await done).toBe(true);
  await time.pass(60_000);
  expect(server.sent('record')).toEqual([]);
});

test('a second wish to hand in, while the first is on its way, is the same', async () => {
  const { store, server } = await openStore([]);
  expect(await Promise.all([store.handIn(), store.handIn()])).toEqual([true, true]);
  expect(server.sent('handIn')).toHaveLength(1);
});

test('a page that leaves says so; one without a connection cannot', async () => {
  const { store, server } = await openStore([]);
  await store.flush();
  store.leave();
  expect(kinds(server.sent('leave')[0])).toEqual(['left']);
  // Browsers hide a page after it has gone: that must not take the pen back.
  const told = server.sent('record').length;
  store.hide(true);
  await store.flush();
  expect(kinds(server.sent('record').slice(told).flat())).not.toContain('hidden');
  const away = await openStore(['down']);
  await away.store.flush();
  away.store.leave();
  expect(away.server.sent('leave')).toEqual([]);
});

test('a last word too long for a closing page goes alone', async () => {
  const { store, server } = await openStore([]);
  for (let position = 0; position < 3; position++) store.answer(position, { text: 'x'.repeat(20_000) });
  store.leave();
  expect(kinds(server.sent('leave')[0])).toEqual(['left']);
});

test('the server’s clock cannot be set from here', async () => {
  const { store, time } = await openStore(['down', 'down', 'down', 'down']);
  expect(store.remaining()).toBe(600_000);
  time.setWall(-3_600_000);
  expect(store.remaining()).toBe(600_000);
  await time.pass(10_000);
  expect(store.remaining()).toBe(590_000);
});

test('a stopped store does nothing more', async () => {
  const { store, server, time } = await openStore([]);
  store.stop();
  await time.pass(60_000);
  expect(server.sent('record')).toEqual([]);
});

describe('a time for each question', () => {
  const inTurns = async (answers: Answer[] = [], part: object = {}) => {
    const made_ = made([opened({ current: 0, deadline: NOW + 30_000, ...part }, 30_000), ...answers]);
    await made_.store.open();
    return made_;
  };
  const locked = (store: SittingStore) => store.read().questions.map((one) => one.locked);

  test('only the one whose turn it is can be answered, and nobody jumps', async () => {
    const { store } = await inTurns();
    expect(locked(store)).toEqual([false, true, true]);
    store.show(2);
    expect(store.read().current).toBe(0);
    store.show(1);
    expect(store.read().current).toBe(1);
    expect(locked(store)).toEqual([true, false, true]);
    store.show(0);
    expect(store.read().current).toBe(1);
  });

  test('at zero the next has its turn, with a whole time, connection or not; at the last it is handed in', async () => {
    const { store, time } = await inTurns(Array<Answer>(30).fill('down'));
    await time.pass(30_000);
    expect(store.remaining()).toBe(0);
    expect(store.timeUp()).toBe(false);
    expect(store.read().current).toBe(1);
    expect(store.remaining()).toBe(30_000);
    expect(store.timeUp()).toBe(false);
    await time.pass(30_000);
    expect(store.timeUp()).toBe(false);
    await time.pass(30_000);
    expect(store.timeUp()).toBe(true);
  });

  test('a time that ran out while the lid was closed takes no turn away', async () => {
    const { store, time } = await inTurns(Array<Answer>(3).fill('down'));
    time.sleep(3_600_000);
    expect(store.timeUp()).toBe(false);
    expect(store.read()).toMatchObject({ current: 0, zero: false });
  });

  test('whose turn it is is the server’s to say', async () => {
    const { store, time } = await inTurns([state({ current: 2, deadline: NOW + 70_000 })]);
    store.flag(0, true);
    await time.pass(1_000);
    expect(store.read().current).toBe(2);
    expect(locked(store)).toEqual([true, true, false]);
  });

  test('what has not been sent yet moves on from there', async () => {
    const { store, server, time } = await inTurns([state({ current: 0, deadline: NOW + 30_000 })]);
    const record = server.record.bind(server);
    server.record = (letter) => {
      // Goes on while the letter is on its way.
      if (store.read().current === 0) store.show(1);
      return record(letter);
    };
    store.answer(0, { choice: 'a' });
    await time.pass(400);
    expect(store.read().current).toBe(1);
  });
});

test('a try is asked for at once, and who has found it is told why', async () => {
  const missed = state({ questions: [question(0, { tries: [{ response: { choice: 'a' }, outcome: 'missed' }] })] });
  const found = state({
    questions: [
      question(0, {
        tries: [
          { response: { choice: 'a' }, outcome: 'missed' },
          { response: { choice: 'b' }, outcome: 'right' },
        ],
      }),
    ],
  });
  const { store, server } = await openStore([missed, found]);
  store.answer(0, { choice: 'a' });
  const trying = store.try(0);
  expect(store.read().questions[0]?.asked).toBe(true);
  await trying;
  expect(store.read().questions[0]).toMatchObject({ checked: false });
  expect(store.read().questions[0]?.asked).toBeUndefined();
  store.answer(0, { choice: 'b' });
  await store.try(0);
  await store.flush();
  expect(kinds(server.sent('record').at(-1))).toEqual(['checked']);
  expect(store.read().questions[0]).toMatchObject({ checked: true, locked: true });
});

test('one’s own time on a question is what the server knows and what has gone since', async () => {
  const { store, time } = await openStore([
    state({}),
    state({ now: NOW + 2_000, questions: [question(1, { activeMs: 30_000 })] }),
  ]);
  await store.flush();
  await time.pass(2_000);
  expect(store.ownTime()).toBe(2_000);
  store.show(1);
  await store.flush();
  await time.pass(4_000);
  expect(store.ownTime()).toBe(34_000);
});

describe('a server that was put back to an earlier state', () => {
  const behind = refusal(409, 'behind');

  test('gets again what it had acknowledged, and nothing is put over the gap', async () => {
    const { store, server } = await openStore([state({ lastSeq: 7 }), behind, state({ lastSeq: 8 })]);
    store.answer(0, { choice: 'a' });
    await store.flush();
    store.answer(1, { choice: 'b' });
    await store.flush();
    await settle();
    expect(server.asked.at(-1)?.letter.after).toBe(7);
    await store.flush();
    const last = server.asked.filter(({ what }) => what === 'record').at(-1)?.letter;
    expect(last?.after).toBeUndefined();
    expect(last?.events.map(({ kind, position }) => [kind, position])).toEqual([
      ['shown', 0],
      ['answered', 0],
      ['answered', 1],
    ]);
  });

  test('is found out when the page is opened again', async () => {
    const storage = new ToyStorage();
    const first = made([opened({ lastSeq: 5 }), state({ lastSeq: 7 })], storage);
    await first.store.open();
    first.store.answer(0, { choice: 'a' });
    await first.store.flush();
    await settle();
    const { store, server } = made([opened({ lastSeq: 5 })], storage);
    await store.open();
    await store.flush();
    expect(server.sent('record')[0]?.map(({ kind }) => kind)).toContain('answered');
  });
});

describe('a series without return', () => {
  const series = { id: 'unit-0', kind: 'series', title: '', text: '', exhibits: [], positions: [0, 1, 2] };

  /** A store whose questions are a series; the server says nothing of its own. */
  async function openSeries(first: object = {}) {
    const world = made([{ ...opened(first), units: [series] }, 'down', 'down', 'down', 'down']);
    await world.store.open();
    await settle();
    return world;
  }

  test('what is gone on from is closed at once, also without a connection', async () => {
    const { store } = await openSeries();
    store.answer(0, { choice: 'a' });
    store.show(1);
    expect(store.read().questions.map(({ closed, locked }) => [closed, locked])).toEqual([
      [true, true],
      [false, false],
      [false, false],
    ]);
  });

  test('whoever asks for the last comes to the first that was never seen', async () => {
    const { store, storage } = await openSeries();
    store.show(2);
    await settle();
    expect(store.read().current).toBe(1);
    expect(storage.kept.get(OWNER)?.map(({ position }) => position)).toEqual([0, 1]);
  });

  test('while reading all of it can be looked at; when reading is over, one begins at its first', async () => {
    const reading = { status: 'reading', deadline: null, readingUntil: NOW + 60_000 };
    const { store, time } = await openSeries(reading);
    store.show(1);
    store.show(2);
    expect(store.read().questions.some(({ closed }) => closed)).toBe(false);
    time.setWall(0);
    await time.pass(60_000);
    store.readingOver();
    expect([store.read().status, store.read().current]).toEqual(['active', 0]);
    expect(store.read().questions.some(({ closed }) => closed)).toBe(false);
  });
});

test('a break closes what was seen, before the server has heard of it', async () => {
  const { store } = await openStore(['down']);
  await store.takeBreak();
  expect(store.read().questions.map(({ closed }) => closed)).toEqual([true, false, false]);
});
