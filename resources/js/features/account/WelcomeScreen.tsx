import { Link, useSearchParams } from 'react-router';
import { api, ask } from '../../api/client';
import { useTitle } from '../../ui/useTitle';
import { Door } from './Door';
import { useEnter } from './SignInScreen';
import { FormOf, NewPasswordField, Send } from './fields';
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
      <FormOf form={form}>
        <NewPasswordField form={form} label="Password" />
        <Send form={form}>Make the account</Send>
      </FormOf>
      <p className="flex flex-wrap gap-x-6 gap-y-2">
        <Link to="/sign-in">Go to sign in</Link>
        <Link to="/register">Ask for another letter</Link>
      </p>
    </Door>
  );
}
