import { describe, expect, test } from 'vitest';
import { fault, keepShortcuts, meaning, readShortcuts, USUAL, type Shortcuts } from '../../resources/js/ui/shortcuts';

const stored = new Map<string, string>();
Object.assign(globalThis, {
  localStorage: {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => void stored.set(key, value),
    removeItem: (key: string) => void stored.delete(key),
  },
});

describe('shortcuts', () => {
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
    keepShortcuts(keys({ digits: false, keys: { ...USUAL.keys, on: 'q' } }));
    expect(readShortcuts()).toEqual({ active: true, digits: false, keys: { ...USUAL.keys, on: 'q' } });
    for (const bad of ['{', '7', '{"keys":{"back":"xx"}}', '{"keys":{"back":"f"}}']) {
      localStorage.setItem('uplandia.shortcuts', bad);
      expect(readShortcuts().keys).toEqual(USUAL.keys);
    }
    localStorage.removeItem('uplandia.shortcuts');
  });
});
