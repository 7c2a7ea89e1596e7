import { expect, test } from '@playwright/test';
import type { Middleware } from 'openapi-fetch';
import { api, ask, Refused, Unreachable } from '../../resources/js/api/client';
import { Awake } from '../../resources/js/features/sitting/awake';
import { Outbox } from '../../resources/js/features/sitting/outbox';
import { words } from '../../resources/js/features/sitting/RouteLine';
import { having, orNothing } from '../../resources/js/features/question/response';
import {
  fault,
  keepShortcuts,
  meaning,
  readShortcuts,
  USUAL,
  type Shortcuts,
} from '../../resources/js/features/sitting/shortcuts';
import { ServerClock } from '../../resources/js/features/sitting/serverClock';
import { SittingStore, type QuestionState } from '../../resources/js/features/sitting/sittingStore';
import { plain } from '../../resources/js/ui/plain';
import { clock, count, duration } from '../../resources/js/ui/words';

// The logic of the front end knows nothing of React, so it is tried here without a browser: a server that is a list of
// answers, a storage that is a map, and a page that never closes.

type Answer = { status: number; body: unknown } | 'down';

interface Asked {
  method: string;
  path: string;
  body: { tab: string; events: { id: string; seq: number; kind: string; position: number | null; value: unknown }[] };
}

const NOW = 1_800_000_000_000;

function question(position: number, part: Partial<QuestionState> = {}): QuestionState {
  return {
    position,
    response: null,
    flagged: false,
    struck: [],
    sureness: null,
    seen: false,
    checked: false,
    locked: false,
    outcome: null,
    ...part,
  };
}

function state(part: object = {}) {
  return {
    status: 'active',
    now: NOW,
    deadline: NOW + 600_000,
    remainingMs: 600_000,
    activeMs: 0,
    current: null,
    answered: 0,
    breaksLeft: 0,
    lastSeq: 5,
    questions: [],
    refused: {},
    ...part,
  };
}

function opened(part: object = {}) {
  const questions = [0, 1, 2].map((position) => ({
    position,
    marks: '1',
    stem: 'S',
    body: { kind: 'single', options: [] },
  }));
  return {
    briefing: { id: 's', mode: 'timed' },
    questions,
    state: state({ questions: [0, 1, 2].map((position) => question(position)), ...part }),
  };
}

let server: Middleware | null = null;

/** Puts a storage and a server in place of the browser's. */
function pretend(answers: Answer[]): { asked: Asked[]; stored: Map<string, string>; answers: Answer[] } {
  const asked: Asked[] = [];
  const stored = new Map<string, string>();
  const storage = {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => void stored.set(key, value),
    removeItem: (key: string) => void stored.delete(key),
  };
  Object.assign(globalThis, {
    localStorage: storage,
    sessionStorage: storage,
    window: globalThis,
    document: { cookie: 'XSRF-TOKEN=token' },
  });
  if (server) api.eject(server);
  server = {
    async onRequest({ request }) {
      const body = request.method === 'GET' ? null : ((await request.clone().json()) as Asked['body']);
      asked.push({ method: request.method, path: new URL(request.url).pathname, body: body as Asked['body'] });
      const answer = answers.shift() ?? { status: 200, body: state() };
      if (answer === 'down') throw new TypeError('Failed to fetch');
      return new Response(JSON.stringify(answer.body), {
        status: answer.status,
        headers: { 'Content-Type': 'application/json' },
      });
    },
  };
  api.use(server);
  return { asked, stored, answers };
}

function refusal(status: number, reason: string): Answer {
  return { status, body: { message: 'No.', reason, fields: {} } };
}

let stores: SittingStore[] = [];
test.afterEach(() => {
  stores.forEach((store) => store.stop());
  stores = [];
});

async function openStore(
  answers: Answer[],
  first: object = {},
): Promise<{ store: SittingStore; asked: Asked[]; stored: Map<string, string> }> {
  const world = pretend([{ status: 200, body: opened(first) }, ...answers]);
  const store = new SittingStore('s', 'tab', 'me');
  stores.push(store);
  await store.open();
  return { store, ...world };
}

test('what the candidate does shows at once and is in the outbox before it is sent', async () => {
  const { store, stored } = await openStore([]);
  store.answer(1, { choice: 'b' });
  store.flag(1, true);
  store.strike(1, ['a']);
  store.beSure(1, 'guess');
  expect(store.read().questions[1]).toMatchObject({
    response: { choice: 'b' },
    flagged: true,
    struck: ['a'],
    sureness: 'guess',
  });
  const kept = JSON.parse(stored.get('uplandia.outbox.me.s') ?? '[]') as { kind: string }[];
  expect(kept.map(({ kind }) => kind)).toEqual(['shown', 'answered', 'flagged', 'struck', 'sureness']);
  expect(store.read().link.kind).toBe('saving');
});

