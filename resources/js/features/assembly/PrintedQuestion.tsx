import { useMemo } from 'react';
import type { View } from '../../api/client';
import { GapContext } from '../../ui/gaps';
import { Markdown } from '../../ui/Markdown';
import { letter } from './paperCode';

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
        <Body body={body} />
      </div>
    </article>
  );
}

function Body({ body }: { body: Question['body'] }) {
  switch (body.kind) {
    case 'single':
    case 'several':
      return (
        <>
          {body.kind === 'several' && (
            <p className="text-sm">{body.limit === null ? 'As many as apply.' : `Up to ${body.limit}.`}</p>
          )}
          <Lettered of={body.options} />
        </>
      );
    case 'ordering':
      return (
        <>
          <p className="text-sm">Put them in order.</p>
          <Lettered of={body.items} />
        </>
      );
    case 'number':
      return (
        <p>
          ______________ {body.suffix}
          {body.asksUnit && <span className="text-sm"> (number and unit)</span>}
        </p>
      );
    case 'typed_gaps':
      return null;
    case 'picture':
      return (
        <figure>
          <img src={body.picture.file} alt={body.picture.alt} className="max-h-[16cm] max-w-[15cm]" />
          <figcaption className="text-sm">
            {body.points === 1 ? 'Mark the place with a cross.' : `Mark ${body.points} places with crosses.`}
          </figcaption>
        </figure>
      );
    case 'written':
      return (
        <div aria-hidden="true" className="grid gap-6 pt-4">
          {[0, 1, 2, 3, 4, 5].map((line) => (
            <div key={line} className="border-b border-current" />
          ))}
        </div>
      );
    default:
      return (
        <>
          {body.choices.length > 0 && <Lettered of={body.choices} />}
          <ol className="grid gap-1">
            {body.rows.map((row, i) => (
              <li key={row.id} className="grid grid-cols-[2.6rem_1fr] gap-x-2">
                <span>___ {i + 1}</span>
                <span>
                  {body.kind === 'dropdown_gaps' ? `Gap ${i + 1}: ` : <Markdown inline>{row.text}</Markdown>}
                  {row.choices && <Choices of={row.choices} />}
                </span>
              </li>
            ))}
          </ol>
        </>
      );
  }
}

function Lettered({ of }: { of: readonly { id: string; text: string }[] }) {
  return (
    <ul className={of.length > 10 ? 'columns-2 gap-x-8' : 'grid gap-1'}>
      {of.map((one, i) => (
        <li key={one.id} className="grid grid-cols-[1.8rem_1fr]">
          <span className="font-bold">{letter(i)}</span>
          <span>
            <Markdown inline>{one.text}</Markdown>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Short choices of one row, in its own line. */
function Choices({ of }: { of: readonly { id: string; text: string }[] }) {
  return of.map((one, i) => (
    <span key={one.id} className="mr-4">
      <span className="font-bold">{letter(i)}</span> <Markdown inline>{one.text}</Markdown>
    </span>
  ));
}
