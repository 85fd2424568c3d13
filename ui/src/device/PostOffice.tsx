import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { useSession } from '../signin/session';
import { unsent } from './device';
import type { Outbox } from './outbox';
import { PostContext, type Post } from './post';

/** Sends what this device keeps, whichever page is open. */
export function PostOffice({ children }: { children: ReactNode }) {
  const { name } = useSession();
  const { present } = usePlace();
  const invalidate = useInvalidate();
  const [failed, setFailed] = useState<Post['failed']>();
  const send = useRef(() => undefined as void);
  useEffect(() => {
    let gone = false;
    let box: Outbox | undefined;
    // Not of the first load: mostly nothing waits.
    const now = async () => {
      const { Outbox } = await import('./outbox');
      if (gone) return;
      box ??= new Outbox(
        name,
        present,
        (p) => setFailed(p.failed),
        () => void Promise.all([invalidate('log'), invalidate('sightings'), invalidate('trials')]),
      );
      box.now();
    };
    send.current = () => void now().catch(() => undefined);
    void unsent(name).then(
      (n) => n > 0 && send.current(),
      () => undefined,
    );
    return () => {
      gone = true;
      box?.stop();
    };
  }, [name, present, invalidate]);
  const post = useMemo(() => ({ ...(failed ? { failed } : {}), sendNow: () => send.current() }), [failed]);
  return <PostContext value={post}>{children}</PostContext>;
}
