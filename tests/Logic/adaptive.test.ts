import { describe, expect, it } from 'vitest';
import { made, opened, question, settle, state, type Answer } from './world';

const asks = (position: number) => ({ position, marks: '1', stem: 'S', body: { kind: 'single', options: [] } });

/** An adaptive test whose first question is known. */
async function begun(answers: Answer[]) {
  const first = opened({ questions: [question(0)] });
  const whole = { ...first, questions: [asks(0)], briefing: { ...first.briefing, mode: 'untimed', most: 30 } };
  const world = made([whole, ...answers]);
  await world.store.open();
  await settle();
  return world;
}

const second = {
  questions: [asks(1)],
  units: [],
  state: state({ questions: [question(0, { seen: true, locked: true }), question(1)] }),
};

describe('an adaptive test', () => {
  it('tells the server all that was done before it asks for the next question, and shows it', async () => {
    const { store, server } = await begun([state(), second]);
    store.answer(0, { choice: 'a' });
    await store.next();

    expect(server.asked.map(({ what }) => what)).toEqual(['open', 'record', 'next']);
    expect(server.sent('record')[0]?.map(({ kind }) => kind)).toEqual(['shown', 'answered']);
    expect(server.nexts).toEqual([0]);
    const { current, sitting, questions, asking } = store.read();
    expect([current, sitting?.questions.length, questions.length, asking]).toEqual([1, 2, 2, false]);
    expect(questions[1]?.seen).toBe(true);
  });

  it('never goes back', async () => {
    const { store } = await begun([state(), second]);
    store.answer(0, { choice: 'a' });
    await store.next();
    store.show(0);
    expect(store.read().current).toBe(1);
  });

  it('asks for nothing while what was done before has not arrived, and can be asked again', async () => {
    const { store, server } = await begun(['down', state(), second]);
    store.answer(0, { choice: 'a' });
    await store.next();
    expect(server.nexts).toEqual([]);
    expect(store.read().link.kind).toBe('away');
    expect(store.read().asking).toBe(false);
    await store.next();
    expect(server.nexts).toEqual([0]);
    expect(store.read().current).toBe(1);
  });

  it('stays where it is when the next question cannot be had', async () => {
    const { store, server } = await begun([state(), 'down', second]);
    await store.next();
    expect(store.read()).toMatchObject({ current: 0, asking: false, link: { kind: 'away' } });
    await store.next();
    expect(server.nexts).toEqual([0, 0]);
    expect(store.read().current).toBe(1);
  });

  it('asks once, however often one presses', async () => {
    const { store, server } = await begun([state(), second]);
    await Promise.all([store.next(), store.next(), store.next()]);
    expect(server.nexts).toEqual([0]);
  });

  it('is over when there is nothing more to ask', async () => {
    const { store } = await begun([state()]);
    store.answer(0, { choice: 'a' });
    await store.next();
    expect(store.read().link.kind).toBe('handedIn');
  });

  it('is at the last question it has asked when it is opened again', async () => {
    const first = opened({ questions: [question(0, { seen: true, locked: true }), question(1)], current: 0 });
    const { store } = made([
      { ...first, questions: [asks(0), asks(1)], briefing: { ...first.briefing, most: 30 } } as Answer,
    ]);
    await store.open();
    expect(store.read().current).toBe(1);
  });
});
