import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { mastery } from '../../api/queries';
import { percent } from '../../ui/words';

const [WIDTH, HEIGHT] = [360, 96];
const GAP = 2;

/** The skyline in small, as a way to the large one: nothing where nothing is known yet. */
export function SmallSkyline({ exam }: { exam: string }) {
  const stands = useQuery(mastery(exam)).data;
  if (!stands?.topics.some(({ share }) => share !== null)) return null;
  const lowest = stands.topics.filter(({ stake }) => stake !== null).sort((a, b) => (b.stake ?? 0) - (a.stake ?? 0))[0];
  return (
    <Link to="/progress" className="grid w-full max-w-sm gap-1 no-underline" aria-label={told(stands)}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden="true" className="block w-full overflow-visible">
        <Columns stands={stands} />
      </svg>
      <span className="text-sm text-base-content/75">
        Mastery by topic against the cut of {percent(stands.cut)}
        {lowest && (lowest.stake ?? 0) > 0 && (
          <>
            ; <strong>{lowest.name}</strong> costs most
          </>
        )}
      </span>
    </Link>
  );
}

function Columns({ stands: { topics, cut } }: { stands: View<'Masteries'> }) {
  const weight = topics.reduce((sum, topic) => sum + topic.weight, 0) || 1;
  const room = WIDTH - GAP * (topics.length - 1);
  const y = (share: number) => HEIGHT * (1 - share);
  return (
    <>
      {topics.map((topic, i) => {
        const x = topics.slice(0, i).reduce((sum, one) => sum + (room * one.weight) / weight + GAP, 0);
        const width = (room * topic.weight) / weight;
        return topic.share === null ? (
          <rect
            key={topic.code}
            x={x}
            y={1}
            width={width}
            height={HEIGHT - 1}
            fill="none"
            className="stroke-base-content/40"
            strokeDasharray="3 4"
          />
        ) : (
          <g key={topic.code}>
            <rect x={x} y={y(topic.share)} width={width} height={HEIGHT * topic.share} className="fill-primary/25" />
            {topic.share < cut && (
              <rect x={x} y={y(cut)} width={width} height={HEIGHT * (cut - topic.share)} className="fill-warning/30" />
            )}
            <line
              x1={x}
              x2={x + width}
              y1={y(topic.share)}
              y2={y(topic.share)}
              className="stroke-primary"
              strokeWidth="3"
            />
          </g>
        );
      })}
      <line
        x1={0}
        x2={WIDTH}
        y1={y(cut)}
        y2={y(cut)}
        className="stroke-error"
        strokeWidth="1.5"
        strokeDasharray="6 4"
      />
    </>
  );
}

function told({ topics, cut }: View<'Masteries'>): string {
  const known = topics.filter(({ share }) => share !== null);
  return `Where you stand, against the cut of ${percent(cut)}: ${known
    .map(({ name, share }) => `${name} ${percent(share ?? 0)}`)
    .join(', ')}`;
}
