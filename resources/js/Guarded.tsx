import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, Outlet, useLocation } from 'react-router';
import { Unreachable } from './api/client';
import { session } from './api/queries';
import { Button } from './ui/Button';
import { Failure } from './ui/Failure';
import { Loading } from './ui/Loading';
import { Notice } from './ui/Notice';

/** Lets only people through who are signed in, and remembers where the others wanted to go. */
export function Guarded() {
  const who = useQuery(session);
  const email = who.data?.user?.email;
  const nobody = who.data?.user === null;
  useEffect(() => {
    if (!email && !nobody) return;
    // Whoever is signed in finds what is theirs; where nobody is, however that came, nothing stays to be read.
    void import('./features/sitting/packs/tidy').then(({ welcome, nobodyHere }) =>
      email ? welcome(email) : nobodyHere(),
    );
  }, [email, nobody]);
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
        {who.error instanceof Unreachable ? (
          <Notice action={<Button onClick={() => void who.refetch()}>Try again</Button>}>
            You are signed out on this device, and there is no connection. Sign in once there is one.
          </Notice>
        ) : (
          <Failure error={who.error} retry={() => void who.refetch()} />
        )}
      </div>
    );
  if (!who.data.user) return <Navigate to={`/sign-in?to=${encodeURIComponent(pathname + search)}`} replace />;
  return <Outlet />;
}
