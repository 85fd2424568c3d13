import { App } from 'antd';
import { useCallback, useEffect, useRef } from 'react';
import { useBlocker, type BlockerFunction } from 'react-router';

/** Asks before a form with changes is left; what was kept may go. */
export function useLeaveGuard(changed: boolean) {
  const { modal } = App.useApp();
  const free = useRef(false);
  const blocker = useBlocker(
    useCallback<BlockerFunction>(
      ({ currentLocation: a, nextLocation: b }) => changed && !free.current && a.pathname !== b.pathname,
      [changed],
    ),
  );
  useEffect(() => {
    if (blocker.state !== 'blocked') return;
    const asked = modal.confirm({
      title: 'Leave what you changed?',
      content: 'It is not kept yet.',
      okText: 'Go without it',
      cancelText: 'Stay',
      onOk: () => blocker.proceed(),
      onCancel: () => blocker.reset(),
    });
    return () => asked.destroy();
  }, [blocker, modal]);
  useEffect(() => {
    if (!changed) return;
    const ask = (e: BeforeUnloadEvent) => {
      if (!free.current) e.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [changed]);
  /** Lets it go: it is kept, or thrown away on purpose. */
  return useCallback(() => {
    free.current = true;
  }, []);
}
