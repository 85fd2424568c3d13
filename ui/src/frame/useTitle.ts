import { useEffect } from 'react';
import { frame as say } from '../words/frame';

/** The title of the window: of the page and its view first. */
export function useTitle(...parts: (string | undefined)[]) {
  const title = [...parts.filter(Boolean), say.greyPebble].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
