import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Loading } from '../../../ui/Loading';
import type { Response } from '../../question/response';
import { packOf } from './packs';

const Explained = lazy(async () => ({ default: (await import('../../result/Explained')).Explained }));

/** The reasons of a checked question, from what was taken along, while the server cannot be asked. */
export function PackedReasons(props: { owner: string; sitting: string; position: number; response: Response }) {
  const { owner, sitting, position } = props;
  const pack = useQuery({
    queryKey: ['pack', owner, sitting],
    queryFn: () => packOf(owner, sitting),
    networkMode: 'always',
  });
  const explanation = pack.data?.explanations.find(({ question }) => question.position === position);
  if (!explanation) return null;
  return (
    <Suspense fallback={<Loading what="Fetching the reasons" />}>
      <Explained sitting={sitting} explanation={explanation} unmarked={props.response} />
    </Suspense>
  );
}
