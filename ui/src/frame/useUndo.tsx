import { App, Button } from 'antd';
import { useCallback } from 'react';

/** So long can be undone what was removed, seconds. */
const within = 10;

/** Says that something was removed, with a button that brings it back. */
export function useUndo() {
  const { message } = App.useApp();
  return useCallback(
    (what: string, bringBack: () => Promise<unknown>) => {
      const key = `${what} ${Date.now()}`;
      void message.open({
        key,
        duration: within,
        content: (
          <span>
            {what} is taken out.{' '}
            <Button
              size="small"
              onClick={() => {
                message.destroy(key);
                bringBack().catch((e: Error) => void message.error(e.message));
              }}
            >
              Undo
            </Button>
          </span>
        ),
      });
    },
    [message],
  );
}
