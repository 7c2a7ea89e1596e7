import { Pause, Play, RotateCcw } from 'lucide-react';
import { useId, useRef, useState, type ReactNode, type RefObject } from 'react';

const BACK_S = 10;
const SPEEDS = [0.75, 1, 1.25, 1.5] as const;

/** What the element that plays is given. */
export interface Tells {
  ref?: RefObject<HTMLMediaElement | null>;
  onPlay?: () => void;
  onPause?: () => void;
  onTimeUpdate?: () => void;
  onLoadedMetadata?: () => void;
  onError?: () => void;
  /** The browser's own. */
  controls?: boolean;
}

/** Plays a sound or a film: pause, ten seconds back, any place in it, and slower or faster. */
export function Player({ label, children }: { label: string; children: (media: Tells) => ReactNode }) {
  const id = useId();
  const media = useRef<HTMLMediaElement>(null);
  const [playing, setPlaying] = useState(false);
  const [at, setAt] = useState(0);
  const [length, setLength] = useState(0);
  const [speed, setSpeed] = useState(1);
  const [failed, setFailed] = useState(false);
  const hear = () => {
    setAt(media.current?.currentTime ?? 0);
    const { duration } = media.current ?? { duration: 0 };
    setLength(Number.isFinite(duration) ? duration : 0);
  };
  const toggle = () => {
    if (!media.current) return;
    setFailed(false);
    if (playing) media.current.pause();
    else media.current.play().catch(() => setFailed(true));
  };
  const jump = (to: number) => {
    if (media.current) media.current.currentTime = Math.max(0, to);
    setAt(Math.max(0, to));
  };
  const tool =
    'inline-flex min-h-11 min-w-11 cursor-pointer items-center justify-center gap-1 rounded-field hover:bg-base-content/10';
  return (
    <span className="block">
      {children({
        ref: media,
        onPlay: () => setPlaying(true),
        onPause: () => setPlaying(false),
        onTimeUpdate: hear,
        onLoadedMetadata: hear,
        onError: () => setFailed(true),
      })}
      <span role="group" aria-label={label} className="flex flex-wrap items-center gap-x-2">
        <button type="button" aria-label={playing ? 'Pause it' : 'Play it'} className={tool} onClick={toggle}>
          {playing ? <Pause aria-hidden="true" className="size-5" /> : <Play aria-hidden="true" className="size-5" />}
        </button>
        <button type="button" aria-label="Ten seconds back" className={tool} onClick={() => jump(at - BACK_S)}>
          <RotateCcw aria-hidden="true" className="size-4.5" /> 10
        </button>
        <input
          type="range"
          aria-label="Place in it"
          min={0}
          max={Math.max(length, 0.1)}
          step={0.1}
          value={Math.min(at, Math.max(length, 0.1))}
          aria-valuetext={`${time(at)} of ${time(length)}`}
          onChange={(event) => jump(Number(event.target.value))}
          className="range range-xs min-w-24 flex-1 text-primary"
        />
        <span className="font-mono text-sm">
          {time(at)} / {time(length)}
        </span>
        <label htmlFor={id} className="sr-only">
          Speed
        </label>
        <select
          id={id}
          value={speed}
          onChange={(event) => {
            const next = Number(event.target.value);
            setSpeed(next);
            if (media.current) media.current.playbackRate = next;
          }}
          className="select w-24 border-base-content/50 text-sm pointer-fine:h-9"
        >
          {SPEEDS.map((one) => (
            <option key={one} value={one}>
              × {one}
            </option>
          ))}
        </select>
      </span>
      {failed && (
        <span role="alert" className="block text-error">
          It cannot be played just now. Read it instead, or try again.
        </span>
      )}
    </span>
  );
}

function time(seconds: number): string {
  const whole = Math.floor(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
