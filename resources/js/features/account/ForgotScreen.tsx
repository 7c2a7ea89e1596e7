import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { EmailField, FormOf, Send } from './fields';
import { useForm } from './useForm';

export function Component() {
  useTitle('Forgotten password');
  const [sent, setSent] = useState(false);
  const form = useForm(
    (body: { email: string }) => ask(api.POST('/api/password/forgot', { body })),
    () => setSent(true),
  );
  return (
    <Door title="A new password">
      {sent ? (
        <Notice tone="good">
          If there is an account with this address, a letter with a link is on its way. The link works for an hour.
        </Notice>
      ) : (
        <FormOf form={form}>
          <EmailField form={form} />
          <Send form={form}>Send me a link</Send>
        </FormOf>
      )}
      <p>
        <Link to="/sign-in">Back to sign in</Link>
      </p>
    </Door>
  );
}
