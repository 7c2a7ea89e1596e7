import { useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { cards } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { DownloadButton } from '../../ui/DownloadButton';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { OfExam } from '../../ui/OfExam';
import { Opener } from '../../ui/Opener';
import { Pages } from '../../ui/Pages';
import { SearchField } from '../../ui/SearchField';
import { Segments } from '../../ui/Segments';
import { weekday } from '../../ui/dates';
import { fileName } from '../../ui/download';
import { plain } from '../../ui/plain';
import { useInAddress } from '../../ui/useInAddress';
import { useTitle } from '../../ui/useTitle';
import { count, percent } from '../../ui/words';
import { CardForm } from '../library/CardForm';
import { CloseWords } from '../library/CloseWords';
import { BringCards } from './BringCards';
import { readCards, writeCards, type CardsWanted } from './cardFilters';

type Cards = View<'Cards'>;
type Card = View<'Card'>;

/** All cards of an exam: those that are due to go through, and any to find and change. */
export function Component() {
  useTitle('Cards');
  return <OfExam>{(exam) => <All exam={exam} />}</OfExam>;
}

function All({ exam }: { exam: string }) {
  const [wanted, choose] = useInAddress(readCards, writeCards);
  const want = (part: Partial<CardsWanted>) => choose({ ...wanted, page: 1, ...part });
  const [making, setMaking] = useState(false);
  const page = useQuery(cards(exam, useDeferredValue(wanted)));
  if (page.isPending) return <Loading what="Fetching your cards" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  const view = page.data;
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <p className="text-base-content/75">{view.examName}</p>
          <h1 className="text-2xl font-bold">Cards</h1>
          <p className="text-lg">{said(view)}</p>
        </div>
        <div className="flex flex-wrap gap-2">
          {view.due > 0 && (
            <ButtonLink weight="main" to="/cards/session">
              {view.due === 1 ? 'Go through it' : `Go through ${Math.min(view.due, 50)}`}
            </ButtonLink>
          )}
          <Button onClick={() => setMaking(true)}>A new card</Button>
        </div>
      </div>
      {view.all === 0 ? (
        <Empty title="You have no cards yet.">
          <p>
            Press <kbd className="kbd">m</kbd> on a question that is explained, or on a page of the handbook, and it
            becomes a card: two sides, which come back just before you would forget them.
          </p>
        </Empty>
      ) : (
        <>
          <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
            <Segments
              label="Which"
              options={[
                ['all', `All (${view.all})`],
                ['due', `Due (${view.due})`],
                ['suspended', `Staying away (${view.suspended})`],
              ]}
              chosen={wanted.show}
              onChoose={(show) => want({ show })}
            />
            <SearchField
              label="Find words on a card"
              placeholder="Words on either side"
              className="w-64"
              value={wanted.words ?? ''}
              onChange={(words) => want({ words: words || null })}
            />
          </div>
          {view.cards.length === 0 ? (
            <Empty title={wanted.words ? 'No card has all of these words.' : 'There is no such card.'}>
              {wanted.words && <CloseWords exam={exam} words={wanted.words} onWords={(words) => want({ words })} />}
            </Empty>
          ) : (
            <ul className="border-b border-base-300">
              {view.cards.map((card) => (
                <Row key={card.id} exam={exam} card={card} today={view.today} />
              ))}
            </ul>
          )}
          <Pages of={view} what={count(view.found, 'card')} onPage={(one) => choose({ ...wanted, page: one })} />
        </>
      )}
      <TakeAlong exam={exam} view={view} />
      {making && (
        <CardForm
          title="A new card"
          sides={{ front: '', back: '' }}
          keep={(sides) => ask(api.POST('/api/exams/{exam}/cards', { params: { path: { exam } }, body: sides }))}
          onClose={() => setMaking(false)}
        />
      )}
    </div>
  );
}

function said(view: Cards): string {
  if (view.all === 0) return 'What you want to know by heart.';
  const next = view.next ? `The next comes back on ${weekday(view.next)}.` : '';
  return view.due === 0
    ? `Nothing is due. ${next}`
    : `${count(view.due, 'card')} of ${view.all} ${view.due === 1 ? 'is' : 'are'} due.`;
}