test('what the server has acknowledged leaves the outbox, in the order of doing', async () => {
  const { store, asked, stored } = await openStore([]);
  store.answer(0, { choice: 'a' });
  store.answer(0, { choice: 'c' });
  await store.flush();
  const sent = asked.at(-1)?.body.events ?? [];
  expect(sent.map(({ seq }) => seq)).toEqual([6, 7, 8]);
  expect(sent.map(({ value }) => value)).toEqual([undefined, { choice: 'a' }, { choice: 'c' }]);
  expect(stored.has('uplandia.outbox.me.s')).toBe(false);
  expect(store.read().link.kind).toBe('saved');
});

test('without a server answers are kept, counted, and sent again with the same ids', async () => {
  const { store, asked } = await openStore(['down']);
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(store.read().link).toEqual({ kind: 'away', waiting: 1 });
  store.answer(2, { choice: 'b' });
  expect(store.read().link).toEqual({ kind: 'away', waiting: 2 });
  await store.flush();
  const [first, again] = asked.filter(({ path }) => path.endsWith('/events')).map(({ body }) => body.events);
  expect(again?.slice(0, first?.length)).toEqual(first);
  expect(again).toHaveLength((first?.length ?? 0) + 1);
  expect(store.read().link.kind).toBe('saved');
});

test('answers that were kept by a page that died are laid over what the server says', async () => {
  const world = pretend([{ status: 200, body: opened({ lastSeq: 3 }) }]);
  world.stored.set(
    'uplandia.outbox.me.s',
    JSON.stringify([{ id: 'x', seq: 9, kind: 'answered', madeAt: NOW - 5000, position: 2, value: { choice: 'd' } }]),
  );
  const store = new SittingStore('s', 'tab', 'me');
  stores.push(store);
  await store.open();
  expect(store.read().questions[2]?.response).toEqual({ choice: 'd' });
  store.answer(1, { choice: 'a' });
  await store.flush();
  expect(world.asked.at(-1)?.body.events.map(({ seq }) => seq)).toEqual([9, 10, 11]);
});

test('an outbox belongs to one person and one sitting', () => {
  const { stored } = pretend([]);
  new Outbox('s', 'me').put({ id: '1', seq: 1, kind: 'answered', position: 0, value: null });
  expect(new Outbox('s', 'you').all).toEqual([]);
  expect(new Outbox('t', 'me').all).toEqual([]);
  const mine = new Outbox('s', 'me');
  expect(mine.answers).toBe(1);
  mine.acknowledge(new Set(['1', 'unknown']));
  expect(stored.size).toBe(0);
  stored.set('uplandia.outbox.me.s', 'not json');
  expect(new Outbox('s', 'me').all).toEqual([]);
});

test('the first tab learns that another has taken the pen and sends no more', async () => {
  const { store } = await openStore([refusal(409, 'open_elsewhere')]);
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(store.read().link).toEqual({ kind: 'elsewhere', message: 'No.', waiting: 1 });
});

test('a refused event is told in the server’s words and what the server says stands', async () => {
  const { store } = await openStore([
    {
      status: 200,
      body: state({ questions: [question(0, { locked: true })], refused: { any: 'The answer had been shown.' } }),
    },
  ]);
  store.answer(0, { choice: 'a' });
  await store.flush();
  expect(store.read().refused).toBe('The answer had been shown.');
  expect(store.read().questions[0]).toMatchObject({ response: null, locked: true });
});

test('each refusal leads where it should', async () => {
  for (const [answer, link] of [
    [refusal(409, 'handed_in'), 'handedIn'],
    [refusal(401, 'signed_out'), 'signedOut'],
    [refusal(404, 'not_found'), 'failed'],
    [refusal(422, 'too_many_events'), 'failed'],
    [refusal(429, 'slow'), 'away'],
    [refusal(503, 'down'), 'away'],
    [refusal(419, 'stale_page'), 'away'],
    [{ status: 502, body: 'a proxy speaks' }, 'away'],
  ] as [Answer, string][]) {
    const { store } = await openStore([answer]);
    await store.flush();
    expect(store.read().link.kind, JSON.stringify(answer)).toBe(link);
  }
});

