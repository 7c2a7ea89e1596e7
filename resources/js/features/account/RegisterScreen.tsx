import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../../api/client';
import { RegisterRequest } from '../../api/limits';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { EmailField, FormOf, Send } from './fields';
import { useForm } from './useForm';

export function Component() {
  useTitle('Make an account');
  const [sent, setSent] = useState(false);
  const form = useForm(
    (body: { name: string; email: string }) => ask(api.POST('/api/account', { body })),
    () => setSent(true),
  );
  return (
    <Door title="Make an account">
      {sent ? (
        <Notice tone="good">
          A letter is on its way to this address. Its link lets you choose a password, and then you are in. The link
          works for a day.
        </Notice>
      ) : (
        <FormOf form={form}>
          <Field
            label="Name"
            name="name"
            autoComplete="name"
            required
            maxLength={RegisterRequest.name.longest}
            fault={form.fault('name')}
          />
          <EmailField form={form} hint="We send a letter there, to be sure that it is yours." />
          <Send form={form}>Send me the letter</Send>
        </FormOf>
      )}
      <p>
        <Link to="/sign-in">I have an account</Link>
      </p>
    </Door>
  );
}
