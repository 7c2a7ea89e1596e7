import clsx from 'clsx';
import { useId } from 'react';
import { Link } from 'react-router';
import type { View } from '../../api/client';
import { Opener } from '../../ui/Opener';
import { Covered } from '../../ui/Covered';
import { count, percent } from '../../ui/words';
import { topicId } from './Skyline';

/** The table behind the skyline; each topic opens to its subtopics. */
export function TopicRows(props: {
  progress: View<'Progress'>;
  open: readonly string[];
  onToggle: (code: string) => void;
}) {
  const { progress, open, onToggle } = props;
  return (
    <section aria-labelledby="topics" className="grid gap-2">
      <h2 id="topics" className="text-lg font-bold">
        Topic by topic
      </h2>
      <p className="max-w-[75ch] text-base-content/75">{sentence(progress)}</p>
      <div className={clsx(COLUMNS, 'text-sm text-base-content/75')} aria-hidden="true">
        <span>Topic</span>
        <span className="text-right">Weight</span>
        <span className="text-right">Mastery</span>
        <span className="text-right">8 times in 10</span>
        <span className="text-right">Rests on</span>
        <span className="text-right">Costs</span>
        <span className="max-sm:hidden">Seen, and right at the latest look</span>
      </div>
      <ul className="border-b border-base-300">
        {progress.topics.map((topic) => (
          <Row key={topic.code} topic={topic} open={open.includes(topic.code)} onToggle={() => onToggle(topic.code)} />
        ))}
      </ul>
      <p className="max-w-[75ch] text-sm text-base-content/75">
        “Costs” are points of the exam: the weight times what is missing to five hundredths above the cut.
      </p>
    </section>
  );
}

const COLUMNS =
  'grid grid-cols-[minmax(0,1fr)_4rem_4rem] items-center gap-x-3 lg:grid-cols-[minmax(0,16rem)_4rem_4.5rem_7rem_5rem_5rem_minmax(0,1fr)] max-lg:[&>*:nth-child(n+4)]:hidden';

function Row({ topic, open, onToggle }: { topic: View<'TopicStand'>; open: boolean; onToggle: () => void }) {
  const id = useId();
  const { share, low, high, responses, stake } = topic;
  return (
    <li id={topicId(topic.code)} className="border-t border-base-300">
      <div className={clsx(COLUMNS, 'min-h-10')}>
        <Opener open={open} controls={id} onToggle={onToggle} className="font-bold">
          <span className="truncate" title={topic.name}>
            {topic.name}
          </span>
        </Opener>
        <span className="text-right tabular-nums">{percent(topic.weight / 100)}</span>
        <span className="text-right font-bold tabular-nums">{share === null ? '–' : percent(share)}</span>
        <span className="text-right text-sm tabular-nums">
          {low === null || high === null ? 'too little yet' : `${percent(low)} to ${percent(high)}`}
        </span>
        <span className="text-right tabular-nums">{responses}</span>
        <span className="text-right tabular-nums">{stake === null ? '–' : stake.toFixed(1)}</span>
        <Covered of={topic} />
      </div>
      {open && (
        <ul id={id} className="mb-2 border-l-2 border-base-300 pl-3">
          {topic.parts.map((part) => (
            <li
              key={part.code}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 sm:grid-cols-[16rem_minmax(0,1fr)_auto]"
            >
              <span className="truncate">{part.name}</span>
              <span className="max-sm:hidden">
                <Covered of={part} />
              </span>
              {part.seen < part.all && (
                <Link
                  to={`/build?topics=${part.code}&pools=new&mode=tutor&count=${Math.min(10, part.all - part.seen)}`}
                  className="inline-flex min-h-11 items-center text-primary underline underline-offset-4 pointer-fine:min-h-8"
                >
                  {count(part.all - part.seen, 'new one')}
                </Link>
              )}
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

function sentence({ topics, cut }: View<'Progress'>): string {
  const dear = topics
    .filter(({ stake }) => (stake ?? 0) > 0)
    .sort((one, other) => (other.stake ?? 0) - (one.stake ?? 0))
    .slice(0, 2);
  if (topics.every(({ share }) => share === null))
    return 'Too little has been answered to say anything of a topic yet.';
  if (dear.length === 0) return `Every topic of which enough is known lies above the cut of ${percent(cut)}.`;
  return `What costs most: ${dear.map(({ name, stake }) => `${name} (${(stake ?? 0).toFixed(1)} points)`).join(', ')}.`;
}