test('a sitting that cannot be opened says so', async () => {
  pretend(['down']);
  const store = new SittingStore('s', 'tab', 'me');
  stores.push(store);
  await store.open();
  expect(store.read().link).toMatchObject({ kind: 'failed', error: expect.any(Unreachable) as Error });
});

test('handing in sends what had not been sent and ends it', async () => {
  const { store, asked, stored } = await openStore([{ status: 200, body: { sitting: 's', refused: {} } }]);
  store.answer(1, { choice: 'b' });
  expect(await store.handIn()).toBe(true);
  expect(asked.at(-1)?.path).toBe('/api/sittings/s/hand-in');
  expect(asked.at(-1)?.body.events.map(({ kind }) => kind)).toEqual(['shown', 'answered']);
  expect(stored.has('uplandia.outbox.me.s')).toBe(false);
  expect(store.read().link.kind).toBe('handedIn');
});

test('handing in without a server keeps everything and is not done', async () => {
  const { store, stored } = await openStore(['down']);
  store.answer(1, { choice: 'b' });
  expect(await store.handIn()).toBe(false);
  expect(stored.has('uplandia.outbox.me.s')).toBe(true);
  expect(store.read().status).toBe('active');
});

test('a sitting whose time ran out while the server was away is handed in when it is back, and late answers are counted', async () => {
  const { store, asked } = await openStore([
    'down',
    { status: 200, body: state({ status: 'handed_in', deadline: null }) },
  ]);
  store.answer(1, { choice: 'b' });
  await store.flush();
  expect(store.read().link.kind).toBe('away');
  await store.flush();
  await expect.poll(() => store.read().link.kind).toBe('handedIn');
  expect(asked.at(-1)?.path).toBe('/api/sittings/s/hand-in');
});

test('answers that came too late to count are counted for the result', async () => {
  const world = pretend([{ status: 200, body: opened() }]);
  const store = new SittingStore('s', 'tab', 'me');
  stores.push(store);
  await store.open();
  store.answer(1, { choice: 'b' });
  const [id] = (JSON.parse(world.stored.get('uplandia.outbox.me.s') ?? '[]') as { id: string; kind: string }[])
    .filter(({ kind }) => kind === 'answered')
    .map((event) => event.id);
  world.answers.push({ status: 200, body: { sitting: 's', refused: { [id ?? '']: 'The sitting had ended.' } } });
  await store.handIn();
  expect(store.read().late).toBe(1);
});

test('a pause stops the clock at once, a resumed one runs by the server’s deadline', async () => {
  const { store } = await openStore([
    { status: 200, body: state({ status: 'paused', deadline: null, remainingMs: 500_000 }) },
  ]);
  await store.pause();
  expect(store.read().status).toBe('paused');
  const left = store.remaining();
  await new Promise((done) => setTimeout(done, 30));
  expect(store.remaining()).toBe(left);
});

test('a page that leaves says so; one without a connection cannot', async () => {
  const { store, asked } = await openStore([]);
  await store.flush();
  store.leave();
  await new Promise((done) => setTimeout(done, 20));
  expect(asked.at(-1)?.body.events.at(-1)?.kind).toBe('left');
  const away = await openStore(['down']);
  await away.store.flush();
  const letters = away.asked.length;
  away.store.leave();
  expect(away.asked).toHaveLength(letters);
});

test('the server’s clock cannot be set from here', () => {
  const clockOfServer = new ServerClock(NOW);
  const original = Date.now;
  Date.now = () => 0;
  expect(Math.abs(clockOfServer.now() - NOW)).toBeLessThan(1000);
  Date.now = original;
  clockOfServer.hear(NOW + 50_000);
  expect(clockOfServer.now()).toBeGreaterThanOrEqual(NOW + 50_000);
});

test('a gap in the page’s own time is a sleep', () => {
  pretend([]);
  const original = Date.now;
  let now = 1_000_000;
  Date.now = () => now;
  const awake = new Awake(() => now);
  now += 60_000;
  expect(awake.awakeSince).toBe(1_000_000);
  now += 91_000;
  expect(awake.awakeSince).toBe(1_151_000);
  awake.stop();
  Date.now = original;
});

test('answers of the server become data or one of two errors', async () => {
  pretend([]);
  const response = (status: number) => new Response(null, { status });
  await expect(ask(Promise.resolve({ data: { a: 1 }, response: response(200) }))).resolves.toEqual({ a: 1 });
  const problem = {
    message: 'Choose at least one topic.',
    reason: 'invalid',
    fields: { topics: ['Choose at least one topic.'] },
  };
  const refused = await ask(Promise.resolve({ error: problem, response: response(422) })).catch(
    (error: unknown) => error,
  );
  expect(refused).toBeInstanceOf(Refused);
  expect((refused as Refused).field('topics')).toBe('Choose at least one topic.');
  expect((refused as Refused).field('count')).toBeUndefined();
  await expect(ask(Promise.reject(new TypeError('Failed to fetch')))).rejects.toBeInstanceOf(Unreachable);
});

