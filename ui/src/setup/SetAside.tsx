import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { api, type Playbook } from '../api/client';
import { useInvalidate } from '../api/keys';
import { usePostponed } from '../frame/useUndo';
import { book as say } from '../words/book';

type Entry = Playbook['set_aside'][number];

const keyOf = (a: Entry) => `${a.kind} ${a.id}`;

/** What of one's own the playbook no longer knows: said, kept, and taken out if one wants. */
export function SetAside({ list }: { list: Entry[] }) {
  const invalidate = useInvalidate();
  const takeOut = useMutation({
    mutationFn: ({ kind, id }: Entry) => {
      if (kind === 'target') return api.deleteTarget(id);
      return kind === 'school' ? api.putSchool(id, '') : api.deleteOwnRule(id);
    },
    onSuccess: () => void invalidate('playbook'),
  });
  // What this playbook does not know cannot be read in again: it goes only once nobody called it back.
  const postpone = usePostponed();
  const [going, setGoing] = useState<string[]>([]);
  const shown = list.filter((a) => !going.includes(keyOf(a)));
  const out = (a: Entry) => {
    setGoing((l) => [...l, keyOf(a)]);
    postpone(
      say.your2(a.kind, a.id),
      () => takeOut.mutate(a),
      () => setGoing((l) => l.filter((k) => k !== keyOf(a))),
    );
  };
  if (shown.length === 0) return null;
  return (
    <div role="status" className="set-aside">
      {say.becauseThisPlaybookDoesNot(<b>{say.setAside}</b>)}
      <Fault of={[takeOut]} />
      <ul>
        {shown.map((a) => (
          <li key={keyOf(a)}>
            {say.your3(a.kind, a.id, a.why)}{' '}
            <Button size="small" onClick={() => out(a)}>
              {say.takeItOut}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
