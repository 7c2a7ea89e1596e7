import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import type { View } from '../../api/client';
import { Picture } from '../../ui/Picture';
import { percent } from '../../ui/words';

type Topic = View<'TopicStand'>;

const HEIGHT = 440;
const EDGE = { top: 14, right: 64, bottom: 60 };
/** About as wide as a letter is on the average. */
const LETTER = 6.6;
const GAP = 3;

interface Drawn {
  topics: readonly Topic[];
  cut: number;
  /** Shows what a topic is made of; the rows below do the same by keyboard. */
  onOpen: (code: string) => void;
}

/** A column a topic: as wide as its weight, as high as the mastery, haze for its band, hatched what it is costing. */
export function Skyline({ topics, cut, onOpen }: Drawn) {
  return (
    <Picture height={HEIGHT} told={told(topics, cut)}>
      {(width) => <Columns width={width} topics={topics} cut={cut} onOpen={onOpen} />}
    </Picture>
  );
}

function Columns({ width, topics, cut, onOpen }: Drawn & { width: number }) {
  const id = useId();
  const show = (code: string) => {
    onOpen(code);
    document.getElementById(topicId(code))?.scrollIntoView({ block: 'nearest' });
  };
  const y = scaleLinear([0, 1], [HEIGHT - EDGE.bottom, EDGE.top]);
  const weight = topics.reduce((sum, topic) => sum + topic.weight, 0) || 1;
  const room = Math.max(0, width - EDGE.right - GAP * (topics.length - 1));
  const lefts = topics.map(
    (_, i) => topics.slice(0, i).reduce((sum, topic) => sum + (room * topic.weight) / weight, 0) + GAP * i,
  );
  return (
    <>
      <defs>
        <pattern id={`${id}-cost`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="7" className="stroke-warning" strokeWidth="3" />
        </pattern>
        <linearGradient id={`${id}-haze`} x1="0" x2="0" y1="0" y2="1">
          <stop offset="0" className="[stop-color:var(--color-primary)] [stop-opacity:0.06]" />
          <stop offset="0.5" className="[stop-color:var(--color-primary)] [stop-opacity:0.45]" />
          <stop offset="1" className="[stop-color:var(--color-primary)] [stop-opacity:0.06]" />
        </linearGradient>
      </defs>
      {[0, 0.25, 0.5, 0.75, 1].map((tick) => (
        <g key={tick}>
          <line x1="0" x2={width - EDGE.right} y1={y(tick)} y2={y(tick)} className="stroke-base-300" />
          {Math.abs(tick - cut) > 0.05 && (
            <text x={width - EDGE.right + 8} y={y(tick) + 4} className="opacity-75">
              {percent(tick)}
            </text>
          )}
        </g>
      ))}
      {topics.map((topic, i) => (
        // For whoever points: the rows below open by keyboard too, and are what is read aloud.
        <g key={topic.code} className="cursor-pointer" onClick={() => show(topic.code)}>
          <Column topic={topic} x={lefts[i] ?? 0} width={(room * topic.weight) / weight} y={y} cut={cut} id={id} />
        </g>
      ))}
      <line
        x1="0"
        x2={width - EDGE.right}
        y1={y(cut)}
        y2={y(cut)}
        className="stroke-error"
        strokeWidth="2"
        strokeDasharray="7 5"
      />
      <text x={width - EDGE.right + 8} y={y(cut) + 4} className="fill-error font-bold">
        cut {percent(cut)}
      </text>
    </>
  );
}

function Column(props: {
  topic: Topic;
  x: number;
  width: number;
  y: (share: number) => number;
  cut: number;
  id: string;
}) {
  const { topic, x, width, y, cut, id } = props;
  const { share, low, high, name } = topic;
  const base = y(0);
  const lines = inTwoLines(name, Math.floor(width / LETTER));
  return (
    <g>
      {share === null || low === null || high === null ? (
        <>
          <rect
            x={x}
            y={y(1)}
            width={width}
            height={base - y(1)}
            fill="none"
            className="stroke-base-content/40"
            strokeDasharray="3 5"
          />
          <text x={x + width / 2} y={y(0.5)} textAnchor="middle" className="opacity-75">
            {width > 70 ? 'too little yet' : '?'}
          </text>
        </>
      ) : (
        <>
          <rect x={x} y={y(share)} width={width} height={base - y(share)} className="fill-primary/20" />
          <Contours x={x} width={width} from={base} to={y(share)} />
          {share < cut && (
            <rect x={x} y={y(cut)} width={width} height={y(share) - y(cut)} fill={`url(#${id}-cost)`} opacity="0.55" />
          )}
          <rect x={x} y={y(high)} width={width} height={y(low) - y(high)} fill={`url(#${id}-haze)`} />
          <line x1={x} x2={x + width} y1={y(share)} y2={y(share)} className="stroke-primary" strokeWidth="3" />
          <text
            x={x + Math.min(6, width / 8)}
            y={y(share) + 18}
            className="fill-base-content stroke-base-100 text-[15px] font-bold"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {width > 44 ? percent(share) : Math.round(100 * share)}
          </text>
        </>
      )}
      {lines ? (
        lines.map((line, i) => (
          <text key={line} x={x + 2} y={base + 17 + 16 * i}>
            {line}
          </text>
        ))
      ) : (
        <text transform={`translate(${x + width / 2 + 5} ${base - 8}) rotate(-90)`}>{name}</text>
      )}
      <text
        x={lines ? x + 2 : x + width / 2}
        y={base + 52}
        textAnchor={lines ? 'start' : 'middle'}
        className="opacity-75"
      >
        {width > 34 ? percent(topic.weight / 100) : Math.round(topic.weight)}
      </text>
    </g>
  );
}

/** A name in at most two lines of so many letters each; null: it is longer. */
export function inTwoLines(name: string, letters: number): string[] | null {
  const lines: string[] = [];
  for (const word of name.split(' ')) {
    const last = lines.at(-1);
    if (last !== undefined && `${last} ${word}`.length <= letters) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines.length <= 2 && lines.every((line) => line.length <= letters) ? lines : null;
}

/** Thin lines, as on a map: the only decoration. */
function Contours({ x, width, from, to }: { x: number; width: number; from: number; to: number }) {
  const lines = [];
  for (let at = from - 26; at > to + 6; at -= 26) {
    const third = width / 3;
    lines.push(
      <path
        key={at}
        d={`M${x} ${at}c${third} -3 ${third} 3 ${width / 2} 0s${third} -3 ${width / 2} 0`}
        fill="none"
        className="stroke-primary/30"
      />,
    );
  }
  return <>{lines}</>;
}

/** Where a topic is told in full. */
export const topicId = (code: string) => `topic-${code}`;

function told(topics: readonly Topic[], cut: number): string {
  const known = topics.filter(({ share }) => share !== null);
  if (known.length === 0) return `No topic has enough answers yet; the cut is ${percent(cut)}.`;
  return `Estimated mastery against the cut of ${percent(cut)}: ${known
    .map(({ name, share }) => `${name} ${percent(share ?? 0)}`)
    .join(', ')}.`;
}
