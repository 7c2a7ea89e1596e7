import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { session } from './api/queries';
import { Failure } from './ui/Failure';
import { Loading } from './ui/Loading';

/** Lets only people through who are signed in, and remembers where the others wanted to go. */
export function Guarded() {
  const who = useQuery(session);
  const email = who.data?.user?.email;
  useEffect(() => {
    if (!email) return;
    void import('./features/sitting/packs/tidy').then(({ welcome }) => welcome(email));
  }, [email]);
  const { pathname, search } = useLocation();
  if (who.isPending)
    return (
      <div className="p-6">
        <Loading what="Finding out who you are" />
      </div>
    );
  if (who.isError)
    return (
      <div className="p-6">
        <Failure error={who.error} retry={() => void who.refetch()} />
      </div>
    );
  if (!who.data.user) return <Navigate to={`/sign-in?to=${encodeURIComponent(pathname + search)}`} replace />;
  return <Outlet />;
}
