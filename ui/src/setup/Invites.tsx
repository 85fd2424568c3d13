import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { NumberField } from '../format/NumberField';
import { dayThere } from '../format/time';
import { account as say } from '../words/account';

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
      <h2>{say.letOthersIn}</h2>
      <p className="quiet">{say.whoeverHasTheCodeMakes}</p>
      {make.data?.code && (
        <p>
          <code>{make.data.code}</code> <span className="quiet small">{say.itIsNotShownAgain}</span>
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
          <span>{say.forWhom}</span>
          <Input value={note} maxLength={120} onChange={(e) => setNote(e.target.value)} />
        </label>
        <label>
          <span>{say.howMany}</span>
          <NumberField value={uses} min={1} max={100} onChange={setUses} />
        </label>
        <Fault of={[make]} />
        <Button htmlType="submit" loading={make.isPending}>
          {say.makeAnInvite}
        </Button>
      </form>
      <Fault of={[remove]} />
      <ul className="sessions">
        {(list.data ?? []).map((i) => (
          <li key={i.id}>
            <span>{i.note || say.forAnyone}</span>
            <span className="quiet small">{say.leftUntil(i.uses_left, dayThere(i.expires_at))}</span>
            <Button size="small" loading={remove.isPending} onClick={() => remove.mutate(i.id)}>
              {say.takeItBack}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
