import { useId } from 'react';
import type { Look, Theme } from './look';
import { Tick } from './Tick';

const THEMES: [Theme, string][] = [
  ['', 'As this device'],
  ['day', 'Day'],
  ['dusk', 'Dusk'],
  ['clear', 'Clear (high contrast)'],
];
const SIZES: [Look['size'], string][] = [
  [1, 'Small'],
  [2, 'Usual'],
  [3, 'Large'],
  [4, 'Largest'],
];
const SPACINGS: [Look['spacing'], string][] = [
  [1, 'Usual'],
  [2, 'Wider'],
  [3, 'Widest'],
];

/** Theme, text size, room between lines, and what helps while sitting. */
export function LookFields({ look, onChange }: { look: Look; onChange: (look: Look) => void }) {
  return (
    <div className="grid gap-4">
      <Radios legend="Theme" options={THEMES} value={look.theme} onPick={(theme) => onChange({ ...look, theme })} />
      <Radios legend="Text size" options={SIZES} value={look.size} onPick={(size) => onChange({ ...look, size })} />
      <Radios
        legend="Between lines"
        options={SPACINGS}
        value={look.spacing}
        onPick={(spacing) => onChange({ ...look, spacing })}
      />
      <fieldset>
        <legend className="mb-1 font-bold">While sitting</legend>
        <Tick on={look.ruler} onChange={(ruler) => onChange({ ...look, ruler })}>
          Reading ruler
        </Tick>
        <Tick on={look.ownTime} onChange={(ownTime) => onChange({ ...look, ownTime })}>
          My time on each question
        </Tick>
        <Tick on={look.checkAtOnce} onChange={(checkAtOnce) => onChange({ ...look, checkAtOnce })}>
          Tutor: check as soon as I choose
        </Tick>
      </fieldset>
    </div>
  );
}

function Radios<Value extends string | number>(props: {
  legend: string;
  options: [Value, string][];
  value: Value;
  onPick: (value: Value) => void;
}) {
  const name = useId();
  return (
    <fieldset>
      <legend className="mb-1 font-bold">{props.legend}</legend>
      <div className="grid grid-cols-2 gap-x-3">
        {props.options.map(([value, label]) => (
          <label key={value} className="flex min-h-11 cursor-pointer items-center gap-2 pointer-fine:min-h-9">
            <input
              type="radio"
              className="radio radio-sm radio-primary"
              name={name}
              checked={value === props.value}
              onChange={() => props.onPick(value)}
            />
            {label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
