import type { View } from '../../api/client';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import type { Choices } from './recipe';
import type { Building } from './useBuild';

/** What each filter is when it is dropped. */
const DROPPED: Record<View<'Gain'>['filter'], Partial<Choices>> = {
  topics: { topics: null },
  pools: { pools: [] },
  difficulties: { difficulties: [] },
  kinds: { kinds: [] },
  tags: { tags: {} },
  words: { words: '' },
  only: { only: [] },
};

/** Why the test cannot be made as it is asked for, and every way out, one click each. */
export function Shortfall({ shortfall, build }: { shortfall: View<'Shortfall'>; build: Building }) {
  const nearest = [shortfall.below, shortfall.above].filter((n) => n !== null && n > 0);
  const { byTopic } = build.choices;
  return (
    <Notice tone="warn">
      <p>{shortfall.reason}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {nearest.map((n) => (
          <Button key={n} small onClick={() => build.change({ count: String(n) })}>
            Take {n}
          </Button>
        ))}
        {shortfall.topics.map(({ code, name, n }) => (
          <Button
            key={code}
            small
            onClick={() => build.change({ byTopic: { ...byTopic, [code]: n === 0 ? '' : String(n) } })}
          >
            {n === 0 ? `None of ${name}` : `Take ${n} of ${name}`}
          </Button>
        ))}
        {shortfall.gains.map(({ filter, label, more }) => (
          <Button key={filter} small onClick={() => build.change(DROPPED[filter])}>
            {label[0]?.toUpperCase()}
            {label.slice(1)}: +{more}
          </Button>
        ))}
      </div>
      {nearest.length + shortfall.topics.length + shortfall.gains.length === 0 && <p>This exam has no more.</p>}
    </Notice>
  );
}
