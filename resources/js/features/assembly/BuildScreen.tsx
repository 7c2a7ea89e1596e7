import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { builder, queries } from '../../api/queries';
import { Button } from '../../ui/Button';
import { ToggleChip } from '../../ui/Chip';
import { Empty } from '../../ui/Empty';
import { Failure } from '../../ui/Failure';
import { Choice, Field } from '../../ui/Field';
import { Loading } from '../../ui/Loading';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { count, MODES } from '../../ui/words';
import { useExam } from '../today/useExam';
import { TopicTree } from './TopicTree';

type Recipe = View<'Recipe'>;
type Pool = Recipe['pools'][number];
type Mode = Recipe['mode'];

const MODE_LIST: Mode[] = ['tutor', 'timed', 'untimed'];
const ABOUT_MODES: Record<Mode, string> = {
  tutor: 'No clock. Check each answer and read why, straight away.',
  timed: 'A clock and silence; answers and reasons after you hand in.',
  untimed: 'Silence, but no clock; answers and reasons after you hand in.',
};

const POOLS: { pool: Pool; label: string; of: (counts: View<'Counts'>) => number }[] = [
  { pool: 'new', label: 'New to me', of: (counts) => counts.new },
  { pool: 'missed', label: 'Missed', of: (counts) => counts.missed },
  { pool: 'partly', label: 'Partly', of: (counts) => counts.partly },
  { pool: 'left_blank', label: 'Left blank', of: (counts) => counts.leftBlank },
  { pool: 'to_be_marked', label: 'To be marked', of: (counts) => counts.toBeMarked },
  { pool: 'got_it', label: 'Got it', of: (counts) => counts.gotIt },
  { pool: 'flagged', label: 'Flagged', of: (counts) => counts.flagged },
];

export function Component() {
  useTitle('Build a test');
  const { exam, error, isPending, retry } = useExam();
  const page = useQuery({ ...builder(exam ?? ''), enabled: exam !== undefined, staleTime: 0 });
  if (error) return <Failure error={error} retry={retry} />;
  if (isPending || (exam && page.isPending)) return <Loading what="Counting the questions" />;
  if (page.isError) return <Failure error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Empty title="No exam has been set up here yet." />;
  if (page.data.counts.all === 0)
    return <Empty title="This exam has no questions yet.">Its author must add some in the workshop first.</Empty>;
  return <Build key={page.data.exam} page={page.data} />;
}

/** The recipe as it is being chosen, its count, and what is in the way. */
function useRecipe(page: View<'Builder'>) {
  const [search] = useSearchParams();
  const asked = (search.get('pools') ?? '').split(',');
  const [topics, setTopics] = useState<string[]>(() =>
    page.topics.flatMap((topic) => topic.subtopics.filter((sub) => sub.counts.all > 0).map((sub) => sub.code)),
  );
  const [pools, setPools] = useState<Pool[]>(() =>
    POOLS.map(({ pool }) => pool).filter((pool) => asked.includes(pool)),
  );
  const [number, setNumber] = useState('10');
  const [mode, setMode] = useState<Mode>('tutor');
  const [spread, setSpread] = useState<NonNullable<Recipe['spread']>>('blueprint');
  const [minutes, setMinutes] = useState('');
  const recipe: Recipe = {
    topics,
    pools,
    count: Number(number),
    mode,
    spread,
    minutes: mode === 'timed' && minutes !== '' ? Number(minutes) : null,
  };
  return {
    recipe,
    topics,
    setTopics,
    pools,
    setPools,
    number,
    setNumber,
    mode,
    setMode,
    spread,
    setSpread,
    minutes,
    setMinutes,
  };
}

