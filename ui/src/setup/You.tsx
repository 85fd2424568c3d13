import { Fault } from '../frame/Fault';
import { useMutation, useQuery } from '@tanstack/react-query';
import { App, Button, Form, Input, Modal } from 'antd';
import { useState } from 'react';
import { api } from '../api/client';
import { keys, useInvalidate } from '../api/keys';
import { dayThere } from '../format/time';
import { useSession } from '../signin/session';
import { Invites } from './Invites';
import { RecoveryCodes } from './RecoveryCodes';

/** One's account: where one is signed in, the password, what leaves and how it ends. */
export function You() {
  const { name, signOut } = useSession();
  return (
    <>
      <section className="panel setup-self">
        <div>
          <h2>{name}</h2>
          <p className="quiet">Nobody else here sees anything of yours.</p>
        </div>
        <Button onClick={signOut}>Sign out</Button>
      </section>
      <Sessions />
      <Password />
      <RecoveryCodes />
      <Invites />
      <TakeAll />
      <Leave />
    </>
  );
}

function Sessions() {
  const invalidate = useInvalidate();
  const q = useQuery({ queryKey: keys.sessions, queryFn: api.sessions });
  const end = useMutation({ mutationFn: api.endSession, onSuccess: () => invalidate('account') });
  const others = useMutation({ mutationFn: api.endOtherSessions, onSuccess: () => invalidate('account') });
  const list = q.data?.sessions ?? [];
  const error = q.error ?? end.error ?? others.error;
  return (
    <section className="panel">
      <h2>Signed in</h2>
      {error && <p role="alert">{error.message}</p>}
      <ul className="sessions">
        {list.map((s) => (
          <li key={s.id}>
            <span>
              <b>{s.here ? 'Here' : s.device}</b>
              {s.here && <span className="quiet"> ({s.device})</span>}
            </span>
            <span className="quiet small">
              since {dayThere(s.started_at)}, last used {dayThere(s.seen_at)}
            </span>
            {!s.here && (
              <Button size="small" loading={end.isPending} onClick={() => end.mutate(s.id)}>
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      {list.length > 1 && (
        <Button loading={others.isPending} onClick={() => others.mutate(undefined)}>
          Sign out everywhere else
        </Button>
      )}
    </section>
  );
}

function Password() {
  const invalidate = useInvalidate();
  const { message } = App.useApp();
  const [form] = Form.useForm<{ old: string; password: string }>();
  const change = useMutation({
    mutationFn: (v: { old: string; password: string }) => api.changePassword(v.old, v.password),
    onSuccess: () => {
      form.resetFields();
      void invalidate('account');
      void message.success('The password is changed; other devices are signed out.');
    },
  });
  return (
    <section className="panel">
      <h2>Password</h2>
      <Form
        form={form}
        layout="vertical"
        className="keep"
        requiredMark={false}
        onFinish={(v) => change.mutate(v)}
      >
        <Form.Item label="Now" name="old" rules={[{ required: true, message: 'The one you have.' }]}>
          <Input.Password autoComplete="current-password" />
        </Form.Item>
        <Form.Item
          label="From now on"
          name="password"
          rules={[{ required: true, min: 10, message: 'It has 10 characters at least.' }]}
        >
          <Input.Password autoComplete="new-password" />
        </Form.Item>
        <Form.Item label=" ">
          <Button htmlType="submit" loading={change.isPending}>
            Change it
          </Button>
        </Form.Item>
        <Fault of={[change]} />
      </Form>
    </section>
  );
}

function TakeAll() {
  return (
    <section className="panel">
      <h2>Take everything along</h2>
      <p className="quiet">
        All you entered, as one file: waters, stations, spots, depths, readings, log, kit, rules, limits and
        settings. Any Grey Pebble reads it back into an account that is empty.
      </p>
      <p className="take">
        <a href="/api/v1/account/export" download>
          Take the file
        </a>
      </p>
    </section>
  );
}

function Leave() {
  const [open, setOpen] = useState(false);
  const [sure, setSure] = useState(false);
  const [password, setPassword] = useState('');
  const { signOut } = useSession();
  const what = useQuery({ queryKey: keys.account, queryFn: api.account, enabled: open });
  const leave = useMutation({ mutationFn: () => api.deleteAccount(password), onSuccess: signOut });
  const b = what.data;
  const close = () => {
    setOpen(false);
    setSure(false);
    setPassword('');
    leave.reset();
  };
  return (
    <section className="panel">
      <h2>Delete the account</h2>
      <p className="quiet">
        Everything in it goes at once, and nobody can bring it back. Take it along first.
      </p>
      <Button danger onClick={() => setOpen(true)}>
        Delete the account…
      </Button>
      <Modal open={open} onCancel={close} title="Delete the account" footer={null} destroyOnHidden>
        {b && (
          <p>
            These go: {count(b.spots, 'spot')} in {count(b.waters, 'water')},{' '}
            {count(b.stations, 'tide station')}, {count(b.spells, 'spell')} with {count(b.catches, 'catch')},{' '}
            {count(b.readings, 'reading')}, {count(b.kit, 'thing')} of your kit, {count(b.rules, 'rule')} of
            your own.
          </p>
        )}
        {!sure ? (
          <div className="map-acts">
            <Button danger disabled={!b} onClick={() => setSure(true)}>
              Yes, all of it
            </Button>
            <Button onClick={close}>Leave it</Button>
          </div>
        ) : (
          <form
            className="form"
            onSubmit={(e) => {
              e.preventDefault();
              leave.mutate();
            }}
          >
            <label>
              Your password, to be sure it is you
              <Input.Password
                value={password}
                autoFocus
                autoComplete="current-password"
                onChange={(e) => setPassword(e.target.value)}
              />
            </label>
            <Fault of={[leave]} />
            <div className="map-acts">
              <Button danger type="primary" htmlType="submit" disabled={!password} loading={leave.isPending}>
                Delete everything now
              </Button>
              <Button onClick={close}>Leave it</Button>
            </div>
          </form>
        )}
      </Modal>
    </section>
  );
}

const plurals: Record<string, string> = { catch: 'catches' };
const count = (n: number, one: string) => `${n} ${n === 1 ? one : (plurals[one] ?? `${one}s`)}`;
