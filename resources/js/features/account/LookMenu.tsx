import { SunMoon } from 'lucide-react';
import { useId, useState } from 'react';
import { applyLook, readLook, type Look, type Theme } from './look';

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

/** Theme and text size, kept on this device. */
export function LookMenu() {
  const [look, setLook] = useState(readLook);
  const [open, setOpen] = useState(false);
  const id = useId();
  const change = (next: Look) => (applyLook(next), setLook(next));
  return (
    <div className="relative" onKeyDown={(event) => event.key === 'Escape' && setOpen(false)} role="presentation">
      <button
        type="button"
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        className="flex min-h-11 cursor-pointer items-center gap-1.5 px-1 max-sm:min-w-9"
      >
        <SunMoon aria-hidden="true" className="size-4.5" /> <span className="max-sm:sr-only">Look</span>
      </button>
      {open && (
        <div
          id={id}
          className="absolute right-0 z-10 grid w-64 gap-4 rounded-box border border-base-content/40 bg-base-100 p-4 max-sm:fixed max-sm:right-4"
        >
          <Radios
            legend="Theme"
            name="theme"
            options={THEMES}
            value={look.theme}
            onPick={(theme) => change({ ...look, theme })}
          />
          <Radios
            legend="Text size"
            name="size"
            options={SIZES}
            value={look.size}
            onPick={(size) => change({ ...look, size })}
          />
        </div>
      )}
    </div>
  );
}

function Radios<Value extends string | number>(props: {
  legend: string;
  name: string;
  options: [Value, string][];
  value: Value;
  onPick: (value: Value) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 font-bold">{props.legend}</legend>
      {props.options.map(([value, label]) => (
        <label key={value} className="flex min-h-11 pointer-fine:min-h-9 items-center gap-2">
          <input
            type="radio"
            className="radio radio-sm radio-primary"
            name={props.name}
            checked={value === props.value}
            onChange={() => props.onPick(value)}
          />
          {label}
        </label>
      ))}
    </fieldset>
  );
}
