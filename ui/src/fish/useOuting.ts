import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { v7 } from 'uuid';
import type { Elsewhere, Window } from '../api/client';
import { keys } from '../api/keys';
import { ask } from '../core/core';
import { usePlace } from '../moment/moment';
import { useSession } from '../signin/session';
import { changed, write, type Kept } from '../device/device';
import { usePost, type Post } from '../device/post';
import { useUnsent } from '../device/useUnsent';
import { inHand, noteTouch } from './inHand';
import type { Said, Told, Touch } from './touch';
import { wayAt } from './way';

/** What is known of the water and the fish there, for stay or go. */
export interface Around {
  here?: Elsewhere['here'] | undefined;
  others?: Elsewhere['others'] | undefined;
  winter?: boolean | undefined;
  all_at_once?: boolean | undefined;
  school?: string | undefined;
}

/** What an outing begins with beside what is fished. */
export interface More {
  plan_id?: string | undefined;
  call_at?: string | undefined;
}

export interface Outing {
  /** Read from the device: undefined until it has been, null where none goes on. */
  kept: Kept | null | undefined;
  touches: Touch[];
  post: Partial<Post>;
  say: (said: Said) => Promise<void>;
  begin: (spot: string, said: Said, more: More) => Promise<void>;
  sendNow: () => void;
  /** Why the last touch could not be kept on the device; empty where it was. */
  unkept: string;
}

/** The outing in hand: kept on the device touch by touch, sent when there is signal. */
export function useOuting(): Outing {
  const { name } = useSession();
  const { present } = usePlace();
  const { failed, sendNow } = usePost();
  const waiting = useUnsent();
  const [unkept, setUnkept] = useState('');

  const { data: read, refetch } = useQuery({
    queryKey: [...keys.outing, name],
    queryFn: () => inHand(name),
    staleTime: 0,
  });

  // What this page writes it reads itself.
  useEffect(
    () =>
      changed((own) => {
        if (own !== 'written') void refetch();
      }),
    [refetch],
  );

  const add = async (o: Kept, said: Said) => {
    try {
      noteTouch(o.id, await write(o, said, present(), o.count > 0 ? read?.touches : []));
      setUnkept('');
    } catch (e) {
      // No room, or a window in which nothing is kept: nobody may take it for done.
      setUnkept(e instanceof Error ? e.message : String(e));
    }
    await refetch();
    sendNow();
  };
  return {
    kept: read?.kept,
    touches: read?.touches ?? [],
    post: { ...(waiting === undefined ? {} : { waiting }), ...(failed ? { failed } : {}) },
    say: async (said) => {
      if (read?.kept) await add(read.kept, said);
    },
    begin: (spot, said, { plan_id, call_at }) => {
      // What is kept here is not to be cleared away for want of room, if the browser grants it.
      void navigator.storage?.persist?.().catch(() => undefined);
      return add(
        {
          id: v7(),
          owner: name,
          began: present().toISOString(),
          over: false,
          count: 0,
          sent: 0,
          spot,
          ...(plan_id ? { plan_id } : {}),
          ...(call_at ? { call_at } : {}),
        },
        said,
      );
    },
    sendNow,
    unkept,
  };
}

/** How often the clock on the page goes on, ms. */
const tick = 10_000;

/** What the core reads from the touches, as time goes on. */
export function useTold(
  touches: Touch[],
  around: Around,
  windows: Window[] | undefined,
  deep: {
    deep_m?: number | undefined;
    fish_m?: number[] | undefined;
    at?: { lat: number; lon: number } | undefined;
  },
): { told?: Told; fault: string } {
  const { present } = usePlace();
  const [answer, setAnswer] = useState<{ told?: Told; fault: string }>({ fault: '' });
  const { here, others, winter, all_at_once, school } = around;
  const asked = JSON.stringify({ here, others, winter, all_at_once, school, ...deep });
  const known = JSON.stringify(windows ?? null);
  useEffect(() => {
    if (touches.length === 0) return undefined;
    let stale = false;
    const look = async () => {
      try {
        const now = present();
        const way = wayAt((JSON.parse(known) as Window[] | null) ?? undefined, now);
        const until = way && !way.open ? now.toISOString() : way?.shuts;
        const body = {
          touches,
          now: now.toISOString(),
          ...(until ? { until } : {}),
          ...(JSON.parse(asked) as Around),
        };
        const told = await ask<Told>('outing', body);
        if (!stale) setAnswer({ told, fault: '' });
      } catch (e) {
        if (!stale) setAnswer((a) => ({ ...a, fault: e instanceof Error ? e.message : String(e) }));
      }
    };
    void look();
    const timer = setInterval(() => void look(), tick);
    return () => {
      stale = true;
      clearInterval(timer);
    };
  }, [touches, present, asked, known]);
  return touches.length === 0 ? { fault: '' } : answer;
}
