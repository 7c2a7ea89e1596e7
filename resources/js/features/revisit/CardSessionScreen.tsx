import { useMutation, useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useRef, useState } from 'react';
import { api, ask, Refused, type View } from '../../api/client';
import { cards } from '../../api/queries';
import { Button, ButtonLink } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Loading } from '../../ui/Loading';
import { Markdown } from '../../ui/Markdown';
import { OfExam } from '../../ui/OfExam';
import { weekday } from '../../ui/dates';
import { useKeys } from '../../ui/useKeys';
import { useTitle } from '../../ui/useTitle';
import { count } from '../../ui/words';

type Card = View<'Card'>;
type Grade = 1 | 2 | 3 | 4;

/** Each with its key: the letter it begins with. */
const GRADES: [Grade, string][] = [
  [1, 'Gone'],
  [2, 'With effort'],
  [3, 'Knew it'],
  [4, 'At once'],
];

/** Goes through the cards that are due, one after the other. */
export function Component() {
  useTitle('Cards');
  return <OfExam>{(exam) => <Due exam={exam} />}</OfExam>;
}

function Due({ exam }: { exam: string }) {
  // What is due when one begins is gone through, whatever comes of it meanwhile.
  const page = useQuery({
    ...cards(exam, { show: 'due', words: null, section: null, page: 1 }),
    queryKey: ['card session', exam],
    refetchOnWindowFocus: false,
    refetchOnReconnect: false,
    gcTime: 0,
  });
  if (page.isPending) return <Loading what="Fetching your cards" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  if (page.data.cards.length === 0)
    return (
      <Empty title="No card is due.">
        <ButtonLink weight="main" to="/cards">
          All cards
        </ButtonLink>
      </Empty>
    );
  return <Session key={page.dataUpdatedAt} cards={page.data.cards} again={() => void page.refetch()} />;
}

function Session({ cards, again }: { cards: Card[]; again: () => void }) {
  const [deck, setDeck] = useState({ cards, practice: false });
  const [at, setAt] = useState(0);
  const [turned, setTurned] = useState(false);
  const [gone, setGone] = useState<Card[]>([]);
  const [told, setTold] = useState('');
  const heading = useRef<HTMLHeadingElement>(null);
  const turn = useRef<HTMLButtonElement>(null);
  const back = useRef<HTMLElement>(null);
  const looking = useMutation({
    mutationFn: ({ card, ...body }: { card: string; id: string; grade: Grade }) =>
      ask(api.POST('/api/cards/{card}/looks', { params: { path: { card } }, body })),
    scope: { id: 'card looks' },
    // For a quarter of an hour: a connection that is lost comes back, and the same look counts once.
    retry: (failures, error) => !(error instanceof Refused) && failures < 225,
    retryDelay: 4000,
    networkMode: 'always',
    onSuccess: (card) => setTold(card.due ? `It comes back on ${weekday(card.due)}.` : ''),
    meta: { invalidates: [['cards'], ['today']] },
  });
  const card = deck.cards[at];
  const grade = (grade: Grade) => {
    if (!card || !turned) return;
    if (!deck.practice) looking.mutate({ card: card.id, id: crypto.randomUUID(), grade });
    if (grade === 1) setGone([...gone, card]);
    setTurned(false);
    setAt(at + 1);
  };
  // Enter turns a card over, and the back is read once it is there.
  useLayoutEffect(() => {
    if (turned) back.current?.focus();
    else (turn.current ?? heading.current)?.focus();
  }, [at, turned]);
  useKeys((event) => {
    const one = GRADES.find(([, words]) => words.charAt(0).toLowerCase() === event.key.toLowerCase());
    if (one) grade(one[0]);
  });
  if (!card)
    return (
      <div className="mx-auto grid max-w-2xl gap-4 py-6">
        <h1 ref={heading} tabIndex={-1} className="text-2xl font-bold outline-none">
          {deck.practice ? 'Gone through once more' : `${count(deck.cards.length, 'card')} done`}
        </h1>
        <p className="text-lg">
          {gone.length === 0
            ? 'You knew all of them.'
            : `You knew ${deck.cards.length - gone.length} of ${deck.cards.length}.`}
          {!deck.practice && ' Each comes back when you are about to forget it.'}
        </p>
        {looking.isPending && (
          <p role="status">The last ones are still on their way to the server. Stay on this page.</p>
        )}
        {looking.isError && <Failure error={looking.error} />}
        <div className="flex flex-wrap gap-3">
          {gone.length > 0 && (
            <Button
              weight="main"
              onClick={() => {
                setDeck({ cards: gone, practice: true });
                setGone([]);
                setAt(0);
              }}
            >
              {gone.length === 1 ? 'Once more the one that was gone' : `Once more the ${gone.length} that were gone`}
            </Button>
          )}
          {cards.length === 50 && !deck.practice && <Button onClick={again}>The next ones</Button>}
          <ButtonLink to="/cards" weight={gone.length === 0 ? 'main' : 'plain'}>
            All cards
          </ButtonLink>
        </div>
      </div>
    );
  return (
    <div className="mx-auto grid max-w-2xl gap-4">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 ref={heading} tabIndex={-1} className="text-base-content/75 outline-none">
          Card {at + 1} of {deck.cards.length}
          {deck.practice && ', once more: this does not count'}
        </h1>
        <span role="status" className="text-sm text-base-content/75">
          {told !== '' && `The last one: ${told.charAt(0).toLowerCase()}${told.slice(1)}`}
        </span>
      </div>
      <section
        aria-label="Front"
        className="grid min-h-44 content-center rounded-box border border-base-content/40 bg-base-100 p-6 text-lg"
      >
        <Markdown>{card.front}</Markdown>
      </section>
      {turned ? (
        <>
          <section
            ref={back}
            tabIndex={-1}
            aria-label="Back"
            className="grid outline-none min-h-44 content-center rounded-box border border-base-content/40 bg-base-200 p-6 text-lg"
          >
            {card.covered === null ? <Markdown>{card.back}</Markdown> : <p>{card.covered}</p>}
          </section>
          <div role="group" aria-label="How well did it come?" className="grid grid-cols-2 gap-2 sm:grid-cols-4">
            {GRADES.map(([value, words]) => (
              <Button
                key={value}
                weight={value === 3 ? 'main' : 'plain'}
                aria-keyshortcuts={words.charAt(0)}
                title={`Key ${words.charAt(0).toLowerCase()}`}
                onClick={() => grade(value)}
              >
                <span>
                  <span className="underline decoration-2 underline-offset-4">{words.charAt(0)}</span>
                  {words.slice(1)}
                </span>
              </Button>
            ))}
          </div>
        </>
      ) : (
        <Button weight="main" ref={turn} onClick={() => setTurned(true)}>
          Turn it over
        </Button>
      )}
      {looking.isError && <Failure error={looking.error} />}
    </div>
  );
}
