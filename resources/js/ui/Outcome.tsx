import type { View } from '../api/client';

export type OutcomeName = View<'QuestionLine'>['outcome'];

export const OUTCOMES: Record<OutcomeName, string> = {
  right: 'Right',
  partly: 'Partly',
  missed: 'Missed',
  left_blank: 'Left blank',
  not_reached: 'Not reached',
  pending: 'To be marked',
};

/** How many questions came to what; together all of them. */
export type OutcomeCounts = View<'OutcomeCounts'>;

/** From what was got to what was never seen, and what the server calls its number. */
export const COUNTED: readonly (readonly [OutcomeName, keyof OutcomeCounts])[] = [
  ['right', 'right'],
  ['partly', 'partly'],
  ['missed', 'missed'],
  ['left_blank', 'leftBlank'],
  ['not_reached', 'notReached'],
  ['pending', 'pending'],
];

/** The shape of an outcome: full disc with a tick, half disc, slashed square, dashed ring, small ring, dotted ring. */
export function OutcomeMark({
  outcome,
  size = 20,
  at,
}: {
  outcome: OutcomeName;
  size?: number;
  /** Its middle, in a picture that it is a part of. */
  at?: { x: number; y: number };
}) {
  return (
    <svg
      {...(at && { x: at.x - size / 2, y: at.y - size / 2 })}
      viewBox="0 0 20 20"
      width={size}
      height={size}
      aria-hidden="true"
      className="shrink-0"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
    >
      {outcome === 'right' && (
        <>
          <circle cx="10" cy="10" r="8" className="fill-success stroke-success" />
          <path d="M6 10.500l2.800 2.800L14 7.500" className="stroke-success-content" />
        </>
      )}
      {outcome === 'partly' && (
        <>
          <circle cx="10" cy="10" r="8" className="stroke-warning" />
          <path d="M10 2a8 8 0 0 0 0 16z" className="fill-warning stroke-warning" />
        </>
      )}
      {outcome === 'missed' && (
        <>
          <rect x="2.500" y="2.500" width="15" height="15" className="stroke-error" />
          <path d="M2.500 17.500l15-15" className="stroke-error" />
        </>
      )}
      {outcome === 'left_blank' && <circle cx="10" cy="10" r="8" strokeDasharray="3.500 2.700" />}
      {outcome === 'not_reached' && <circle cx="10" cy="10" r="3.500" />}
      {outcome === 'pending' && <circle cx="10" cy="10" r="8" strokeDasharray="0.500 3" strokeLinecap="round" />}
    </svg>
  );
}

export function Outcome({ outcome }: { outcome: OutcomeName }) {
  return (
    <span className="inline-flex items-center gap-1.5 whitespace-nowrap">
      <OutcomeMark outcome={outcome} />
      {OUTCOMES[outcome]}
    </span>
  );
}