function Build({ page }: { page: View<'Builder'> }) {
  const navigate = useNavigate();
  const chosen = useRecipe(page);
  const { recipe } = chosen;
  const path = { exam: page.exam };
  const counted = useDeferredValue(JSON.stringify({ topics: recipe.topics, pools: recipe.pools, count: recipe.count }));
  const sound = chosen.topics.length > 0 && Number.isInteger(recipe.count) && recipe.count >= 1 && recipe.count <= 500;
  const there = useQuery({
    queryKey: ['count', page.exam, counted],
    queryFn: () => ask(api.POST('/api/exams/{exam}/count', { params: { path }, body: recipe })),
    placeholderData: keepPreviousData,
    enabled: sound,
    staleTime: 0,
  });
  const building = useMutation({
    mutationFn: () => ask(api.POST('/api/exams/{exam}/tests', { params: { path }, body: recipe })),
    onSuccess: ({ sitting }) => {
      void queries.invalidateQueries({ queryKey: ['today'] });
      void navigate(`/briefing/${sitting}`);
    },
  });
  const togglePool = (pool: Pool, on: boolean) =>
    chosen.setPools(on ? [...chosen.pools, pool] : chosen.pools.filter((other) => other !== pool));
  return (
    <div className="grid gap-6">
      <div>
        <h1 className="text-2xl font-bold">Build a test</h1>
        <p>{page.examName}</p>
      </div>
      <div className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-[3fr_2fr]">
        <section aria-labelledby="topics" className="grid gap-3">
          <h2 id="topics" className="text-lg font-bold">
            Topics
          </h2>
          <TopicTree topics={page.topics} chosen={chosen.topics} onChange={chosen.setTopics} />
        </section>

        <form
          className="grid gap-6 lg:sticky lg:top-4"
          onSubmit={(event) => {
            event.preventDefault();
            building.mutate();
          }}
        >
          <fieldset className="grid gap-2">
            <legend className="mb-2 text-lg font-bold">Which questions</legend>
            <div className="flex flex-wrap gap-2">
              {POOLS.map(({ pool, label, of }) => (
                <ToggleChip
                  key={pool}
                  on={chosen.pools.includes(pool)}
                  disabled={of(page.counts) === 0 && !chosen.pools.includes(pool)}
                  onChange={(on) => togglePool(pool, on)}
                >
                  {label} <span className="opacity-85">{of(page.counts)}</span>
                </ToggleChip>
              ))}
            </div>
            <p className="text-base-content/75">
              {chosen.pools.length === 0 ? 'None chosen: all questions of the topics.' : 'Any of those chosen.'}
            </p>
          </fieldset>

          <fieldset>
            <legend className="mb-2 text-lg font-bold">How to sit it</legend>
            <div className="grid grid-cols-3 gap-2">
              {MODE_LIST.map((mode) => (
                <ModeChoice key={mode} mode={mode} now={chosen.mode} onPick={chosen.setMode} />
              ))}
            </div>
            <p className="mt-2 min-h-12">{ABOUT_MODES[chosen.mode]}</p>
          </fieldset>

          <div className="grid grid-cols-2 items-start gap-4">
            <Field
              label="How many questions"
              type="number"
              inputMode="numeric"
              min={1}
              max={500}
              required
              value={chosen.number}
              onChange={(event) => chosen.setNumber(event.target.value)}
            />
            {chosen.mode === 'timed' && (
              <Field
                label="Minutes"
                type="number"
                inputMode="numeric"
                min={1}
                max={600}
                placeholder={there.data ? String(there.data.minutes) : ''}
                hint={
                  page.extraTime === '1'
                    ? 'Empty: as long as the exam gives.'
                    : `Empty: as the exam gives. Your extra time (× ${page.extraTime}) is added.`
                }
                value={chosen.minutes}
                onChange={(event) => chosen.setMinutes(event.target.value)}
              />
            )}
          </div>
          <Choice
            label="Spread over topics"
            value={chosen.spread}
            onChange={(event) => chosen.setSpread(event.target.value as typeof chosen.spread)}
          >
            <option value="blueprint">As the exam weighs them</option>
            <option value="available">As many as each topic has</option>
            <option value="even">Evenly</option>
          </Choice>

          {building.isError && <Failure error={building.error} />}
          {chosen.topics.length === 0 ? (
            <Notice tone="warn">Choose at least one topic.</Notice>
          ) : (
            there.data?.shortfall && <Notice tone="warn">{there.data.shortfall}</Notice>
          )}
          {there.data?.leftOut && <p>{there.data.leftOut}</p>}
          <div className="sticky bottom-0 -mx-4 flex items-center gap-4 border-t border-base-300 bg-base-100 px-4 py-3 lg:static lg:mx-0 lg:border-0 lg:px-0">
            <Button
              weight="main"
              type="submit"
              busy={building.isPending}
              disabled={!sound || Boolean(there.data?.shortfall)}
            >
              Build it
            </Button>
            <p aria-live="polite">
              {sound && there.data ? `${count(there.data.available, 'question')} to draw from` : ''}
            </p>
          </div>
        </form>
      </div>
      {page.papers.length > 0 && <Papers exam={page.exam} papers={page.papers} extraTime={page.extraTime} />}
    </div>
  );
}

/** The fixed papers: everybody who sits one sits the same questions, so they can be compared. */
function Papers({ exam, papers, extraTime }: { exam: string; papers: View<'Paper'>[]; extraTime: string }) {
  const navigate = useNavigate();
  const sitting = useMutation({
    mutationFn: (paper: string) =>
      ask(api.POST('/api/exams/{exam}/papers/{paper}/sittings', { params: { path: { exam, paper } } })),
    onSuccess: ({ sitting: made }) => {
      void queries.invalidateQueries({ queryKey: ['today'] });
      void navigate(`/briefing/${made}`);
    },
  });
  return (
    <section aria-labelledby="papers" className="grid gap-3 border-t border-base-300 pt-6">
      <h2 id="papers" className="text-lg font-bold">
        Or sit a fixed paper
      </h2>
      <p className="max-w-[68ch]">
        Put together like the real exam, with its sections and marks. A paper tells most when its questions are new to
        you, so save one for later.
      </p>
      {sitting.isError && <Failure error={sitting.error} />}
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {papers.map((paper) => (
          <li key={paper.code} className="grid content-start gap-2 rounded-box border border-base-300 p-4">
            <h3 className="font-bold">{paper.title}</h3>
            <p>
              {count(paper.questions, 'question')}, {paper.minutes} minutes
              {extraTime !== '1' && ` × ${extraTime}`}
            </p>
            <p className="text-base-content/75">
              {paper.met === 0 ? 'All of it is new to you.' : `You have met ${paper.met} of its questions.`}
            </p>
            <div>
              <Button
                busy={sitting.isPending && sitting.variables === paper.code}
                onClick={() => sitting.mutate(paper.code)}
                aria-label={`Sit ${paper.title}`}
              >
                Sit it
              </Button>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function ModeChoice({ mode, now, onPick }: { mode: Mode; now: Mode; onPick: (mode: Mode) => void }) {
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 rounded-field border border-base-content/50 px-2 has-checked:border-primary has-checked:bg-base-200 has-checked:font-bold has-checked:ring-1 has-checked:ring-primary">
      <input
        type="radio"
        name="mode"
        className="radio radio-sm radio-primary"
        checked={mode === now}
        onChange={() => onPick(mode)}
      />
      {MODES[mode]}
    </label>
  );
}
