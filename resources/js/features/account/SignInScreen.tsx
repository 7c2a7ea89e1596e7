import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, ask, type View } from '../../api/client';
import { queries, session } from '../../api/queries';
import { Failure } from '../../ui/Failure';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { EmailField, FormOf, PasswordField, Send } from './fields';
import { useForm } from './useForm';

export function Component() {
  useTitle('Sign in');
  const who = useQuery(session);
  const enter = useEnter();
  const nobody = who.data?.user === null;
  // A cookie that vanished left what was taken along: whoever comes next is not to read it.
  useEffect(() => {
    if (nobody) void import('../sitting/packs/tidy').then(({ nobodyHere }) => nobodyHere());
  }, [nobody]);
  const form = useForm((body: { email: string; password: string }) => ask(api.POST('/api/session', { body })), enter);
  return (
    <Door title="Sign in" aside={<People people={who.data?.people ?? []} />}>
      <p>Practice tests from exactly the questions that help, and an honest picture of where you stand.</p>
      <FormOf form={form}>
        <EmailField form={form} />
        <PasswordField form={form} label="Password" name="password" />
        <Send form={form}>Sign in</Send>
      </FormOf>
      <p className="flex flex-wrap gap-x-6 gap-y-2">
        <Link to="/register">Make an account</Link>
        <Link to="/forgot">I forgot my password</Link>
      </p>
      {who.isError && <Failure error={who.error} retry={() => void who.refetch()} />}
    </Door>
  );
}

/** Where to go once signed in: what the person wanted to see before, or today. */
export function useEnter() {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const to = search.get('to') ?? '/';
  return async () => {
    queries.clear();
    await queries.fetchQuery({ ...session, staleTime: 0 });
    // Only places inside Uplandia.
    void navigate(to.startsWith('/') && !to.startsWith('//') ? to : '/');
  };
}

/** One click to be one of the demo's people; only the demo sends any. */
function People({ people }: { people: View<'DemoPerson'>[] }) {
  const enter = useEnter();
  const entering = useMutation({
    mutationFn: (person: string) => ask(api.POST('/api/session/demo', { body: { person } })),
    onSuccess: enter,
  });
  if (people.length === 0) return null;
  return (
    <section aria-labelledby="people" className="rounded-box border border-base-300 bg-base-100 p-5">
      <h2 id="people" className="text-lg font-bold">
        Or look round as somebody else
      </h2>
      <p className="mb-3 text-base-content/75">This is the demo: everybody here is made up.</p>
      {entering.isError && <Failure error={entering.error} />}
      <ul>
        {people.map((person) => (
          <li key={person.key} className="border-t border-base-300">
            <button
              type="button"
              disabled={entering.isPending}
              onClick={() => entering.mutate(person.key)}
              className="flex min-h-12 w-full cursor-pointer items-baseline justify-between gap-4 py-2 text-left hover:bg-base-200"
            >
              <span className="font-bold text-primary underline underline-offset-4">{person.name}</span>
              <span>{person.about}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
