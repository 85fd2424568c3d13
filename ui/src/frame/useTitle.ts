import { useEffect } from 'react';

/** The title of the window: of the page and its view first. */
export function useTitle(...parts: (string | undefined)[]) {
  const title = [...parts.filter(Boolean), 'Grey Pebble'].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