function Row({ exam, card, today }: { exam: string; card: Card; today: string }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [changing, setChanging] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const path = { path: { card: card.id } };
  const meta = { invalidates: [['cards']] };
  const suspending = useMutation({
    mutationFn: (suspended: boolean) => ask(api.PUT('/api/cards/{card}/state', { params: path, body: { suspended } })),
    meta,
  });
  const leave = useMutation({ mutationFn: () => ask(api.DELETE('/api/cards/{card}', { params: path })), meta });
  const link =
    'inline-flex min-h-11 cursor-pointer items-center text-primary underline underline-offset-4 pointer-fine:min-h-7';
  return (
    <li className="border-t border-base-300 py-1">
      <Opener open={open} controls={id} onToggle={() => setOpen(!open)} className="w-full">
        <span className="min-w-0 flex-1 truncate">{plain(card.front)}</span>
        <span className="text-sm whitespace-nowrap text-base-content/75 max-sm:hidden">{dueOf(card, today)}</span>
      </Opener>
      {open && (
        <div id={id} className="mt-1 mb-2 ml-5 grid gap-2">
          <div className="grid gap-x-8 gap-y-3 sm:grid-cols-2">
            <Markdown>{card.front}</Markdown>
            <div className="border-l-4 border-accent pl-3">
              {card.covered === null ? <Markdown>{card.back}</Markdown> : <p>{card.covered}</p>}
            </div>
          </div>
          <p className="text-sm text-base-content/75">
            {[dueOf(card, today), looks(card), card.question !== null && 'from a question'].filter(Boolean).join('; ')}
            {card.section !== null && (
              <>
                ; from{' '}
                <Link to={`/handbook/${exam}/${card.section}`} className="underline underline-offset-4">
                  a page of the handbook
                </Link>
              </>
            )}
          </p>
          <p className="flex flex-wrap gap-x-5">
            <button type="button" className={link} disabled={card.covered !== null} onClick={() => setChanging(true)}>
              Change it
            </button>
            <button
              type="button"
              className={link}
              disabled={suspending.isPending}
              onClick={() => suspending.mutate(!card.suspended)}
            >
              {card.suspended ? 'Let it come back' : 'Let it stay away'}
            </button>
            <button type="button" className={link} onClick={() => setLeaving(true)}>
              Throw it away
            </button>
          </p>
          {suspending.isError && (
            <p role="alert" className="text-error">
              {suspending.error.message}
            </p>
          )}
        </div>
      )}
      {changing && (
        <CardForm
          title="Change this card"
          sides={card}
          keep={({ front, back }) => ask(api.PUT('/api/cards/{card}', { params: path, body: { front, back } }))}
          onClose={() => setChanging(false)}
        />
      )}
      {leaving && (
        <Dialog
          title="Throw this card away?"
          onClose={() => setLeaving(false)}
          actions={
            <>
              <Button weight="grave" busy={leave.isPending} onClick={() => leave.mutate()}>
                Throw it away
              </Button>
              <Button onClick={() => setLeaving(false)}>Keep it</Button>
            </>
          }
        >
          <p>“{plain(card.front)}” goes for good, with how well you knew it.</p>
          {leave.isError && (
            <p role="alert" className="text-error">
              {leave.error.message}
            </p>
          )}
        </Dialog>
      )}
    </li>
  );
}

function dueOf({ due }: Card, today: string): string {
  if (due === null) return 'stays away';
  return due <= today ? 'due' : `comes back on ${weekday(due)}`;
}

function looks({ looks, recall }: Card): string {
  return recall === null
    ? 'not looked at yet'
    : `looked at ${looks === 1 ? 'once' : count(looks, 'time')}, still known with ${percent(recall)}`;
}

/** Out of here as a file, and in again. */
function TakeAlong({ exam, view }: { exam: string; view: Cards }) {
  const [bringing, setBringing] = useState(false);
  const make = async () => ask(api.GET('/api/exams/{exam}/cards/file', { params: { path: { exam } } }));
  return (
    <div className="flex flex-wrap items-center gap-2">
      {view.all > 0 && (
        <>
          <DownloadButton name={fileName(`${view.examName} cards`, 'csv')} make={async () => (await make()).csv}>
            All as a table (CSV)
          </DownloadButton>
          <DownloadButton name={fileName(`${view.examName} cards`, 'txt')} make={async () => (await make()).text}>
            All as plain text
          </DownloadButton>
        </>
      )}
      <Button small onClick={() => setBringing(true)}>
        Take cards in
      </Button>
      {bringing && <BringCards exam={exam} onClose={() => setBringing(false)} />}
    </div>
  );
}
