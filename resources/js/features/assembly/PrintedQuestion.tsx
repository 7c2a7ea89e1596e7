import { useMemo } from 'react';
import type { View } from '../../api/client';
import { GapContext } from '../../ui/gaps';
import { Markdown } from '../../ui/Markdown';
import { Printed } from '../question/kinds/paper';

type Question = View<'Question'>;

/** A question as it stands in a booklet, with its letters and room to answer. */
export function PrintedQuestion({ question }: { question: Question }) {
  const { body, marks, penalty, position, stem } = question;
  const gaps = useMemo(() => [...stem.matchAll(/\[\[(\w+)\]\]/g)].map(([, gap]) => gap), [stem]);
  const blank = (gap: string) => <span className="border-b border-current px-6">({gaps.indexOf(gap) + 1})</span>;
  return (
    <article className="printed-whole relative py-2 pl-9">
      <h3 className="absolute left-0 font-bold">{position + 1}</h3>
      <div className="grid gap-1.5">
        <GapContext value={blank}>
          <Markdown>{stem}</Markdown>
        </GapContext>
        {(marks !== '1' || penalty) && (
          <p className="text-sm">
            {marks === '1' ? '1 mark' : `${marks} marks`}
            {penalty && `, a wrong answer costs ${penalty} of ${marks === '1' ? 'it' : 'them'}`}
          </p>
        )}
        <Printed body={body} />
      </div>
    </article>
  );
}
