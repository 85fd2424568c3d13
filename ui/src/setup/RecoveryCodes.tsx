import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';

/** Codes to come back in by when the password is lost; shown once. */
export function RecoveryCodes() {
  const invalidate = useInvalidate();
  const left = useQuery({ queryKey: keys.sessions, queryFn: api.sessions });
  const [password, setPassword] = useState('');
  const make = useMutation({
    mutationFn: () => api.makeRecoveryCodes(password),
    onSuccess: () => {
      setPassword('');
      void invalidate('account');
    },
  });
  const n = left.data?.recovery_codes;
  return (
    <section className="panel">
      <h2>Recovery codes</h2>
      <p className="quiet">
        There is no mail to send a lost password to. With one of these codes you set a new one; each works
        once. {n !== undefined && (n === 0 ? 'You have none yet.' : `You have ${n} left.`)}
      </p>
      {make.data ? (
        <>
          <ul className="codes">
            {make.data.codes.map((c) => (
              <li key={c}>
                <code>{c}</code>
              </li>
            ))}
          </ul>
          <p>
            Write them down or print them now: they are not shown again.{' '}
            <Button size="small" onClick={() => make.reset()}>
              I have them
            </Button>
          </p>
        </>
      ) : (
        <form
          className="keep"
          onSubmit={(e) => {
            e.preventDefault();
            make.mutate();
          }}
        >
          <label>
            <span>Your password</span>
            <Input.Password
              value={password}
              autoComplete="current-password"
              onChange={(e) => setPassword(e.target.value)}
            />
          </label>
          <Fault of={[make]} />
          <Button htmlType="submit" disabled={!password} loading={make.isPending}>
            {n ? 'Make new ones' : 'Make codes'}
          </Button>
        </form>
      )}
    </section>
  );
}
