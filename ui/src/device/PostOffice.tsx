import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { useSession } from '../signin/session';
import { Outbox } from './outbox';
import { PostContext, type Post } from './post';

/** Sends what this device keeps, whichever page is open. */
export function PostOffice({ children }: { children: ReactNode }) {
  const { name } = useSession();
  const { present } = usePlace();
  const invalidate = useInvalidate();
  const [failed, setFailed] = useState<Post['failed']>();
  const box = useRef<Outbox>(undefined);
  useEffect(() => {
    const mine = new Outbox(
      name,
      present,
      (p) => setFailed(p.failed),
      () => void Promise.all([invalidate('log'), invalidate('sightings'), invalidate('trials')]),
    );
    box.current = mine;
    mine.now();
    return () => mine.stop();
  }, [name, present, invalidate]);
  const post = useMemo(
    () => ({ ...(failed ? { failed } : {}), sendNow: () => box.current?.now() }),
    [failed],
  );
  return <PostContext value={post}>{children}</PostContext>;
}
