import { App } from 'antd';
import { useCallback, useEffect, useMemo, useRef, type ReactNode } from 'react';
import { useBlocker, type BlockerFunction } from 'react-router';
import { UnkeptContext } from './unkept';
import { frame as say } from '../words/frame';

/** Stands around all pages: one guard for every form, whether one leaves the page, the program or the form. */
export function LeaveGuard({ children }: { children: ReactNode }) {
  const { modal } = App.useApp();
  const forms = useRef(new Set<string>());
  const ask = useCallback(
    (go: () => void, stay?: () => void) =>
      modal.confirm({
        title: say.leaveWhatYouChanged,
        content: say.itIsNotKeptYet,
        okText: say.goWithoutIt,
        cancelText: say.stay,
        onOk: go,
        onCancel: stay,
      }),
    [modal],
  );
  const blocker = useBlocker(
    useCallback<BlockerFunction>(
      ({ currentLocation: a, nextLocation: b }) => forms.current.size > 0 && a.pathname !== b.pathname,
      [],
    ),
  );
  useEffect(() => {
    if (blocker.state !== 'blocked') return;
    const asked = ask(
      () => blocker.proceed(),
      () => blocker.reset(),
    );
    return () => asked.destroy();
  }, [blocker, ask]);
  useEffect(() => {
    const onLeave = (e: BeforeUnloadEvent) => {
      if (forms.current.size > 0) e.preventDefault();
    };
    window.addEventListener('beforeunload', onLeave);
    return () => window.removeEventListener('beforeunload', onLeave);
  }, []);
  const unkept = useMemo(
    () => ({
      hold: (form: string, changed: boolean) => {
        if (changed) forms.current.add(form);
        else forms.current.delete(form);
      },
      ask: (form: string | undefined, go: () => void) => {
        if (form ? forms.current.has(form) : forms.current.size > 0) ask(go);
        else go();
      },
    }),
    [ask],
  );
  return <UnkeptContext value={unkept}>{children}</UnkeptContext>;
}
