import { Button, Segmented } from 'antd';
import { useSession } from '../signin/session';
import { lights, useLight } from '../theme/light';
import { Analyse } from './Analyse';
import { Depths } from './Depths';
import { Limits } from './Limits';
import { Logs } from './Logs';
import { Places } from './Places';
import { Kit } from '../kit/Kit';
import { Rules } from './Rules';
import { Schools } from './Schools';
import { SpotTide } from './SpotTide';
import { Stations } from './Stations';
import { TargetsPanel } from './TargetsPanel';
import './setup.css';

/** What is set once: the light of the screen, the account, the tide stations, and what comes in and goes out as files. */
export default function SetupPage() {
  const { name, signOut } = useSession();
  const { light, setLight } = useLight();
  return (
    <div className="setup">
      <section className="panel setup-self">
        <div>
          <h2>Light of the screen</h2>
          <Segmented aria-label="Light" value={light} onChange={setLight} options={lights} />
        </div>
        <div>
          <h2>Signed in as {name}</h2>
          <Button onClick={signOut}>Sign out</Button>
        </div>
      </section>
      <Kit />
      <Limits />
      <Schools />
      <Stations />
      <SpotTide />
      <Analyse />
      <Rules />
      <TargetsPanel />
      <Logs />
      <Places />
      <Depths />
    </div>
  );
}
