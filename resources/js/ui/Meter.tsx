/** A share as a bar with the cut marked on it. The numbers stand beside it in words; this is for the eye. */
export function Meter({ share, cut }: { share: number; cut?: number }) {
  const width = Math.max(0, Math.min(100, share));
  return (
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true" className="h-3.5 w-full min-w-24">
      <rect x="0" y="2" width="100" height="6" className="fill-base-content/15" />
      <rect x="0" y="2" width={width} height="6" className="fill-primary" />
      {cut !== undefined && <rect x={cut - 0.5} y="0" width="1" height="10" className="fill-base-content" />}
    </svg>
  );
}
