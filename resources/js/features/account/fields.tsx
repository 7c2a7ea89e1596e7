import type { ReactNode } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Notice } from '../../ui/Notice';
import type { Form } from './useForm';

/** A form of `useForm`: what is amiss with the whole stands above its fields. */
export function FormOf(props: { form: Form; children: ReactNode; onChange?: () => void }) {
  const { form, children, onChange } = props;
  return (
    <form className="grid gap-4" onSubmit={form.onSubmit} onChange={onChange}>
      {form.fault() && <Notice tone="bad">{form.fault()}</Notice>}
      {children}
    </form>
  );
}

export function Send({
  form,
  children,
  weight = 'main',
}: {
  form: Form;
  children: ReactNode;
  weight?: 'main' | 'plain' | 'grave';
}) {
  return (
    <Button weight={weight} type="submit" busy={form.busy}>
      {children}
    </Button>
  );
}

export function EmailField({ form, hint }: { form: Form; hint?: string }) {
  return (
    <Field
      label="E-mail address"
      name="email"
      type="email"
      autoComplete="username"
      required
      hint={hint}
      fault={form.fault('email')}
    />
  );
}

/** The password that one has. */
export function PasswordField({ form, label, name }: { form: Form; label: string; name: string }) {
  return (
    <Field
      label={label}
      name={name}
      type="password"
      autoComplete="current-password"
      required
      fault={form.fault(name)}
    />
  );
}

/** A password that one chooses. */
export function NewPasswordField({ form, label }: { form: Form; label: string }) {
  return (
    <Field
      label={label}
      name="password"
      type="password"
      autoComplete="new-password"
      required
      hint="At least 10 characters. A short sentence is easy to remember."
      fault={form.fault('password')}
    />
  );
}
