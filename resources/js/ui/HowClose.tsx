import { Maximize, ZoomIn, ZoomOut, type LucideIcon } from 'lucide-react';
import type { RefObject } from 'react';
import type { Zoomer } from './zoom';

/** With one press a picture is so many times as large. */
export const CLOSER = 1.6;

/** Three buttons for how close a picture is looked at. */
export function HowClose(props: {
  times: number;
  most: number;
  /** Null: it cannot be looked at closely yet. */
  zoomer: RefObject<Zoomer | null> | null;
}) {
  const { times, most, zoomer } = props;
  return (
    <div role="group" aria-label="How close" className="flex shrink-0">
      <Closer label="Closer" Icon={ZoomIn} off={!zoomer || times >= most} onUse={() => zoomer?.current?.by(CLOSER)} />
      <Closer label="Less close" Icon={ZoomOut} off={times <= 1} onUse={() => zoomer?.current?.by(1 / CLOSER)} />
      <Closer label="The whole picture" Icon={Maximize} off={times <= 1} onUse={() => zoomer?.current?.whole()} />
    </div>
  );
}

function Closer(props: { label: string; Icon: LucideIcon; off: boolean; onUse: () => void }) {
  return (
    <button
      type="button"
      aria-label={props.label}
      title={props.label}
      disabled={props.off}
      onClick={props.onUse}
      className="grid size-11 cursor-pointer place-items-center rounded-field hover:bg-base-content/10 disabled:cursor-default disabled:opacity-40 pointer-fine:size-9"
    >
      <props.Icon aria-hidden="true" className="size-5" />
    </button>
  );
}
