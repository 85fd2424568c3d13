import { refreshPack } from './pack';
import { renewKept } from './stand';

/** So long after it was made a pack is asked for anew, ms: forecasts come by the hour. */
const stale = 20 * 60_000;

/**
 * Keeps fresh what the device keeps while the page is open, where the page can be opened with no signal at all. The
 * first time waits until the page has settled.
 */
export function keepFresh(first = 4_000): () => void {
  if (!navigator.serviceWorker) return () => undefined;
  let at = 0;
  const now = () => {
    if (document.visibilityState !== 'visible' || Date.now() - at < stale) return;
    at = Date.now();
    void refreshPack()
      .then(renewKept)
      .catch(() => {
        at = 0;
      });
  };
  const begin = setTimeout(now, first);
  const each = setInterval(now, stale / 10);
  window.addEventListener('online', now);
  document.addEventListener('visibilitychange', now);
  return () => {
    clearTimeout(begin);
    clearInterval(each);
    window.removeEventListener('online', now);
    document.removeEventListener('visibilitychange', now);
  };
}
