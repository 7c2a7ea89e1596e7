import { Fragment, type ReactNode } from 'react';
import { useExamOfScreen } from '../api/useExam';
import { Empty } from './Empty';
import { Failure } from './Failure';
import { Loading } from './Loading';

/** A screen of the exam that is being studied for; another exam begins it anew. */
export function OfExam({ children }: { children: (exam: string) => ReactNode }) {
  const { exam, error, isPending, retry } = useExamOfScreen();
  if (error) return <Failure error={error} retry={retry} />;
  if (isPending) return <Loading />;
  if (!exam) return <Empty title="No exam has been set up here yet." />;
  return <Fragment key={exam}>{children(exam)}</Fragment>;
}
