import { useQuery } from '@tanstack/react-query';
import { Button, Form, Input } from 'antd';
import { useState } from 'react';
import { api, Problem } from '../api/client';
import { keys } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { Entrance } from './Entrance';
import { signin as say } from '../words/signin';

interface Fields {
  name: string;
  password: string;
  invite?: string;
  code?: string;
}

type Way = 'in' | 'new' | 'lost';

const words: Record<Way, { title: string; act: string }> = {
  in: { title: say.signIn, act: say.signIn },
  new: { title: say.makeAnAccount, act: say.makeTheAccount },
  lost: { title: say.passwordLost, act: say.setTheNewPassword },
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
      <h1>{say.greyPebble}</h1>
      <p className="quiet">{say.whenAndWhereTheWater}</p>
      {welcome.data?.demo && way === 'in' && <p className="signin-demo small">{welcome.data.demo}</p>}
      {way !== 'in' && <h2>{words[way].title}</h2>}
      <Form<Fields> layout="vertical" onFinish={(v) => void submit(v)} requiredMark={false}>
        <Form.Item label={say.name} name="name" rules={[{ required: true, message: say.yourNameIsNeeded }]}>
          <Input autoComplete="username" autoFocus maxLength={60} />
        </Form.Item>
        {way === 'lost' && (
          <Form.Item
            label={say.recoveryCode}
            name="code"
            rules={[{ required: true, message: say.oneOfTheCodesYou }]}
          >
            <Input autoComplete="off" placeholder={say.abcd2345Efgh6789} />
          </Form.Item>
        )}
        <Form.Item
          label={way === 'lost' ? say.newPassword : say.password}
          name="password"
          extra={fresh ? say.charactersOrMoreAFew(least) : undefined}
          rules={[
            { required: true, message: say.thePasswordIsNeeded },
            ...(fresh ? [{ min: least, message: say.itHasCharactersAtLeast(least) }] : []),
          ]}
        >
          <Input.Password autoComplete={fresh ? 'new-password' : 'current-password'} />
        </Form.Item>
        {way === 'new' && registration === 'invite' && (
          <Form.Item
            label={say.invite}
            name="invite"
            rules={[{ required: true, message: say.anInviteIsNeededHere }]}
          >
            <Input autoComplete="off" placeholder={say.abcd2345Efgh6789} />
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
            {say.signInInstead}
          </button>
        )}
        {way === 'in' && registration && registration !== 'closed' && (
          <button className="plain" onClick={turn('new')}>
            {say.makeAnAccount}
          </button>
        )}
        {way === 'in' && (
          <button className="plain" onClick={turn('lost')}>
            {say.passwordLost2}
          </button>
        )}
      </p>
      {way === 'in' && registration === 'closed' && (
        <p className="quiet small">{say.accountsHereAreMadeBy}</p>
      )}
    </Entrance>
  );
}
