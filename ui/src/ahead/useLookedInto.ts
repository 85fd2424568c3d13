import { useQuery } from '@tanstack/react-query';
import { api, type Along } from '../api/client';

/** A window looked into: how sure its edge is, and what would spoil it. Asked for when it is opened. */
export const useLookedInto = (asked: {
  spot_id: string;
  target: string;
  from: string;
  until: string;
  least: number;
  along: Along[];
}) =>
  useQuery({
    queryKey: ['ahead-window', asked],
    queryFn: ({ signal }) => api.aheadWindow(asked, signal),
    staleTime: 10 * 60_000,
    enabled: asked.target !== '',
  });
