import { useMutation, useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { fish as say } from '../words/fish';

/** A mark that holds hooks, to be noted on the spot: the best reef is told by its snags, and the next rig by them. */
export function Snag({ spot, mark }: { spot: string; mark: string }) {
  const invalidate = useInvalidate();
  const q = useQuery({ queryKey: ['spot', spot], queryFn: () => api.spot(spot) });
  const put = useMutation({
    mutationFn: async () => {
      const now = await api.spot(spot);
      const marks = (now.written.marks ?? []).map((m) => (m.name === mark ? { ...m, snag: true } : m));
      await api.putSpot(spot, { ...now.written, marks, revision: now.revision });
    },
    onSuccess: () => invalidate('spots'),
  });
  const known = q.data?.marks.find((m) => m.name === mark);
  if (!known || (known.snag && !put.isSuccess)) return null;
  return (
    <p role="status">
      {put.isSuccess ? (
        say.snagNoted(mark)
      ) : (
        <>
          {say.snaggedAt(mark)}{' '}
          <button className="plain" disabled={put.isPending} onClick={() => put.mutate()}>
            {say.noteItOnTheSpot}
          </button>
        </>
      )}
      {put.isError && ` ${put.error.message}`}
    </p>
  );
}
