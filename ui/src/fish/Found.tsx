import { useMutation } from '@tanstack/react-query';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { usePlace } from '../moment/moment';
import { show } from '../format/spoken';
import { clock } from '../format/time';
import { fish as say } from '../words/fish';

/** What was found on the water (a depth, that the way shut), for the spot to be corrected by. */
export function Found(props: { spot: string; mark: string; time: string; depth: number | undefined }) {
  const { spot, mark, time, depth } = props;
  const { spots } = usePlace();
  const invalidate = useInvalidate();
  const zone = spots.find((s) => s.id === spot)?.time_zone ?? 'UTC';
  const put = useMutation({
    mutationFn: () =>
      api.found(spot, depth === undefined ? { time, shut: true } : { time, mark, depth_m: depth }),
    onSuccess: () => invalidate('spots'),
  });
  return (
    <p role="status">
      {depth === undefined
        ? say.wayShutAt(clock(time, zone))
        : say.soundedAt(mark, show('depth', depth), clock(time, zone))}{' '}
      {put.isSuccess ? (
        say.corrected(show('height', put.data.level_m))
      ) : (
        <button className="plain" disabled={put.isPending} onClick={() => put.mutate()}>
          {say.correctTheSpot}
        </button>
      )}
      {put.isError && ` ${put.error.message}`}
    </p>
  );
}
