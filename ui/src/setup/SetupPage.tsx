import { Input } from 'antd';
import { Suspense, useState } from 'react';
import { NavLink, Navigate, Route, Routes, useLocation, useNavigate } from 'react-router';
import { useTitle } from '../frame/useTitle';
import { found, rooms, type Room } from './rooms';
import './setup.css';
import { setup as say } from '../words/setup';

/** What is set once, each page with its address; a list of them at the side, searched by what they hold. */
export default function SetupPage({ bare }: { bare?: boolean }) {
  const list = bare ? rooms.filter((r) => r.bare) : rooms;
  const [typed, setTyped] = useState('');
  const go = useNavigate();
  const shown = found(list, typed);
  const at = useLocation().pathname.replace(/^\/set-up\/?/, '');
  useTitle(rooms.find((r) => r.at === at)?.name, 'Set-up');
  return (
    <div className="setup-page">
      <nav className="setup-list" aria-label={say.setUp}>
        <Input
          allowClear
          value={typed}
          placeholder={say.findInSetUp}
          aria-label={say.findInSetUp}
          onChange={(e) => setTyped(e.target.value)}
          onPressEnter={() => {
            if (!shown[0]) return;
            void go(`/set-up/${shown[0].at}`);
            setTyped('');
          }}
        />
        {shown.length === 0 && <p className="quiet small">{say.nothingHereGoesByThat}</p>}
        <ul>
          {shown.map((r, i) => (
            <li key={r.at} className={r.group !== shown[i - 1]?.group ? 'first' : undefined}>
              {r.group !== shown[i - 1]?.group && <span className="group">{r.group}</span>}
              <NavLink to={`/set-up/${r.at}`} end>
                {r.name}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <div className="setup">
        <h1 className="unseen">{rooms.find((r) => r.at === at)?.name ?? say.setUp}</h1>
        <Suspense>
          <Routes>
            {list.map((r: Room) => (
              <Route key={r.at} path={r.at} element={<r.Page />} />
            ))}
            <Route path="*" element={<Navigate to={`/set-up/${list[0]!.at}`} replace />} />
          </Routes>
        </Suspense>
      </div>
    </div>
  );
}
