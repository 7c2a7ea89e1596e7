import { useId, useState } from 'react';
import { Button } from '../../../ui/Button';
import { minutesOf } from '../../../ui/minutes';
import { Segments } from '../../../ui/Segments';
import { clock as written } from '../../../ui/words';
import { reset, started, stopped, useOwnClock, useShown } from './ownClock';

const MINUTE = 60_000;

/** A stopwatch or a countdown for a test without a clock. Nothing happens at its zero but that it says so. */
export function OwnClockTool({ sitting }: { sitting: string }) {
  const id = useId();
  const [clock, keep] = useOwnClock(sitting);
  const left = useShown(clock);
  const [typed, setTyped] = useState(String(Math.round(clock.ofMs / MINUTE)));
  const minutes = minutesOf(typed);
  const over = clock.way === 'down' && left === 0;
  return (
    <div className="grid gap-3">
      <p className="text-sm text-base-content/75">
        Only for you: it counts nothing, and nothing is handed in at its zero.
      </p>
      <Segments
        label="What it does"
        options={[
          ['up', 'Stopwatch'],
          ['down', 'Countdown'],
        ]}
        chosen={clock.way}
        onChoose={(way) => keep(reset({ ...clock, way }))}
      />
      {clock.way === 'down' && (
        <div>
          <label htmlFor={id}>From</label>{' '}
          <input
            id={id}
            value={typed}
            aria-invalid={minutes === null || undefined}
            aria-describedby={`${id}-how`}
            onChange={(event) => {
              setTyped(event.target.value);
              const meant = minutesOf(event.target.value);
              if (meant) keep(reset({ ...clock, ofMs: meant * MINUTE }));
            }}
            className="input w-28 border-base-content/50 text-base aria-invalid:border-error pointer-fine:h-9"
          />
          <p id={`${id}-how`} className={minutes ? 'text-sm text-base-content/75' : 'text-sm text-error'}>
            Minutes: 90, 1:30 and 1 h 30 are the same.
          </p>
        </div>
      )}
      <p role="timer" aria-label="My clock" className="font-mono text-3xl font-bold tabular-nums">
        {written(left)}
      </p>
      {over && <p role="status">Its time is over; go on as long as you like.</p>}
      <div className="flex flex-wrap gap-2">
        {clock.since === null ? (
          <Button weight="main" disabled={over} onClick={() => keep(started(clock, Date.now()))}>
            {clock.goneMs === 0 ? 'Start' : 'Go on'}
          </Button>
        ) : (
          <Button onClick={() => keep(stopped(clock, Date.now()))}>Stop</Button>
        )}
        <Button weight="quiet" disabled={clock.goneMs === 0 && clock.since === null} onClick={() => keep(reset(clock))}>
          Reset
        </Button>
      </div>
    </div>
  );
}
