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
import { account as say } from '../words/account';

/** One's account: where one is signed in, the password, what leaves and how it ends. */
export function You() {
  const { name, signOut } = useSession();
  // What is of unknown length stands first: the rest waits for it, so that nothing moves.
  const welcome = useQuery({ queryKey: keys.welcome, queryFn: api.welcome, staleTime: Infinity });
  const sessions = useQuery({ queryKey: keys.sessions, queryFn: api.sessions });
  const invites = useQuery({ queryKey: keys.invites, queryFn: api.invites });
  const known = ![welcome, sessions, invites].some((q) => q.isPending);
  return (
    <>
      <section className="panel setup-self">
        <div>
          <h2>{name}</h2>
          <p className="quiet">{say.nobodyElseHereSeesAnything}</p>
        </div>
        <Button onClick={signOut}>{say.signOut}</Button>
      </section>
      {!known && <p className="panel quiet">{say.oneMoment}</p>}
      {known && (
        <>
          <Sessions />
          <Password />
          <RecoveryCodes />
          <Invites />
          <TakeAll />
          <Leave />
        </>
      )}
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
      <h2>{say.signedIn}</h2>
      {error && <p role="alert">{error.message}</p>}
      <ul className="sessions">
        {list.map((s) => (
          <li key={s.id}>
            <span>
              <b>{s.here ? say.here : s.device}</b>
              {s.here && <span className="quiet"> ({s.device})</span>}
            </span>
            <span className="quiet small">
              {say.sinceLastUsed(dayThere(s.started_at), dayThere(s.seen_at))}
            </span>
            {!s.here && (
              <Button size="small" loading={end.isPending} onClick={() => end.mutate(s.id)}>
                {say.signOutThere}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {list.length > 1 && (
        <Button loading={others.isPending} onClick={() => others.mutate(undefined)}>
          {say.signOutEverywhereElse}
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
      void message.success(say.thePasswordIsChangedOther);
    },
  });
  return (
    <section className="panel">
      <h2>{say.password}</h2>
      <Form
        form={form}
        layout="vertical"
        className="keep"
        requiredMark={false}
        onFinish={(v) => change.mutate(v)}
      >
        <Form.Item label={say.now} name="old" rules={[{ required: true, message: say.theOneYouHave }]}>
          <Input.Password autoComplete="current-password" />
        </Form.Item>
        <Form.Item
          label={say.fromNowOn}
          name="password"
          rules={[{ required: true, min: 10, message: say.itHas10CharactersAt }]}
        >
          <Input.Password autoComplete="new-password" />
        </Form.Item>
        <Form.Item label=" ">
          <Button htmlType="submit" loading={change.isPending}>
            {say.changeIt}
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
      <h2>{say.takeEverythingAlong}</h2>
      <p className="quiet">{say.allYouEnteredAsOne}</p>
      <p className="take">
        <a href="/api/v1/account/export" download>
          {say.takeTheFile}
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
      <h2>{say.deleteTheAccount}</h2>
      <p className="quiet">{say.everythingInItGoesAt}</p>
      <Button danger onClick={() => setOpen(true)}>
        {say.deleteTheAccount2}
      </Button>
      <Modal open={open} onCancel={close} title={say.deleteTheAccount} footer={null} destroyOnHidden>
        {b && <p>{say.theseGo(b)}</p>}
        {!sure ? (
          <div className="map-acts">
            <Button danger disabled={!b} onClick={() => setSure(true)}>
              {say.yesAllOfIt}
            </Button>
            <Button onClick={close}>{say.leaveIt}</Button>
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
              {say.yourPasswordToBeSure}
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
                {say.deleteEverythingNow}
              </Button>
              <Button onClick={close}>{say.leaveIt}</Button>
            </div>
          </form>
        )}
      </Modal>
    </section>
  );
}
