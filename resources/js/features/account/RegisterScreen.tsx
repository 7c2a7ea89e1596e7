import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { useEnter } from './SignInScreen';
import { useForm } from './useForm';

export function Component() {
  useTitle('Make an account');
  const enter = useEnter();
  const form = useForm(
    (body: { name: string; email: string; password: string }) => ask(api.POST('/api/account', { body })),
    enter,
  );
  return (
    <Door title="Make an account">
      <form className="grid gap-4" onSubmit={form.onSubmit}>
        {form.fault() && <Notice tone="bad">{form.fault()}</Notice>}
        <Field label="Name" name="name" autoComplete="name" required maxLength={80} fault={form.fault('name')} />
        <Field
          label="E-mail address"
          name="email"
          type="email"
          autoComplete="username"
          required
          fault={form.fault('email')}
        />
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
      <p>
        <Link to="/sign-in">I have an account</Link>
      </p>
    </Door>
  );
}
