import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { account as say } from '../words/account';

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
      <h2>{say.recoveryCodes}</h2>
      <p className="quiet">
        {say.thereIsNoMailTo(n !== undefined && (n === 0 ? say.youHaveNoneYet : say.youHaveLeft(n)))}
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
            {say.writeThemDownOrPrint}{' '}
            <Button size="small" onClick={() => make.reset()}>
              {say.iHaveThem}
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
            <span>{say.yourPassword}</span>
            <Input.Password
              value={password}
              autoComplete="current-password"
              onChange={(e) => setPassword(e.target.value)}
            />
          </label>
          <Fault of={[make]} />
          <Button htmlType="submit" disabled={!password} loading={make.isPending}>
            {n ? say.makeNewOnes : say.makeCodes}
          </Button>
        </form>
      )}
    </section>
  );
}
