import { Link, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { useEnter } from './SignInScreen';
import { useForm } from './useForm';

/** Where the link of the first letter leads. */
export function Component() {
  useTitle('Choose a password');
  const [search] = useSearchParams();
  const token = search.get('token') ?? '';
  const enter = useEnter();
  const form = useForm(
    (body: { password: string }) => ask(api.POST('/api/account/confirm', { body: { token, ...body } })),
    enter,
  );
  return (
    <Door title="Choose a password">
      <form className="grid gap-4" onSubmit={form.onSubmit}>
        {form.fault() && <Notice tone="bad">{form.fault()}</Notice>}
        <Field
          label="Password"
          name="password"
          type="password"
          autoComplete="new-password"
          required
          hint="At least 10 characters. A short sentence is easy to remember."
          fault={form.fault('password')}
        />
        <Button weight="main" type="submit" busy={form.busy}>
          Make the account
        </Button>
      </form>
      <p className="flex flex-wrap gap-x-6 gap-y-2">
        <Link to="/sign-in">Go to sign in</Link>
        <Link to="/register">Ask for another letter</Link>
      </p>
    </Door>
  );
}
