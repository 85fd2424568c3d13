import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import { Suspense } from 'react';
import { Link, Navigate, Route, Routes, useNavigate } from 'react-router';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { ChooseFile } from '../file/ChooseFile';
import { page } from '../frame/page';
import { useSession } from '../signin/session';
import './begin.css';
import { begin as say } from '../words/begin';

const FirstWater = page(() => import('./FirstWater'));
const SetupPage = page(() => import('../setup/SetupPage'));

/** What somebody without a water sees: the ways to a first one, and their account. */
export function Begin() {
  const { name, signOut } = useSession();
  return (
    <div className="begin">
      <header className="begin-head">
        <Link to="/" className="begin-name">
          {say.greyPebble}
        </Link>
        <nav aria-label={say.account}>
          <Link to="/set-up/you">{name}</Link>
          <button className="plain" onClick={signOut}>
            {say.signOut}
          </button>
        </nav>
      </header>
      <main className="begin-main">
        <Suspense>
          <Routes>
            <Route path="/" element={<Ways />} />
            <Route path="/begin" element={<FirstWater />} />
            <Route path="/set-up/*" element={<SetupPage bare />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
      </main>
    </div>
  );
}

function Ways() {
  const invalidate = useInvalidate();
  const go = useNavigate();
  useTitle('Begin');
  const done = async () => {
    await invalidate('spots');
    await invalidate('session');
  };
  const coast = useMutation({ mutationFn: api.addCoast, onSuccess: done });
  const back = useMutation({ mutationFn: api.bringBack, onSuccess: done });
  return (
    <div className="ways">
      <h1>{say.whereDoYouFish}</h1>
      <section className="panel">
        <h2>{say.yourFirstWater}</h2>
        <p className="quiet">{say.putAPinSayHow}</p>
        <Button type="primary" size="large" onClick={() => void go('/begin')}>
          {say.makeIt}
        </Button>
      </section>
      <section className="panel">
        <h2>{say.lookAtAnInventedCoast}</h2>
        <p className="quiet">{say.aSoundABeachA}</p>
        <Fault of={[coast]} />
        <Button loading={coast.isPending} onClick={() => coast.mutate()}>
          {say.showIt}
        </Button>
      </section>
      <section className="panel">
        <h2>{say.bringBackWhatYouTook}</h2>
        <p className="quiet">{say.theFileAnAccountGave}</p>
        <ChooseFile
          says={back.isPending ? say.readingIt : say.chooseTheFile}
          accept=".json,.gz,application/json"
          fault={back.error?.message}
          onFile={(f) => back.mutate(f)}
        />
      </section>
    </div>
  );
}
