import { useMutation } from '@tanstack/react-query';
import { App, Button } from 'antd';
import { api, type Playbook } from '../api/client';
import { useInvalidate } from '../api/keys';

type Entry = Playbook['set_aside'][number];

/** What of one's own the playbook no longer knows: said, kept, and taken out if one wants. */
export function SetAside({ list }: { list: Entry[] }) {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const takeOut = useMutation({
    mutationFn: ({ kind, id }: Entry) => {
      if (kind === 'target') return api.deleteTarget(id);
      return kind === 'school' ? api.putSchool(id, '') : api.deleteOwnRule(id);
    },
    onSuccess: () => void invalidate('playbook'),
    onError: (e) => void message.error(e.message),
  });
  if (list.length === 0) return null;
  return (
    <div role="status" className="set-aside">
      <b>Set aside</b>, because this playbook does not know what they speak of. They are kept, and count again
      when it does.
      <ul>
        {list.map((a) => (
          <li key={`${a.kind} ${a.id}`}>
            Your {a.kind} {a.id}: {a.why}{' '}
            <Button size="small" onClick={() => takeOut.mutate(a)}>
              Take it out
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
