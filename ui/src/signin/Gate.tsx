import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useMemo, type ReactNode } from 'react';
import { api, Problem } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { MomentProvider } from '../moment/MomentProvider';
import { SessionContext } from './session';
import { SignIn } from './SignIn';

/** Lets nobody past without signing in, then hands out the session, the spots and the moment. */
export function Gate({ children }: { children: ReactNode }) {
  const queries = useQueryClient();
  const invalidate = useInvalidate();
  const me = useQuery({ queryKey: keys.me, queryFn: api.me, staleTime: Infinity });
  const spots = useQuery({
    queryKey: keys.spots,
    queryFn: api.spots,
    enabled: me.isSuccess,
    staleTime: Infinity,
  });

  const opened = me.data?.now;
  const now = useMemo(() => new Date(opened ?? 0), [opened]);

  const signOut = async () => {
    await api.logout().catch(() => undefined);
    localStorage.removeItem('greypebble.spot');
    queries.clear();
    window.location.assign('/');
  };

  if (me.error instanceof Problem && me.error.status === 401) {
    return <SignIn onDone={() => void invalidate('session')} />;
  }
  const error = me.error ?? spots.error;
  if (error) return <Plain>{error.message}</Plain>;
  if (!me.data || !spots.data) return null;
  if (!spots.data?.length) {
    return (
      <Plain>You have no spots yet. Spots cannot be drawn in this version; sign in with a demo angler.</Plain>
    );
  }
  return (
    <SessionContext value={{ name: me.data.name, signOut: () => void signOut() }}>
      <Suspense>
        <MomentProvider now={now} spots={spots.data}>
          {children}
        </MomentProvider>
      </Suspense>
    </SessionContext>
  );
}

function Plain({ children }: { children: ReactNode }) {
  return (
    <main className="signin-plain" role="alert">
      <p>{children}</p>
    </main>
  );
}
