import { createContext, useCallback, useContext, useEffect, useId, useMemo } from 'react';

/** The forms on screen with changes that are not kept, and how one asks before they go. */
export interface Unkept {
  hold: (form: string, changed: boolean) => void;
  /** Runs what would lose the changes of a form, or of any, once the angler agrees. */
  ask: (form: string | undefined, go: () => void) => void;
}

/** Where no guard stands around a form, it is left freely. */
export const UnkeptContext = createContext<Unkept>({ hold: () => undefined, ask: (_, go) => go() });

/** Asks before a form with changes is left; what was kept, or thrown away on purpose, may go. */
export function useLeaveGuard(changed: boolean) {
  const unkept = useContext(UnkeptContext);
  const form = useId();
  useEffect(() => {
    unkept.hold(form, changed);
    return () => unkept.hold(form, false);
  }, [unkept, form, changed]);
  return useMemo(
    () => ({
      /** Lets it go: it is kept, or thrown away on purpose. */
      letGo: () => unkept.hold(form, false),
      /** Closes the form, after asking where it has changes. */
      leave: (go: () => void) => unkept.ask(form, go),
    }),
    [unkept, form],
  );
}

/** Runs what would take a form off the page, after asking where one has changes. */
export function useAskFirst() {
  const unkept = useContext(UnkeptContext);
  return useCallback((go: () => void) => unkept.ask(undefined, go), [unkept]);
}
