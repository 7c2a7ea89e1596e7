import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ButtonLink } from '../../../ui/Button';
import { bytes, dayTime } from '../../../ui/words';
import { handbooksOf } from './handbooks';
import { packsOf } from './packs';

/** What was taken along: tests that go on, and handbooks to read, with or without a connection. */
export function OnThisDevice({ owner, alone }: { owner: string; alone?: boolean }) {
  const here = useQuery({
    queryKey: ['on this device', owner],
    queryFn: async () => ({ packs: await packsOf(owner), handbooks: await handbooksOf(owner) }),
    staleTime: 0,
    networkMode: 'always',
  });
  const { packs = [], handbooks = [] } = here.data ?? {};
  if (packs.length + handbooks.length === 0)
    return alone && here.isSuccess ? (
      <p>
        Nothing was taken along on this device. With a connection, open a test and choose “Along” in its kit, or take
        the handbook along from its first page.
      </p>
    ) : null;
  return (
    <section aria-labelledby="on-this-device" className="rounded-box border border-base-300 px-5 py-3">
      <h2 id="on-this-device" className="font-bold">
        On this device
      </h2>
      <ul>
        {packs.map(({ id, title, opened, takenAt, bytes: size }) => (
          <Line key={id} to={`/sit/${id}`} does="Go on" title={title} takenAt={takenAt} size={size}>
            , {opened.state.questions.filter(({ response }) => response).length} of {opened.questions.length} answered
          </Line>
        ))}
        {handbooks.map(({ exam, examName, takenAt, bytes: size }) => (
          <Line key={exam} to={`/handbook/${exam}`} does="Read" title={examName} takenAt={takenAt} size={size}>
            , the handbook
          </Line>
        ))}
      </ul>
    </section>
  );
}

function Line(props: { to: string; does: string; title: string; takenAt: number; size: number; children: ReactNode }) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-1.5 first:border-0">
      <span className="min-w-48 flex-1">
        {props.title}
        <span className="text-base-content/75">
          {props.children} · taken along {dayTime(props.takenAt)}, {bytes(props.size)}
        </span>
      </span>
      <ButtonLink small to={props.to}>
        {props.does}
      </ButtonLink>
    </li>
  );
}
