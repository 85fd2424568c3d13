import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect, useMemo, useState, type ReactNode } from 'react';
import { api, Problem } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { askKinds } from '../conditions/kinds';
import { speak } from '../format/spoken';
import { MomentProvider } from '../moment/MomentProvider';
import { chosenSpot } from '../moment/usePlaceState';
import { keepFor, wipe } from '../device/device';
import { keepFresh } from '../device/fresh';
import { AskUnits } from './AskUnits';
import { forgetDevice } from './device';
import { SessionContext } from './session';
import { SignIn } from './SignIn';

/** Who is signed in; from then on measures are written as they speak of them. */
const me = async () => {
  const who = await api.me();
  speak(who.settings);
  keepFor(who.name, Date.parse(who.now) - Date.now());
  return who;
};

/**
 * Lets nobody past without signing in, then hands out the session, the spots and the moment. Where there is
 * no spot yet, the way to a first one is shown instead.
 */
export function Gate({ children, begin }: { children: ReactNode; begin: ReactNode }) {
  const queries = useQueryClient();
  const invalidate = useInvalidate();
  const who = useQuery({ queryKey: keys.me, queryFn: me, staleTime: Infinity });
  const spots = useQuery({
    queryKey: keys.spots,
    queryFn: api.spots,
    enabled: who.isSuccess,
    staleTime: Infinity,
  });

  const kinds = useQuery({ ...askKinds, enabled: who.isSuccess });

  // Where nothing was chosen on this device yet, the best of now is shown, not the alphabet's first.
  const [fresh] = useState(() => !chosenSpot());
  const outlook = useQuery({
    queryKey: keys.outlook,
    queryFn: api.outlook,
    enabled: fresh && (spots.data?.length ?? 0) > 1,
    staleTime: 60_000,
  });
  const name = who.data?.name;
  useEffect(() => (name ? keepFresh() : undefined), [name]);
  const opened = who.data?.now;
  const now = useMemo(() => new Date(opened ?? 0), [opened]);

  const signOut = async () => {
    await api.logout().catch(() => undefined);
    forgetDevice();
    // The next to sign in may be somebody else.
    if (who.data) await wipe(who.data.name).catch(() => undefined);
    queries.clear();
    window.location.assign('/');
  };

  if (who.error instanceof Problem && who.error.status === 401) {
    return <SignIn onDone={() => void invalidate('session')} />;
  }
  const error = who.error ?? spots.error ?? kinds.error;
  if (error) return <Plain>{error.message}</Plain>;
  if (!who.data || !spots.data || !kinds.data) return null;
  if (fresh && spots.data.length > 1 && outlook.isPending) return null;
  const { settings, invented } = who.data;
  if (!settings.chosen) return <AskUnits name={who.data.name} />;
  return (
    // Drawn anew when the person speaks of measures otherwise.
    <SessionContext
      key={JSON.stringify(settings)}
      value={{ name: who.data.name, settings, invented, signOut: () => void signOut() }}
    >
      {spots.data.length === 0 ? (
        begin
      ) : (
        <Suspense>
          <MomentProvider now={now} spots={spots.data} best={outlook.data?.spots[0]?.spot_id}>
            {children}
          </MomentProvider>
        </Suspense>
      )}
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
