import { createContext, useContext } from 'react';

export const SessionContext = createContext({ name: '', signOut: () => {} });
export const useSession = () => useContext(SessionContext);
