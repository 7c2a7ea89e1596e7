import { useQuery } from '@tanstack/react-query';
import { useId, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { View } from '../../api/client';
import { session } from '../../api/queries';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { count } from '../../ui/words';
import { Answering } from '../question/kinds/Answering';
import type { Response } from '../question/response';
import { HandedIn } from '../sitting/HandedIn';
import { NotHere } from '../sitting/Interruptions';
import { PaperChoice } from '../sitting/PaperChoice';
import { Saved } from '../sitting/Saved';
import type { SittingStore } from '../sitting/sittingStore';
import { useSitting, useSnapshot } from '../sitting/useSitting';
import { codeOf, readCode, writtenCode } from '../question/kinds/paper';

/** Answers from paper, typed in quickly: a line for each question, Enter goes to the next. */
export function Component() {
  const { sitting = '' } = useParams();
  const who = useQuery(session);
  return <Answers key={sitting} id={sitting} user={who.data?.user?.email ?? ''} />;
}

function Answers({ id, user }: { id: string; user: string }) {
  const store = useSitting(id, user);
  const now = useSnapshot(store);
  const navigate = useNavigate();
  const [sure, setSure] = useState(false);
  const [handing, setHanding] = useState(false);
  useTitle('Answers from paper');
  const { link, sitting, questions } = now;
  if (link.kind === 'handedIn') return <HandedIn id={id} late={now.late} />;
  if (
    link.kind === 'elsewhere' ||
    link.kind === 'signedOut' ||
    link.kind === 'failed' ||
    !sitting ||
    questions.length === 0
  )
    return <NotHere id={id} link={link} store={store} />;
  if (!sitting.briefing.onPaper)
    return (
      <Notice tone="warn">
        This test is sat on screen. <Link to={`/sit/${id}`}>Go on there</Link>.
      </Notice>
    );
  const blank = questions.filter(({ response }) => !response).length;
  const handIn = async () => {
    setHanding(true);
    await store.handIn();
    setHanding(false);
  };
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-2xl font-bold">Answers from paper</h1>
        <p className="text-base-content/75">{sitting.briefing.title}</p>
        <span className="flex-1" />
        <Saved link={link} />
        <Link to={`/print/${id}`} className="text-primary underline underline-offset-4">
          Print it
        </Link>
      </div>
      <p className="max-w-[70ch] text-base-content/75">
        Type the letters of the booklet; Enter goes to the next question. Leave a line empty where you left the question
        blank. It counts as untimed.
      </p>
      <ol className="gap-x-10 lg:columns-2">
        {sitting.questions.map((question) => (
          <Line
            key={question.position}
            question={question}
            response={(questions[question.position]?.response ?? null) as Response | null}
            store={store}
          />
        ))}
      </ol>
      {blank === questions.length && (
        <PaperChoice data={sitting.briefing} onScreen={() => void navigate(`/briefing/${id}`)} />
      )}
      {sure && blank > 0 && <Notice tone="warn">{count(blank, 'question')} left blank.</Notice>}
      <div>
        <Button weight="main" busy={handing} onClick={() => (blank > 0 && !sure ? setSure(true) : void handIn())}>
          {blank > 0 && sure ? 'Hand in all the same' : 'Hand in'}
        </Button>
      </div>
    </div>
  );
}

function Line({
  question,
  response,
  store,
}: {
  question: View<'Question'>;
  response: Response | null;
  store: SittingStore;
}) {
  const id = useId();
  const { body, position } = question;
  const code = codeOf(body);
  const [text, setText] = useState(() => writtenCode(body, response));
  const said = useRef(text);
  const answer = code ? readCode(body, text) : null;
  const keep = () => {
    if (text === said.current || !answer || answer.fault !== undefined) return;
    said.current = text;
    store.answer(position, answer.response ?? null);
  };
  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    keep();
    const fields = [...document.querySelectorAll<HTMLElement>('[data-paper-field]')];
    fields[fields.indexOf(event.currentTarget) + 1]?.focus();
  };
  return (
    <li className="grid break-inside-avoid grid-cols-[2.5rem_1fr] items-center gap-x-3 border-t border-base-300 py-1.5">
      <span id={`${id}-n`} className="text-right font-bold tabular-nums">
        {position + 1}
      </span>
      {answer ? (
        <div className="flex flex-wrap items-center gap-x-3">
          <input
            data-paper-field
            aria-label={`Answer to question ${position + 1}`}
            aria-describedby={`${id}-hint`}
            aria-invalid={answer.fault !== undefined || undefined}
            autoComplete="off"
            value={text}
            onChange={(event) => setText(event.target.value)}
            onBlur={keep}
            onKeyDown={press}
            className="input h-11 w-40 border-base-content/50 font-mono text-base aria-invalid:border-error pointer-fine:h-9"
          />
          <span id={`${id}-hint`} className={answer.fault ? 'text-error' : 'text-sm text-base-content/75'}>
            {answer.fault ?? code?.hint(body)}
          </span>
        </div>
      ) : (
        <details>
          <summary className="min-h-11 pointer-fine:min-h-9 cursor-pointer py-1 text-primary underline underline-offset-4">
            {body.kind === 'picture' ? 'Point on the picture' : 'Type what you wrote'}
            {response && ', answered'}
          </summary>
          <Answering
            body={body}
            stem={question.stem}
            response={response}
            locked={false}
            labelledBy={`${id}-n`}
            onAnswer={(given) => store.answer(position, given)}
            struck={[]}
            onStrike={() => undefined}
          />
        </details>
      )}
    </li>
  );
}
