import { useId, useRef, useState } from 'react';
import { Button } from '../../../ui/Button';
import { calculate, type Angle } from './calculate';
import { Tick } from '../../../ui/Tick';

interface Line {
  typed: string;
  value: string;
}

const PLAIN = ['7', '8', '9', '÷', '4', '5', '6', '×', '1', '2', '3', '−', '0', '.', '%', '+'];
const SCIENTIFIC = ['sin(', 'cos(', 'tan(', '^', 'asin(', 'acos(', 'atan(', '√(', 'log(', 'ln(', 'π', '²'];
const LONGEST_TAPE = 100;

/** A calculator with a tape. What it says can be put into a number field. */
export default function Calculator({ sitting, onUse }: { sitting: string; onUse: ((value: string) => void) | null }) {
  const id = useId();
  const field = useRef<HTMLInputElement>(null);
  const [tape, setTape] = useKept<Line[]>(`uplandia.tape.${sitting}`, []);
  const [typed, setTyped] = useKept(`uplandia.typed.${sitting}`, '');
  const [more, setMore] = useKept('uplandia.calculator.more', false);
  const [angle, setAngle] = useKept<Angle>('uplandia.calculator.angle', 'degrees');
  const [fault, setFault] = useState('');
  const last = tape.at(-1)?.value;
  const reckon = () => {
    const reckoned = calculate(typed, angle, last);
    if ('fault' in reckoned) return setFault(reckoned.fault);
    setTape([...tape, { typed: typed.trim(), value: reckoned.value }].slice(-LONGEST_TAPE));
    setTyped('');
    setFault('');
  };
  const press = (sign: string) => {
    const at = field.current?.selectionStart ?? typed.length;
    // A sign at the start goes on from the last result.
    const before = typed === '' && last !== undefined && /^[÷×−+%^²]/.test(sign) ? 'ans' : typed.slice(0, at);
    setTyped(before + sign + typed.slice(at));
    setFault('');
    requestAnimationFrame(() => {
      field.current?.focus();
      field.current?.setSelectionRange(before.length + sign.length, before.length + sign.length);
    });
  };
  const key =
    'btn btn-outline h-11 min-h-0 border-base-content/40 px-0 font-mono text-base hover:bg-base-content/10 hover:text-base-content pointer-fine:h-9';
  return (
    <div className="grid gap-3">
      <ol
        aria-label="Tape"
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls must be reached by keys
        tabIndex={0}
        className="flex h-36 flex-col-reverse max-lg:h-16 overflow-y-auto rounded-field border border-base-300 bg-base-100 p-2 font-mono"
      >
        {[...tape].reverse().map((line, i) => (
          <li key={tape.length - i} className="flex flex-wrap items-baseline justify-end gap-x-2 text-right">
            <span className="text-sm text-base-content/75">{line.typed} =</span>
            <button
              type="button"
              title="Take it into the calculation"
              className="cursor-pointer font-bold underline-offset-4 hover:underline"
              onClick={() => press(line.value)}
            >
              {line.value}
            </button>
          </li>
        ))}
        {tape.length === 0 && <li className="text-sm text-base-content/75">What you reckon stays here.</li>}
      </ol>
      <form
        className="grid gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          reckon();
        }}
      >
        <label htmlFor={id} className="sr-only">
          Calculation
        </label>
        <input
          id={id}
          ref={field}
          value={typed}
          autoComplete="off"
          inputMode="text"
          placeholder="4.5 × 60 / 5"
          aria-invalid={fault !== '' || undefined}
          aria-describedby={fault ? `${id}-fault` : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            setFault('');
          }}
          className="input w-full border-base-content/50 text-right font-mono text-lg"
        />
        {fault && (
          <p id={`${id}-fault`} role="alert" className="text-error">
            {fault}
          </p>
        )}
        <div className="mt-1 grid grid-cols-4 gap-1">
          {more &&
            SCIENTIFIC.map((sign) => (
              <button key={sign} type="button" className={`${key} text-sm`} onClick={() => press(sign)}>
                {sign.replace('(', '')}
              </button>
            ))}
          {PLAIN.map((sign) => (
            <button key={sign} type="button" className={key} onClick={() => press(sign)}>
              {sign}
            </button>
          ))}
          <button type="button" className={key} onClick={() => press('(')}>
            (
          </button>
          <button type="button" className={key} onClick={() => press(')')}>
            )
          </button>
          <button
            type="button"
            aria-label="Rub out the last sign"
            className={key}
            onClick={() => setTyped(typed.slice(0, -1))}
          >
            ←
          </button>
          <button
            type="submit"
            aria-label="Equals"
            className="btn btn-primary h-11 min-h-0 px-0 text-lg pointer-fine:h-9"
          >
            =
          </button>
        </div>
      </form>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <Tick on={more} onChange={(on) => setMore(on)}>
          Scientific
        </Tick>
        {more && (
          <Tick on={angle === 'degrees'} onChange={(on) => setAngle(on ? 'degrees' : 'radians')}>
            Degrees
          </Tick>
        )}
        <span className="flex-1" />
        {tape.length > 0 && (
          <Button small weight="quiet" onClick={() => setTape([])}>
            New tape
          </Button>
        )}
      </div>
      {onUse && last !== undefined && (
        <Button small onClick={() => onUse(last)}>
          Answer with {last}
        </Button>
      )}
    </div>
  );
}

/** Kept for as long as the tab lives: a reload must not clear the tape. */
function useKept<T>(key: string, otherwise: T): [T, (value: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      return (JSON.parse(sessionStorage.getItem(key) ?? 'null') as T | null) ?? otherwise;
    } catch {
      return otherwise;
    }
  });
  const keep = (next: T) => {
    setValue(next);
    try {
      sessionStorage.setItem(key, JSON.stringify(next));
    } catch {
      // Without storage it lasts as long as the page.
    }
  };
  return [value, keep];
}
