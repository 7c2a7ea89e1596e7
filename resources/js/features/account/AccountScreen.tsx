import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api, ask } from '../../api/client';
import { AccountRequest } from '../../api/limits';
import { queries, session } from '../../api/queries';
import { rememberWho } from '../../api/who';
import { Button, ButtonLink } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Choice, Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { count } from '../../ui/words';
import { isOff, turn } from '../../worker/worker';
import { OnThisDevice } from '../sitting/packs/OnThisDevice';
import { leaveNothing } from '../sitting/packs/tidy';
import { answersWaitingOf, throwAwayOf } from '../sitting/sync/queueStorage';
import { ShortcutSettings } from '../sitting/ShortcutSettings';
import { FormOf, NewPasswordField, PasswordField, Send } from './fields';
import { useForm } from './useForm';
import { Tick } from '../../ui/Tick';
import { useKeptTick } from '../../ui/useKeptTick';

export function Component() {
  useTitle('Account');
  const { data } = useQuery(session);
  const navigate = useNavigate();
  const [unsaved, setUnsaved] = useState(0);
  // Nobody else on this device is to read what was theirs.
  const forget = () => {
    rememberWho(null);
    void leaveNothing();
  };
  const leave = () => {
    forget();
    if (data?.user) void throwAwayOf(data.user.email);
    queries.clear();
    void navigate('/sign-in');
  };
  const signingOut = useMutation({
    mutationFn: () => ask(api.DELETE('/api/session')),
    onSuccess: leave,
    onError: forget,
    networkMode: 'always',
  });
  const user = data?.user;
  if (!user) return null;
  return (
    <div className="grid gap-8">
      <div className="flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-2xl font-bold">Account</h1>
        <Button
          busy={signingOut.isPending}
          onClick={() => {
            void answersWaitingOf(user.email)
              .catch(() => 0)
              .then((waiting) => (waiting > 0 ? setUnsaved(waiting) : signingOut.mutate()));
          }}
        >
          Sign out
        </Button>
      </div>
      {unsaved > 0 && (
        <Dialog
          title="Not everything is saved"
          onClose={() => setUnsaved(0)}
          actions={
            <>
              <Button weight="main" onClick={() => setUnsaved(0)}>
                Stay signed in
              </Button>
              <Button
                weight="quiet"
                onClick={() => {
                  setUnsaved(0);
                  signingOut.mutate();
                }}
              >
                Throw away and sign out
              </Button>
            </>
          }
        >
          <p>
            {count(unsaved, 'answer')} on this device {unsaved === 1 ? 'has' : 'have'} not reached the server. Open the
            test once more to save {unsaved === 1 ? 'it' : 'them'}, or throw {unsaved === 1 ? 'it' : 'them'} away.
          </p>
        </Dialog>
      )}
      {signingOut.isError && (
        <Notice tone="bad">
          You are still signed in, for the server must be reached to sign out. What was taken along on this device has
          been cleared away; sign out again once there is a connection.
        </Notice>
      )}
      <div className="grid items-start gap-8 md:grid-cols-2">
        <div className="grid gap-8">
          <AboutMe name={user.name} email={user.email} extraTime={user.extraTime} />
          <Part title="Keys while sitting">
            <p>Kept on this device.</p>
            <ShortcutSettings />
          </Part>
        </div>
        <div className="grid gap-8">
          <Password />
          <ThisDevice owner={user.email} />
          <Part title="My data">
            <p>All that you have done and written here, to take away or to bring from another Uplandia.</p>
            <p>
              <ButtonLink to="/account/my-data">My data</ButtonLink>
            </p>
          </Part>
          <Leaving onGone={leave} />
        </div>
      </div>
    </div>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="grid gap-4">
      <h2 className="text-lg font-bold">{title}</h2>
      {children}
    </section>
  );
}

/** What of the app is kept here, to start without a network. */
function ThisDevice({ owner }: { owner: string }) {
  const keeps = useKeptTick(!isOff(), turn, { networkMode: 'always' });
  return (
    <Part title="Without a connection">
      <Tick {...keeps.box}>This device keeps the app, so that it starts without a connection</Tick>
      {keeps.error && (
        <p role="alert" className="text-error">
          This could not be changed. Try again when there is a connection.
        </p>
      )}
      <OnThisDevice owner={owner} alone removable />
    </Part>
  );
}

function AboutMe(props: { name: string; email: string; extraTime: string }) {
  const [saved, setSaved] = useState(false);
  const form = useForm(
    (body: { name: string; extraTime: '1' }) => ask(api.PUT('/api/account', { body })),
    () => {
      setSaved(true);
      void queries.invalidateQueries();
    },
  );
  return (
    <Part title="About me">
      <FormOf form={form} onChange={() => setSaved(false)}>
        <p>
          Signed in as <strong className="[overflow-wrap:anywhere]">{props.email}</strong>
        </p>
        <Field
          label="Name"
          name="name"
          defaultValue={props.name}
          maxLength={AccountRequest.name.longest}
          required
          fault={form.fault('name')}
        />
        <Choice
          label="Extra time"
          name="extraTime"
          defaultValue={props.extraTime}
          hint="If you have been granted extra time, every limit grows by this factor in tests you build from now on."
        >
          <option value="1">None</option>
          <option value="1.25">A quarter more (1.25)</option>
          <option value="1.5">Half as much again (1.5)</option>
          <option value="2">Twice as much (2)</option>
        </Choice>
        <Send form={form}>Save</Send>
        {saved && <Notice tone="good">Saved.</Notice>}
      </FormOf>
    </Part>
  );
}

function Password() {
  const [saved, setSaved] = useState(false);
  const form = useForm(
    (body: { current_password: string; password: string }) => ask(api.PUT('/api/account/password', { body })),
    () => setSaved(true),
  );
  return (
    <Part title="Change password">
      {saved ? (
        <Notice tone="good">Your password is changed. Other devices have been signed out.</Notice>
      ) : (
        <FormOf form={form}>
          <PasswordField form={form} label="Password now" name="current_password" />
          <NewPasswordField form={form} label="New password" />
          <Send form={form} weight="plain">
            Change it
          </Send>
        </FormOf>
      )}
    </Part>
  );
}

function Leaving({ onGone }: { onGone: () => void }) {
  const [asking, setAsking] = useState(false);
  const form = useForm((body: { current_password: string }) => ask(api.DELETE('/api/account', { body })), onGone);
  return (
    <Part title="Delete my account">
      <p>
        This removes you and everything you have done here: tests, answers, results, cards, notes. It cannot be undone,
        so take your data away first if you may want it again.
      </p>
      <Button className="justify-self-start" onClick={() => setAsking(true)}>
        Delete my account…
      </Button>
      {asking && (
        <Dialog title="Delete your account?" onClose={() => setAsking(false)} actions={null}>
          <FormOf form={form}>
            <p>All of your tests, answers, results, cards and notes go with it, now and for good.</p>
            <PasswordField form={form} label="Your password" name="current_password" />
            <div className="flex flex-wrap gap-3">
              <Button onClick={() => setAsking(false)}>Keep my account</Button>
              <Send form={form} weight="grave">
                Delete everything
              </Send>
            </div>
          </FormOf>
        </Dialog>
      )}
    </Part>
  );
}
