import { useEffect, useState } from 'react';

/** A value once it has not changed for a while; the first one at once. */
export function useSettled<T>(value: T | undefined, ms: number): T | undefined {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), settled === undefined ? 0 : ms);
    return () => clearTimeout(timer);
  }, [value, ms, settled]);
  return settled;
}
