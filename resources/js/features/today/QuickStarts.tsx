import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { Failure } from '../../ui/Failure';
import { count } from '../../ui/words';
import { useBegin } from '../../api/useBegin';
import { useOwnTime } from '../../ui/OwnTime';

type Start = View<'QuickStartRequest'>['start'];

/** Tests that begin with one click, without choosing anything. */
export function QuickStarts({ exam, quick }: { exam: string; quick: View<'Quick'> }) {
  const begin = useBegin();
  const time = useOwnTime();
  const path = { params: { path: { exam } } };
  const start = (what: Start) =>
    begin.go(() => ask(api.POST('/api/exams/{exam}/quick-starts', { ...path, body: { start: what } })), true);
  const { recipe } = quick;
  return (
    <section aria-labelledby="quick" className="grid gap-2">
      <h2 id="quick" className="text-lg font-bold">
        Quick starts
      </h2>
      {begin.isError && <Failure error={begin.error} />}
      <ul className="grid gap-2 sm:grid-cols-2 lg:grid-cols-4">
        <Start
          name="Ten quick ones"
          about="new to you, why after each"
          off={begin.isPending}
          onUse={() => start('ten')}
        />
        <Start
          name="My weak spots"
          about="20, each topic with its reason"
          off={begin.isPending}
          onUse={() => begin.go(() => ask(api.POST('/api/exams/{exam}/weak-spots', { ...path, body: { count: 20 } })))}
        />
        <Start
          name="Due to revisit"
          about={quick.due === 0 ? 'nothing is due' : count(quick.due, 'question')}
          off={begin.isPending || quick.due === 0}
          onUse={() => start('due')}
        />
        <Start
          name="Missed, partly, left blank"
          about={quick.missed === 0 ? 'none, by your latest answers' : count(quick.missed, 'question')}
          off={begin.isPending || quick.missed === 0}
          onUse={() => start('missed')}
        />
        {quick.cards > 0 && (
          <li>
            <Link to="/cards/session" className={LOOK}>
              <span className="font-bold">My cards</span>
              <span className="text-sm text-base-content/75">{count(quick.cards, 'card')} due</span>
            </Link>
          </li>
        )}
        {recipe !== null && (
          <Start
            name="My last recipe"
            about={`fresh questions: ${quick.recipeName ?? ''}`}
            off={begin.isPending}
            onUse={() =>
              begin.go(() => ask(api.POST('/api/recipes/{recipe}/sittings', { params: { path: { recipe } } })))
            }
          />
        )}
        {quick.rehearsal > 0 && (
          <Start
            name="A rehearsal"
            about={`${quick.rehearsal} questions, ${time(quick.minutes)}`}
            off={begin.isPending}
            onUse={() =>
              begin.go(() => ask(api.POST('/api/exams/{exam}/rehearsals', { ...path, body: { section: null } })))
            }
          />
        )}
        {quick.papers + quick.series > 0 && (
          <li>
            <Link to="/ready" className={LOOK}>
              <span className="font-bold">{quick.papers > 0 ? 'A paper' : 'A series of tests'}</span>
              <span className="text-sm text-base-content/75">
                {[
                  quick.papers > 0 && count(quick.papers, 'paper'),
                  quick.series > 0 && `${quick.series} series of tests`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </Link>
          </li>
        )}
      </ul>
    </section>
  );
}

const LOOK =
  'grid min-h-14 w-full content-center rounded-field border border-base-content/50 px-3 py-1.5 text-left no-underline hover:bg-base-200';

function Start(props: { name: string; about: ReactNode; off: boolean; onUse: () => void }) {
  return (
    <li>
      <button
        type="button"
        disabled={props.off}
        onClick={props.onUse}
        className={`${LOOK} cursor-pointer disabled:cursor-default disabled:opacity-60`}
      >
        <span className="font-bold">{props.name}</span>
        <span className="truncate text-sm text-base-content/75">{props.about}</span>
      </button>
    </li>
  );
}
