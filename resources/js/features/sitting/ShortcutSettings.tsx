import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { ACTIONS, fault, keepShortcuts, readShortcuts, USUAL, type Action, type Shortcuts } from '../../ui/shortcuts';
import { Tick } from '../../ui/Tick';

/** The keys that do something while sitting: each can be changed, and all can be turned off. */
export function ShortcutSettings({ onChange }: { onChange?: (shortcuts: Shortcuts) => void }) {
  const [shortcuts, setShortcuts] = useState(readShortcuts);
  const [faults, setFaults] = useState<Partial<Record<Action, string>>>({});
  const change = (next: Shortcuts) => {
    setShortcuts(next);
    keepShortcuts(next);
    onChange?.(next);
  };
  const press = (action: Action, key: string) => {
    const why = fault(shortcuts, action, key);
    setFaults({ ...faults, [action]: why ?? undefined });
    if (!why) change({ ...shortcuts, keys: { ...shortcuts.keys, [action]: key.toLowerCase() } });
  };
  return (
    <div className="grid max-w-xl gap-4">
      <Tick on={shortcuts.active} onChange={(active) => change({ ...shortcuts, active })}>
        Use single keys while sitting
      </Tick>
      <fieldset disabled={!shortcuts.active} className="grid gap-4 disabled:opacity-60">
        <legend className="sr-only">What each key does</legend>
        <Tick on={shortcuts.digits} onChange={(digits) => change({ ...shortcuts, digits })}>
          1 to 9 choose an option
        </Tick>
        <div className="grid items-start gap-4 sm:grid-cols-3">
          {ACTIONS.map(([action, label]) => (
            <Field
              key={action}
              label={label}
              fault={faults[action]}
              value={shortcuts.keys[action]}
              autoComplete="off"
              onChange={(event) => press(action, [...event.target.value].at(-1) ?? '')}
              onFocus={(event) => event.target.select()}
            />
          ))}
        </div>
      </fieldset>
      <div>
        <Button
          small
          onClick={() => {
            setFaults({});
            change(USUAL);
          }}
        >
          As they were at first
        </Button>
      </div>
    </div>
  );
}
