import { useMutation, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Unreachable } from '../../../api/client';
import { Button, ButtonLink } from '../../../ui/Button';
import { bytes, dayTime } from '../../../ui/words';
import { dropHandbook, handbooksOf } from './handbooks';
import { dropPack, packsOf } from './packs';
import { giveBack } from './take';

/** What was taken along: tests that go on, and handbooks to read, with or without a connection. */
export function OnThisDevice({
  owner,
  alone,
  removable = false,
}: {
  owner: string;
  alone?: boolean;
  /** Whether each can be cleared away here. */
  removable?: boolean;
}) {
  const here = useQuery({
    queryKey: ['on this device', owner],
    queryFn: async () => ({ packs: await packsOf(owner), handbooks: await handbooksOf(owner) }),
    staleTime: 0,
    networkMode: 'always',
  });
  const { packs = [], handbooks = [] } = here.data ?? {};
  const removing = useMutation({
    mutationFn: (remove: () => Promise<unknown>) => remove(),
    networkMode: 'always',
    meta: { invalidates: [['on this device'], ['handbooks']] },
  });
  const remove = (how: () => Promise<unknown>) => (removable ? () => removing.mutate(how) : undefined);
  const sum = [...packs, ...handbooks].reduce((all, one) => all + one.bytes, 0);
  if (packs.length + handbooks.length === 0)
    return alone && here.isSuccess ? (
      <p>
        Nothing was taken along on this device. With a connection, open a test and take one along from Tests or from the
        builder, or the handbook from its first page.
      </p>
    ) : null;
  return (
    <section aria-labelledby="on-this-device" className="rounded-box border border-base-300 px-5 py-3">
      <h2 id="on-this-device" className="font-bold">
        On this device
        {removable && <span className="font-normal">: {bytes(sum)} in all</span>}
      </h2>
      {removing.error && (
        <p role="alert" className="text-error">
          {removing.error instanceof Unreachable
            ? 'A test is given back with a connection: the server must know that this device has it no longer.'
            : removing.error.message}
        </p>
      )}
      <ul>
        {packs.map(({ id, title, opened, takenAt, bytes: size }) => (
          <Line
            key={id}
            to={`/sit/${id}`}
            does={opened.state.questions.some(({ response }) => response) ? 'Go on' : 'Begin'}
            title={title}
            takenAt={takenAt}
            size={size}
            onRemove={remove(async () => {
              await giveBack(id);
              await dropPack(owner, id);
            })}
          >
            , {opened.state.questions.filter(({ response }) => response).length} of {opened.questions.length} answered
          </Line>
        ))}
        {handbooks.map(({ exam, examName, takenAt, bytes: size }) => (
          <Line
            key={exam}
            to={`/handbook/${exam}`}
            does="Read"
            title={examName}
            takenAt={takenAt}
            size={size}
            onRemove={remove(() => dropHandbook(owner, exam))}
          >
            , the handbook
          </Line>
        ))}
      </ul>
    </section>
  );
}

function Line(props: {
  to: string;
  does: string;
  title: string;
  takenAt: number;
  size: number;
  onRemove: (() => void) | undefined;
  children: ReactNode;
}) {
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
      {props.onRemove && (
        <Button small weight="quiet" onClick={props.onRemove} aria-label={`Remove ${props.title} from this device`}>
          Remove
        </Button>
      )}
    </li>
  );
}
