import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
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
        <form className="grid gap-4" onSubmit={form.onSubmit}>
          {form.fault() && <Notice tone="bad">{form.fault()}</Notice>}
          <Field
            label="New password"
            name="password"
            type="password"
            autoComplete="new-password"
            required
            hint="At least 10 characters. A short sentence is easy to remember."
            fault={form.fault('password')}
          />
          <Button weight="main" type="submit" busy={form.busy}>
            Set it
          </Button>
        </form>
      )}
      <p>
        <Link to="/sign-in">Go to sign in</Link>
      </p>
    </Door>
  );
}
