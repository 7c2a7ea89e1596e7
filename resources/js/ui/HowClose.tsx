import { Maximize, ZoomIn, ZoomOut, type LucideIcon } from 'lucide-react';
import type { Zoom } from './useZoom';

/** Three buttons for how close a picture is looked at. */
export function HowClose({ zoom }: { zoom: Zoom }) {
  const isWhole = zoom.view.times <= 1;
  return (
    <div role="group" aria-label="How close" className="flex shrink-0">
      <Closer label="Closer" Icon={ZoomIn} off={!zoom.canCloser} onUse={zoom.closer} />
      <Closer label="Less close" Icon={ZoomOut} off={isWhole} onUse={zoom.lessClose} />
      <Closer label="The whole picture" Icon={Maximize} off={isWhole} onUse={zoom.whole} />
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
