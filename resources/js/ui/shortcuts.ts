export type Action =
  'back' | 'on' | 'go' | 'check' | 'flag' | 'star' | 'note' | 'card' | 'calculator' | 'tables' | 'scratch' | 'keys';

/** Keys that do something while sitting. A candidate may change them, or turn all of them off. */
export interface Shortcuts {
  active: boolean;
  /** Digits choose among the options of a question. */
  digits: boolean;
  keys: Record<Action, string>;
}

const KEY = 'uplandia.shortcuts';

export const USUAL: Shortcuts = {
  active: true,
  digits: true,
  keys: {
    back: '[',
    on: ']',
    go: 'g',
    check: 'c',
    flag: 'f',
    star: 's',
    note: 'n',
    card: 'm',
    calculator: 'r',
    tables: 't',
    scratch: 'p',
    keys: '?',
  },
};

export const ACTIONS: [Action, string][] = [
  ['back', 'Go back a question'],
  ['on', 'Go on a question'],
  ['go', 'Go to a question by its number'],
  ['check', 'Check the answer'],
  ['flag', 'Flag or unflag'],
  ['star', 'Star or take it away'],
  ['note', 'Write a note'],
  ['card', 'Make a card, once a question is explained'],
  ['calculator', 'Calculator'],
  ['tables', 'Tables'],
  ['scratch', 'Scratch pad'],
  ['keys', 'This list'],
];

/** The shortcuts as this device keeps them; whatever cannot be read is as usual. */
export function readShortcuts(): Shortcuts {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Shortcuts>;
    const keys = { ...USUAL.keys };
    for (const [action] of ACTIONS) {
      const key = kept.keys?.[action];
      if (typeof key === 'string' && key.length === 1) keys[action] = key;
    }
    const all = { active: kept.active !== false, digits: kept.digits !== false, keys };
    return ACTIONS.every(([action]) => !fault(all, action, keys[action])) ? all : { ...all, keys: USUAL.keys };
  } catch {
    return USUAL;
  }
}

export function keepShortcuts(shortcuts: Shortcuts): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(shortcuts));
  } catch {
    // Without storage they last as long as the page.
  }
}

/** Why a key cannot stand for an action; null: it can. */
export function fault(shortcuts: Shortcuts, action: Action, key: string): string | null {
  if ([...key].length !== 1 || key.trim() === '') return 'Choose a key that writes one sign.';
  if (/\d/.test(key)) return 'Digits choose options. Take another key.';
  const other = ACTIONS.find(([one]) => one !== action && shortcuts.keys[one].toLowerCase() === key.toLowerCase());
  return other ? `This key already stands for “${other[1]}”. Take another.` : null;
}

/** What a key press means; null: nothing of ours. */
export function meaning(shortcuts: Shortcuts, key: string): Action | number | null {
  if (!shortcuts.active) return null;
  if (shortcuts.digits && /^[1-9]$/.test(key)) return Number(key);
  return ACTIONS.find(([action]) => shortcuts.keys[action].toLowerCase() === key.toLowerCase())?.[0] ?? null;
}