test('numbers and durations are said in words', () => {
  expect([count(1, 'question'), count(12_000, 'question'), count(2, 'miss', 'misses')]).toEqual([
    '1 question',
    '12,000 questions',
    '2 misses',
  ]);
  expect([0, 59_400, 60_000, 200_000, 7_200_000, 7_500_000].map(duration)).toEqual([
    '0 s',
    '59 s',
    '1 min',
    '3 min 20 s',
    '2 h',
    '2 h 5 min',
  ]);
  expect([0, 1, 61_000, 3_849_000].map(clock)).toEqual(['0:00', '0:01', '1:01', '1:04:09']);
});

test('the route line says each state in words', () => {
  expect(words(question(0))).toBe('not seen yet');
  expect(words(question(0, { seen: true, flagged: true }))).toBe('not answered, flagged');
  expect(words(question(0, { seen: true, response: { choice: 'a' } }))).toBe('answered');
  expect(words(question(0, { response: { choice: 'a' }, outcome: 'left_blank' }))).toBe('left blank');
});

test('a response without anything in it is none', () => {
  for (const empty of [{}, { text: '  ' }, { choices: [] }, { rows: {} }, { points: [] }, { gaps: {} }])
    expect(orNothing(empty)).toBeNull();
  for (const filled of [{ choice: 'a' }, { text: '0' }, { rows: { r1: 'x' } }, { points: [{ x: 0, y: 0 }] }])
    expect(orNothing(filled)).toEqual(filled);
});

test('one entry of a response is set, changed and taken out without touching the others', () => {
  const one = having(undefined, 'r1', 'x');
  const two = having(one, 'r2', 'y');
  expect(two).toEqual({ r1: 'x', r2: 'y' });
  expect(having(two, 'r1', 'z')).toEqual({ r2: 'y', r1: 'z' });
  expect(having(two, 'r1', ' ')).toEqual({ r2: 'y' });
  expect(one).toEqual({ r1: 'x' });
});

test.describe('names for screen readers', () => {
  test('hold no mark-up', () => {
    expect(plain('**Bold** and _slanted_, `code`, [a link](/x)')).toBe('Bold and slanted, code, a link');
    expect(plain('![A dot](dot.svg)')).toBe('A dot');
    expect(plain('$a^2$ of it')).toBe('a^2 of it');
  });
});

test.describe('shortcuts', () => {
  const keys = (part: Partial<Shortcuts> = {}): Shortcuts => ({ ...USUAL, ...part });

  test('mean what they are set to, whatever the case', () => {
    expect(['[', ']', 'f', 'F', '3', 'x'].map((key) => meaning(USUAL, key))).toEqual([
      'back',
      'on',
      'flag',
      'flag',
      3,
      null,
    ]);
    const changed = keys({ keys: { ...USUAL.keys, flag: 'm' } });
    expect([meaning(changed, 'm'), meaning(changed, 'f')]).toEqual(['flag', null]);
  });

  test('can be turned off, all of them or the digits', () => {
    expect(['[', 'f', '1'].map((key) => meaning(keys({ active: false }), key))).toEqual([null, null, null]);
    expect(['[', '1'].map((key) => meaning(keys({ digits: false }), key))).toEqual(['back', null]);
  });

  test('two actions cannot share a key, and a digit or nothing is none', () => {
    expect(fault(USUAL, 'flag', ']')).toContain('Go on a question');
    expect(fault(USUAL, 'flag', '4')).toContain('Digits');
    expect(fault(USUAL, 'flag', '')).toContain('one sign');
    expect(fault(USUAL, 'flag', 'f')).toBeNull();
  });

  test('are kept, and what cannot be read is as usual', () => {
    keepShortcuts(keys({ digits: false, keys: { ...USUAL.keys, on: 'n' } }));
    expect(readShortcuts()).toEqual({ active: true, digits: false, keys: { back: '[', on: 'n', flag: 'f' } });
    for (const bad of ['{', '7', '{"keys":{"back":"xx"}}', '{"keys":{"back":"f"}}']) {
      localStorage.setItem('uplandia.shortcuts', bad);
      expect(readShortcuts().keys).toEqual(USUAL.keys);
    }
    localStorage.removeItem('uplandia.shortcuts');
  });
});
