import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
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
        <form className="grid gap-4" onSubmit={form.onSubmit}>
          {form.fault() && <Notice tone="bad">{form.fault()}</Notice>}
          <Field
            label="E-mail address"
            name="email"
            type="email"
            autoComplete="username"
            required
            fault={form.fault('email')}
          />
          <Button weight="main" type="submit" busy={form.busy}>
            Send me a link
          </Button>
        </form>
      )}
      <p>
        <Link to="/sign-in">Back to sign in</Link>
      </p>
    </Door>
  );
}
