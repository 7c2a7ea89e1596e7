import { useEffect, useRef, useState } from 'react';
import type { View } from '../../api/client';
import { Button } from '../../ui/Button';

type Topic = View<'TopicCounts'>;

/** Topics and subtopics to choose from, each with how many questions it has and how many are new. */
export function TopicTree({
  topics,
  chosen,
  onChange,
}: {
  topics: Topic[];
  chosen: string[];
  onChange: (codes: string[]) => void;
}) {
  const has = new Set(chosen);
  const usable = (topic: Topic) => topic.subtopics.filter((sub) => sub.counts.all > 0).map((sub) => sub.code);
  const set = (codes: string[], on: boolean) =>
    onChange(on ? [...new Set([...chosen, ...codes])] : chosen.filter((code) => !codes.includes(code)));
  return (
    <div>
      <div className="mb-2 flex flex-wrap gap-2">
        <Button small onClick={() => onChange(topics.flatMap(usable))}>
          Choose all
        </Button>
        <Button small onClick={() => onChange([])}>
          Clear
        </Button>
      </div>
      <div
        className="flex justify-between border-b border-base-300 py-1 text-sm text-base-content/75"
        aria-hidden="true"
      >
        <span>Topic, and its share of the exam</span>
        <span className="flex">
          <span className="w-14 text-right">New</span>
          <span className="w-14 text-right">All</span>
        </span>
      </div>
      <ul>
        {topics.map((topic) => (
          <Branch key={topic.code} topic={topic} codes={usable(topic)} has={has} set={set} />
        ))}
      </ul>
    </div>
  );
}

function Branch({
  topic,
  codes,
  has,
  set,
}: {
  topic: Topic;
  codes: string[];
  has: Set<string>;
  set: (codes: string[], on: boolean) => void;
}) {
  const on = codes.filter((code) => has.has(code)).length;
  const [open, setOpen] = useState(false);
  return (
    <li className="border-b border-base-300 py-1">
      <Row
        label={topic.name}
        note={topic.weight ? `${topic.weight} %` : ''}
        counts={topic.counts}
        on={on > 0 && on === codes.length}
        some={on > 0 && on < codes.length}
        onChange={(to) => set(codes, to)}
        strong
      />
      {topic.counts.all === 0 ? (
        <p className="pl-9 text-base-content/75">No questions yet.</p>
      ) : (
        <>
          <button
            type="button"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
            className="ml-9 min-h-8 cursor-pointer text-primary underline underline-offset-4"
          >
            {open ? 'Hide its parts' : `${topic.subtopics.length} parts`}
            <span className="sr-only"> of {topic.name}</span>
          </button>
          {open && (
            <ul className="pl-9">
              {topic.subtopics.map((sub) => (
                <li key={sub.code}>
                  <Row
                    label={sub.name}
                    counts={sub.counts}
                    on={has.has(sub.code)}
                    onChange={(to) => set([sub.code], to)}
                  />
                </li>
              ))}
            </ul>
          )}
        </>
      )}
    </li>
  );
}

function Row(props: {
  label: string;
  note?: string;
  counts: View<'Counts'>;
  on: boolean;
  some?: boolean;
  strong?: boolean;
  onChange: (on: boolean) => void;
}) {
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (box.current) box.current.indeterminate = props.some ?? false;
  }, [props.some]);
  return (
    <label className="flex min-h-10 cursor-pointer items-center gap-3">
      <input
        ref={box}
        type="checkbox"
        className="checkbox checkbox-primary"
        checked={props.on}
        disabled={props.counts.all === 0}
        onChange={(event) => props.onChange(event.target.checked)}
      />
      <span className="flex-1">
        <span className={props.strong ? 'font-bold' : ''}>{props.label}</span>{' '}
        {props.note && <span className="text-base-content/75">{props.note}</span>}
      </span>
      <span className="flex">
        <span className="w-14 text-right">
          {props.counts.new}
          <span className="sr-only"> new to me, </span>
        </span>
        <span className="w-14 text-right text-base-content/75">
          {props.counts.all}
          <span className="sr-only"> in all</span>
        </span>
      </span>
    </label>
  );
}
