import { useLocation, useNavigate } from 'react-router';
import { useChooseExam, useExam } from './api/useExam';
import { useTitleOf } from './ui/useTitle';

/** Screens that are of the exam in their address: with another exam one stays there. */
const OF_EXAM = [
  '/build',
  '/ready',
  '/exam',
  '/tests',
  '/gaps',
  '/revisits',
  '/cards',
  '/library',
  '/plan',
  '/progress',
];

/** Which exam all of this is about, and another where there is one. */
export function ExamChoice() {
  const { exam, exams } = useExam();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const choose = useChooseExam();
  const name = exams.find(({ slug }) => slug === exam)?.name;
  useTitleOf(name);
  if (exam === undefined || name === undefined) return null;
  if (exams.length === 1)
    return <span className="text-sm text-base-content/75 max-sm:order-1 max-sm:basis-full">{name}</span>;
  return (
    <label className="flex min-w-0 items-center max-sm:order-1 max-sm:basis-full">
      <span className="sr-only">Exam</span>
      <select
        value={exam}
        onChange={({ target: { value } }) => {
          choose(value);
          const stays = OF_EXAM.find((place) => pathname === place);
          void navigate(
            pathname.startsWith('/handbook')
              ? `/handbook/${value}`
              : `${stays ?? '/'}?exam=${encodeURIComponent(value)}`,
          );
        }}
        className="select h-auto min-h-11 w-full min-w-0 border-base-content/40 text-base pointer-fine:min-h-9 sm:w-auto sm:max-w-72"
      >
        {exams.map(({ slug, name: of }) => (
          <option key={slug} value={slug}>
            {of}
          </option>
        ))}
      </select>
    </label>
  );
}
