import { useMutation, useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { adopt, outingsOf } from '../device/device';
import { clock } from '../format/time';
import { usePlace } from '../moment/moment';
import { useSession } from '../signin/session';
import type { Touch } from './touch';
import { fish as say } from '../words/fish';

/** An outing older than this is not gone on with, ms: it was forgotten to be ended. */
const goesOn = 24 * 3_600_000;

/** An outing that goes on, begun on another device or before one signed out: it is gone on with here. */
export function Elsewhere() {
  const { name } = useSession();
  const { present, spots } = usePlace();
  const invalidate = useInvalidate();
  const list = useQuery({
    queryKey: ['outings', name],
    queryFn: async () => {
      const { outings } = await api.outings();
      // What was ended here goes on only for the server, until it is told.
      const here = (await outingsOf(name)).map((o) => o.id);
      return outings.filter((o) => !here.includes(o.id));
    },
  });
  const open = list.data?.find((o) => !o.ended_at && present().getTime() - Date.parse(o.began_at) < goesOn);
  const take = useMutation({
    mutationFn: async (id: string) => {
      const o = await api.outing(id);
      const at = spots.find((s) => s.id === o.touches.find((t) => t.doing)?.doing?.spot_id);
      await adopt(
        {
          id,
          owner: name,
          began: o.began_at,
          spot: at?.name ?? '',
          ...(o.plan_id ? { plan_id: o.plan_id } : {}),
        },
        o.touches as Touch[],
      );
    },
    onSettled: () => invalidate('outing'),
  });
  if (!open) return null;
  return (
    <div role="status" className="fish-elsewhere">
      {say.goesOnElsewhere(clock(open.began_at, spots[0]?.time_zone ?? 'UTC'))}
      <button className="act" disabled={take.isPending} onClick={() => take.mutate(open.id)}>
        {say.goOnWithIt}
      </button>
    </div>
  );
}
