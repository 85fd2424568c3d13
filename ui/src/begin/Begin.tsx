import { Fault } from '../frame/Fault';
import { useMutation } from '@tanstack/react-query';
import { Button } from 'antd';
import { lazy, Suspense } from 'react';
import { Link, Navigate, Route, Routes, useNavigate } from 'react-router';
import { api } from '../api/client';
import { useInvalidate } from '../api/keys';
import { useTitle } from '../frame/useTitle';
import { ChooseFile } from '../setup/ChooseFile';
import { useSession } from '../signin/session';
import './begin.css';

const FirstWater = lazy(() => import('./FirstWater'));
const SetupPage = lazy(() => import('../setup/SetupPage'));

/** What somebody without a water sees: the ways to a first one, and their account. */
export function Begin() {
  const { name, signOut } = useSession();
  return (
    <div className="begin">
      <header className="begin-head">
        <Link to="/" className="begin-name">
          Grey Pebble
        </Link>
        <nav aria-label="Account">
          <Link to="/set-up/you">{name}</Link>
          <button className="plain" onClick={signOut}>
            Sign out
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
      <h1>Where do you fish?</h1>
      <section className="panel">
        <h2>Your first water</h2>
        <p className="quiet">
          Put a pin, say how the tide is known, pick the kind of place, and give it two or three depths. About
          five minutes, and the program knows how deep it is there at any minute.
        </p>
        <Button type="primary" size="large" onClick={() => void go('/begin')}>
          Make it
        </Button>
      </section>
      <section className="panel">
        <h2>Look at an invented coast first</h2>
        <p className="quiet">
          A sound, a beach, a pier and a marsh that are nowhere, with a log that nobody kept. Copied into your
          account, and taken out again in one go.
        </p>
        <Fault of={[coast]} />
        <Button loading={coast.isPending} onClick={() => coast.mutate()}>
          Show it
        </Button>
      </section>
      <section className="panel">
        <h2>Bring back what you took along</h2>
        <p className="quiet">The file an account gave, from here or from another server.</p>
        <ChooseFile
          says={back.isPending ? 'Reading it…' : 'Choose the file'}
          accept=".json,.gz,application/json"
          fault={back.error?.message}
          onFile={(f) => back.mutate(f)}
        />
      </section>
    </div>
  );
}
