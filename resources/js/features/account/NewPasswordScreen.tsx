import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { FormOf, NewPasswordField, Send } from './fields';
import { useForm } from './useForm';

export function Component() {
  useTitle('New password');
  const [search] = useSearchParams();
  const [done, setDone] = useState(false);
  const known = { token: search.get('token') ?? '', email: search.get('email') ?? '' };
  const form = useForm(
    (body: { password: string }) => ask(api.POST('/api/password/reset', { body: { ...known, ...body } })),
    () => setDone(true),
  );
  return (
    <Door title="Set a new password">
      {done ? (
        <Notice tone="good">Your new password is set.</Notice>
      ) : (
        <FormOf form={form}>
          <NewPasswordField form={form} label="New password" />
          <Send form={form}>Set it</Send>
        </FormOf>
      )}
      <p>
        <Link to="/sign-in">Go to sign in</Link>
      </p>
    </Door>
  );
}
