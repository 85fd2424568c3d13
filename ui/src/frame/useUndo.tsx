import { App, Button } from 'antd';
import { useCallback } from 'react';
import { frame as say } from '../words/frame';

/** So long can be undone what was removed, seconds. */
const within = 10;

/** Says what is taken out, with a button to call it back, and runs what the angler then wants. */
function useOffer() {
  const { message } = App.useApp();
  return useCallback(
    (what: string, undo: () => void, says = say.isTakenOut(what)) => {
      const key = `${what} ${Date.now()}`;
      void message.open({
        key,
        duration: within,
        content: (
          <span>
            {says}{' '}
            <Button
              size="small"
              onClick={() => {
                message.destroy(key);
                undo();
              }}
            >
              {say.undo}
            </Button>
          </span>
        ),
      });
    },
    [message],
  );
}

/** Says that something was removed, or else was done, with a button that brings it back. */
export function useUndo() {
  const { message } = App.useApp();
  const offer = useOffer();
  return useCallback(
    (what: string, bringBack: () => Promise<unknown>, says?: string) =>
      offer(
        what,
        () => {
          bringBack().catch((e: Error) => void message.error(e.message));
        },
        says,
      ),
    [offer, message],
  );
}

/** For what cannot be brought back once it is gone: it goes when nobody called it back in time. */
export function usePostponed() {
  const offer = useOffer();
  return useCallback(
    (what: string, act: () => void, back: () => void) => {
      const waiting = setTimeout(act, within * 1000);
      offer(what, () => {
        clearTimeout(waiting);
        back();
      });
    },
    [offer],
  );
}
