import { useLayoutEffect, useRef } from 'react';
import { useLocation, useNavigationType } from 'react-router';

/** A page begins at its top, and one gone back to where it was left: for what scrolls pages that share it. */
export function usePageTop<E extends HTMLElement>() {
  const box = useRef<E>(null);
  const { key, pathname } = useLocation();
  const went = useNavigationType();
  const left = useRef(new Map<string, number>());
  const before = useRef(pathname);
  useLayoutEffect(() => {
    if (before.current === pathname) return;
    before.current = pathname;
    if (box.current) box.current.scrollTop = went === 'POP' ? (left.current.get(key) ?? 0) : 0;
  }, [key, pathname, went]);
  return { ref: box, onScroll: () => void left.current.set(key, box.current?.scrollTop ?? 0) };
}
