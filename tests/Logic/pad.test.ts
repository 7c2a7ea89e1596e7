import { describe, expect, it } from 'vitest';
import { Pad, type Page } from '../../resources/js/features/sitting/kit/pad';

function world() {
  const kept: Page[] = [];
  const due: (() => void)[] = [];
  let draft: Page | null = null;
  let fault: Error | null = null;
  let there: Page = { words: 'old', strokes: [] };
  return {
    kept,
    due,
    fail: (error: Error | null) => (fault = error),
    has: (page: Page) => (there = page),
    draftNow: () => draft,
    setDraft: (page: Page | null) => (draft = page),
    tick: async () => {
      const now = due.splice(0);
      for (const then of now) then();
      await new Promise((done) => setTimeout(done, 0));
    },
    pad: () =>
      new Pad(
        {
          read: () => (fault ? Promise.reject(fault) : Promise.resolve(there)),
          keep: (page) => {
            if (fault) return Promise.reject(fault);
            kept.push(page);
            return Promise.resolve();
          },
          draft: { get: () => draft, set: (page) => (draft = page) },
          after: (_, then) => {
            due.push(then);
            return () => due.splice(due.indexOf(then) >>> 0, 1);
          },
        },
        (error) => (error instanceof RangeError ? error.message : null),
      ),
  };
}

describe('the scratch pad', () => {
  it('shows what was kept, and keeps what is written', async () => {
    const around = world();
    const pad = around.pad();
    await pad.open();
    expect(pad.read()).toMatchObject({ page: { words: 'old' }, state: 'kept' });
    pad.write({ words: 'a' });
    pad.write({ words: 'ab' });
    expect(around.draftNow()).toEqual({ words: 'ab', strokes: [] });
    await around.tick();
    expect(around.kept).toEqual([{ words: 'ab', strokes: [] }]);
    expect(pad.read().state).toBe('kept');
    expect(around.draftNow()).toBeNull();
  });

  it('keeps it on the device while the server is away, and sends it after a reload', async () => {
    const around = world();
    const pad = around.pad();
    await pad.open();
    around.fail(new Error('away'));
    pad.write({ strokes: ['1,2'] });
    await around.tick();
    expect(pad.read().state).toBe('waiting');
    pad.stop();

    around.fail(null);
    const after = around.pad();
    await after.open();
    expect(after.read()).toMatchObject({ page: { words: 'old', strokes: ['1,2'] }, state: 'kept' });
    expect(around.kept).toEqual([{ words: 'old', strokes: ['1,2'] }]);
  });

  it('tries again by itself', async () => {
    const around = world();
    const pad = around.pad();
    around.fail(new Error('away'));
    await pad.open();
    expect(pad.read().state).toBe('opening');
    around.fail(null);
    await around.tick();
    expect(pad.read().page?.words).toBe('old');
    around.fail(new Error('away'));
    pad.write({ words: 'x' });
    await around.tick();
    around.fail(null);
    await around.tick();
    expect(around.kept).toEqual([{ words: 'x', strokes: [] }]);
  });

  it('says when it is refused, and loses nothing', async () => {
    const around = world();
    const pad = around.pad();
    await pad.open();
    around.fail(new RangeError('The scratch pad is full.'));
    pad.write({ words: 'too much' });
    await around.tick();
    expect(pad.read()).toMatchObject({ state: 'refused', why: 'The scratch pad is full.' });
    expect(around.draftNow()?.words).toBe('too much');
    around.fail(null);
    pad.write({ words: 'less' });
    await around.tick();
    expect(pad.read().state).toBe('kept');
  });
});
