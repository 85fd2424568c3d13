import { useState } from 'react';

const key = 'greypebble.against';

/** What the log says against a school is said once: what was seen on this device, and how to say that it was. */
export function useSeen() {
  const [seen, set] = useState<string[]>(() => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? '[]') as string[];
    } catch {
      return [];
    }
  });
  const see = (rule: string) => {
    const now = [...seen, rule];
    localStorage.setItem(key, JSON.stringify(now));
    set(now);
  };
  return [seen, see] as const;
}
