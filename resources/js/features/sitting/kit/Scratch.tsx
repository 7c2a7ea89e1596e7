import { Eraser, Pencil, Type, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore, type PointerEvent } from 'react';
import { api, ask, Refused } from '../../../api/client';
import { ScratchRequest } from '../../../api/limits';
import { Button } from '../../../ui/Button';
import { count } from '../../../ui/words';
import { Pad, type Page, type PadView } from './pad';

const WIDTH = 1000;
const HEIGHT = 1200;

const STATES: Record<PadView['state'], string> = {
  opening: 'Opening …',
  kept: 'Kept',
  keeping: 'Keeping …',
  waiting: 'Kept on this device; sent when the server is back',
  refused: 'Not kept',
};

/** A pad to write and draw on, one for each sitting. */
export default function Scratch({ sitting }: { sitting: string }) {
  const pad = useMemo(() => padOf(sitting), [sitting]);
  const { page, state, why } = useSyncExternalStore(pad.subscribe, pad.read);
  const [drawing, setDrawing] = useState(false);
  useEffect(() => {
    void pad.open();
    const leave = () => void pad.send();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      void pad.send();
      pad.stop();
    };
  }, [pad]);
  const strokes = page?.strokes ?? [];
  const tool =
    'inline-flex min-h-11 cursor-pointer items-center gap-1.5 px-1 aria-pressed:font-bold aria-pressed:underline underline-offset-4 disabled:cursor-default disabled:opacity-60 pointer-fine:min-h-9';
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-3">
        <button type="button" aria-pressed={!drawing} className={tool} onClick={() => setDrawing(false)}>
          <Type aria-hidden="true" className="size-4" /> Write
        </button>
        <button type="button" aria-pressed={drawing} className={tool} onClick={() => setDrawing(true)}>
          <Pencil aria-hidden="true" className="size-4" /> Draw
        </button>
        <span className="flex-1" />
        {drawing && (
          <>
            <button
              type="button"
              aria-label="Take the last stroke back"
              disabled={strokes.length === 0}
              className={tool}
              onClick={() => pad.write({ strokes: strokes.slice(0, -1) })}
            >
              <Undo2 aria-hidden="true" className="size-4" />
            </button>
            <button
              type="button"
              aria-label="Rub out the drawing"
              disabled={strokes.length === 0}
              className={tool}
              onClick={() => pad.write({ strokes: [] })}
            >
              <Eraser aria-hidden="true" className="size-4" />
            </button>
          </>
        )}
      </div>
      {drawing ? (
        <Canvas strokes={strokes} onStroke={(stroke) => pad.write({ strokes: [...strokes, stroke] })} />
      ) : (
        <textarea
          aria-label="Scratch pad"
          placeholder="For workings. Nobody marks this."
          value={page?.words ?? ''}
          maxLength={ScratchRequest.words.longest}
          disabled={!page && state === 'opening' && !why}
          onChange={(event) => pad.write({ words: event.target.value })}
          className="textarea h-80 w-full border-base-content/50 font-mono text-base"
        />
      )}
      <p role="status" className={state === 'refused' ? 'text-error' : 'text-sm text-base-content/75'}>
        {why ?? STATES[state]}
      </p>
      {state === 'refused' && (
        <Button small onClick={() => void pad.send()}>
          Try again
        </Button>
      )}
    </div>
  );
}

function Canvas({ strokes, onStroke }: { strokes: readonly string[]; onStroke: (stroke: string) => void }) {
  const [now, setNow] = useState<string[]>([]);
  const surface = useRef<SVGSVGElement>(null);
  const point = (event: PointerEvent) => {
    const box = surface.current?.getBoundingClientRect();
    if (!box) return '0,0';
    const share = (at: number, from: number, size: number, of: number) =>
      Math.max(0, Math.min(of, Math.round(((at - from) / size) * of)));
    return `${share(event.clientX, box.left, box.width, WIDTH)},${share(event.clientY, box.top, box.height, HEIGHT)}`;
  };
  const end = () => {
    if (now.length > 0) onStroke(now.join(' '));
    setNow([]);
  };
  return (
    <svg
      ref={surface}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`A drawing of ${count(strokes.length, 'stroke')}`}
      className="w-full touch-none rounded-field border border-base-content/50 bg-base-100"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setNow([point(event)]);
      }}
      onPointerMove={(event) => {
        if (now.length === 0) return;
        const next = point(event);
        if (next !== now.at(-1)) setNow([...now, next]);
      }}
      onPointerUp={end}
      onPointerCancel={end}
    >
      {[...strokes, ...(now.length ? [now.join(' ')] : [])].map((stroke, i) => (
        <polyline
          key={i}
          // A point alone has no length to be drawn along.
          points={stroke.includes(' ') ? stroke : `${stroke} ${stroke}`}
          fill="none"
          stroke="currentColor"
          strokeWidth="5"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}

const FINAL = new Set([403, 404, 409, 413, 422]);

function padOf(sitting: string): Pad {
  const path = { params: { path: { sitting } } };
  const key = `uplandia.scratch.${sitting}`;
  return new Pad(
    {
      read: () => ask(api.GET('/api/sittings/{sitting}/scratch', path)),
      keep: (page) => ask(api.PUT('/api/sittings/{sitting}/scratch', { ...path, body: page })),
      draft: {
        get: () => {
          try {
            return JSON.parse(localStorage.getItem(key) ?? 'null') as Page | null;
          } catch {
            return null;
          }
        },
        set: (page) => {
          try {
            if (page) localStorage.setItem(key, JSON.stringify(page));
            else localStorage.removeItem(key);
          } catch {
            // Without storage it is kept as soon as the server is there.
          }
        },
      },
      after: (ms, then) => {
        const timer = window.setTimeout(then, ms);
        return () => window.clearTimeout(timer);
      },
    },
    (error) => (error instanceof Refused && FINAL.has(error.status) ? error.message : null),
  );
}
