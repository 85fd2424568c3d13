import { createContext, useContext } from 'react';
import { metricSettings, type Settings } from '../format/spoken';

export interface Session {
  name: string;
  settings: Settings;
  /** The invented coast is among one's waters. */
  invented: boolean;
  signOut: () => void;
}

export const SessionContext = createContext<Session>({
  name: '',
  settings: metricSettings,
  invented: false,
  signOut: () => {},
});
export const useSession = () => useContext(SessionContext);
