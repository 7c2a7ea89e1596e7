import clsx from 'clsx';
import {
  BookOpen,
  CalendarDays,
  ChartNoAxesColumn,
  Footprints,
  ListChecks,
  ListPlus,
  Mountain,
  UserRound,
} from 'lucide-react';
import { lazy, Suspense } from 'react';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { ExamChoice } from './ExamChoice';
import { LookMenu } from './ui/LookMenu';
import { Loading } from './ui/Loading';

const NewVersion = lazy(async () => ({ default: (await import('./worker/NewVersion')).NewVersion }));

const PLACES = [
  { to: '/', label: 'Today', Icon: CalendarDays },
  { to: '/build', label: 'Build a test', Icon: ListPlus },
  { to: '/ready', label: 'Rehearse', Icon: Mountain },
  { to: '/tests', label: 'Tests', Icon: ListChecks },
  { to: '/gaps', label: 'Study', Icon: Footprints },
  { to: '/progress', label: 'Progress', Icon: ChartNoAxesColumn },
  { to: '/handbook', label: 'Handbook', Icon: BookOpen },
  { to: '/account', label: 'Account', Icon: UserRound },
];

/** What belongs to Study. */
const STUDY = [
  { to: '/gaps', label: 'Gap book' },
  { to: '/revisits', label: 'Revisits' },
  { to: '/cards', label: 'Cards' },
  { to: '/library', label: 'Library' },
  { to: '/plan', label: 'Plan' },
];

/** The frame round every screen but a sitting. */
export function Component() {
  const { pathname } = useLocation();
  const studying = STUDY.some(({ to }) => pathname.startsWith(to));
  return (
    <div className="relative min-h-dvh">
      <a href="#main" className="btn btn-primary sr-only left-2 top-2 z-20 focus:not-sr-only focus:absolute">
        Skip to the page
      </a>
      <div aria-hidden="true" className="contours pointer-events-none absolute inset-x-0 top-0 h-44" />
      <header className="relative print:hidden mx-auto flex max-w-6xl flex-wrap items-center gap-x-6 gap-y-1 px-4 pt-3 sm:px-6">
        <Link to="/" className="flex items-center gap-2 text-xl font-bold tracking-tight">
          <img src="/icon.svg" alt="" width="30" height="30" />
          Uplandia
        </Link>
        <ExamChoice />
        <span className="flex-1" />
        <LookMenu />
        <nav aria-label="Main" className="-mx-2 flex basis-full flex-wrap gap-x-1 max-sm:order-1">
          {PLACES.map(({ to, label, Icon }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                clsx(
                  'flex min-h-11 items-center gap-1.5 border-b-4 px-2',
                  isActive || (studying && to === STUDY[0]?.to)
                    ? 'border-primary font-bold'
                    : 'border-transparent hover:border-base-300',
                )
              }
            >
              <Icon aria-hidden="true" className="size-4.5 max-sm:hidden" />
              {label}
            </NavLink>
          ))}
        </nav>
        {studying && (
          <nav aria-label="Study" className="flex basis-full flex-wrap gap-x-1 border-t border-base-300 max-sm:order-1">
            {STUDY.map(({ to, label }) => (
              <NavLink
                key={to}
                to={to}
                className={({ isActive }) =>
                  clsx(
                    'flex min-h-11 items-center px-2 pointer-fine:min-h-9',
                    isActive ? 'font-bold underline decoration-2 underline-offset-8' : 'hover:underline',
                  )
                }
              >
                {label}
              </NavLink>
            ))}
          </nav>
        )}
      </header>
      <main id="main" tabIndex={-1} className="relative mx-auto max-w-6xl px-4 py-6 outline-none sm:px-6">
        <Suspense fallback={null}>
          <NewVersion />
        </Suspense>
        <Suspense fallback={<Loading />}>
          <Outlet />
        </Suspense>
      </main>
    </div>
  );
}
