import { useQuery } from '@tanstack/react-query';
import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { api, Problem } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { Entrance } from './Entrance';

interface Fields {
  name: string;
  password: string;
  invite?: string;
  code?: string;
}

type Way = 'in' | 'new' | 'lost';

const words: Record<Way, { title: string; act: string }> = {
  in: { title: 'Sign in', act: 'Sign in' },
  new: { title: 'Make an account', act: 'Make the account' },
  lost: { title: 'Password lost', act: 'Set the new password' },
};

/** Signing in, making an account, and coming back in by a recovery code. */
export function SignIn({ onDone }: { onDone: () => void }) {
  const welcome = useQuery({ queryKey: keys.welcome, queryFn: api.welcome, staleTime: Infinity });
  const [way, setWay] = useState<Way>('in');
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  useTitle(words[way].title);
  const least = welcome.data?.least_password ?? 10;
  const registration = welcome.data?.registration;
  const submit = async (v: Fields) => {
    setBusy(true);
    setError('');
    const who = { name: v.name.trim(), password: v.password };
    try {
      if (way === 'new') await api.register({ ...who, ...(v.invite ? { invite: v.invite } : {}) });
      else if (way === 'lost') await api.recover({ ...who, code: v.code ?? '' });
      else await api.login(who.name, who.password);
      onDone();
    } catch (e) {
      setError(e instanceof Problem ? e.message : String(e));
      setBusy(false);
    }
  };
  const turn = (to: Way) => () => {
    setWay(to);
    setError('');
  };
  const fresh = way !== 'in';
  return (
    <Entrance>
      <h1>Grey Pebble</h1>
      <p className="quiet">
        When and where the water will be right, what to tie on, and what your log says about it.
      </p>
      {welcome.data?.demo && way === 'in' && <p className="signin-demo small">{welcome.data.demo}</p>}
      {way !== 'in' && <h2>{words[way].title}</h2>}
      <Form<Fields> layout="vertical" onFinish={(v) => void submit(v)} requiredMark={false}>
        <Form.Item label="Name" name="name" rules={[{ required: true, message: 'Your name is needed.' }]}>
          <Input autoComplete="username" autoFocus maxLength={60} />
        </Form.Item>
        {way === 'lost' && (
          <Form.Item
            label="Recovery code"
            name="code"
            rules={[{ required: true, message: 'One of the codes you kept.' }]}
          >
            <Input autoComplete="off" placeholder="abcd-2345-efgh-6789" />
          </Form.Item>
        )}
        <Form.Item
          label={way === 'lost' ? 'New password' : 'Password'}
          name="password"
          extra={fresh ? `${least} characters or more: a few words in a row do well.` : undefined}
          rules={[
            { required: true, message: 'The password is needed.' },
            ...(fresh ? [{ min: least, message: `It has ${least} characters at least.` }] : []),
          ]}
        >
          <Input.Password autoComplete={fresh ? 'new-password' : 'current-password'} />
        </Form.Item>
        {way === 'new' && registration === 'invite' && (
          <Form.Item
            label="Invite"
            name="invite"
            rules={[{ required: true, message: 'An invite is needed here. Ask whoever told you of it.' }]}
          >
            <Input autoComplete="off" placeholder="abcd-2345-efgh-6789" />
          </Form.Item>
        )}
        {error && (
          <p role="alert" className="signin-error">
            {error}
          </p>
        )}
        <Button type="primary" htmlType="submit" loading={busy} block size="large">
          {words[way].act}
        </Button>
      </Form>
      <p className="signin-else">
        {way !== 'in' && (
          <button className="plain" onClick={turn('in')}>
            Sign in instead
          </button>
        )}
        {way === 'in' && registration && registration !== 'closed' && (
          <button className="plain" onClick={turn('new')}>
            Make an account
          </button>
        )}
        {way === 'in' && (
          <button className="plain" onClick={turn('lost')}>
            Password lost?
          </button>
        )}
      </p>
      {way === 'in' && registration === 'closed' && (
        <p className="quiet small">Accounts here are made by whoever runs the server.</p>
      )}
    </Entrance>
  );
}
