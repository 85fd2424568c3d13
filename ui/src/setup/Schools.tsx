import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { Positions } from '../tie/Positions';
import { book as say } from '../words/book';

/** Where anglers disagree: which side this angler takes, for good. */
export function Schools() {
  const invalidate = useInvalidate();
  const book = useQuery({ queryKey: keys.playbook, queryFn: api.playbook });
  const take = useMutation({
    mutationFn: (t: { school: string; position: string }) => api.putSchool(t.school, t.position),
    onSuccess: () => {
      void invalidate('playbook');
    },
  });
  if (!book.data) return null;
  return (
    <section className="panel schools">
      <h2>{say.whereAnglersDisagree}</h2>
      <p className="quiet">{say.twelveOldQuestionsTakeA}</p>
      <Fault of={[take]} />
      <Positions
        schools={book.data.schools}
        taken={(s) => s.chosen}
        onTake={(s, position) =>
          take.mutate({ school: s.id, position: position === s.default ? '' : position })
        }
      />
    </section>
  );
}
