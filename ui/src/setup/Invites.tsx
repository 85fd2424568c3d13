import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { dayThere } from '../format/time';

/** Letting others in, where registration goes by invites. */
export function Invites() {
  const welcome = useQuery({ queryKey: keys.welcome, queryFn: api.welcome, staleTime: Infinity });
  return welcome.data?.registration === 'invite' ? <Body /> : null;
}

function Body() {
  const invalidate = useInvalidate();
  const list = useQuery({ queryKey: keys.invites, queryFn: api.invites });
  const [note, setNote] = useState('');
  const [uses, setUses] = useState<number | undefined>(1);
  const make = useMutation({
    mutationFn: () => api.makeInvite({ note, uses: uses ?? 1, days: 14 }),
    onSuccess: () => {
      setNote('');
      void invalidate('account');
    },
  });
  const remove = useMutation({ mutationFn: api.deleteInvite, onSuccess: () => invalidate('account') });
  return (
    <section className="panel">
      <h2>Let others in</h2>
      <p className="quiet">
        Whoever has the code makes an account of their own here. It holds for a fortnight.
      </p>
      {make.data?.code && (
        <p>
          <code>{make.data.code}</code> <span className="quiet small">It is not shown again.</span>
        </p>
      )}
      <form
        className="keep"
        onSubmit={(e) => {
          e.preventDefault();
          make.mutate();
        }}
      >
        <label>
          <span>For whom</span>
          <Input value={note} maxLength={120} onChange={(e) => setNote(e.target.value)} />
        </label>
        <label>
          <span>How many</span>
          <NumberField value={uses} min={1} max={100} onChange={setUses} />
        </label>
        <Fault of={[make]} />
        <Button htmlType="submit" loading={make.isPending}>
          Make an invite
        </Button>
      </form>
      <Fault of={[remove]} />
      <ul className="sessions">
        {(list.data ?? []).map((i) => (
          <li key={i.id}>
            <span>{i.note || 'for anyone'}</span>
            <span className="quiet small">
              {i.uses_left} left, until {dayThere(i.expires_at)}
            </span>
            <Button size="small" loading={remove.isPending} onClick={() => remove.mutate(i.id)}>
              Take it back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
