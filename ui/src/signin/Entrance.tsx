import type { ReactNode } from 'react';
import './signin.css';

/** What one sees before one is in: the shore, and a panel on it. */
export function Entrance({ children, wide }: { children: ReactNode; wide?: boolean }) {
  return (
    <main className={wide ? 'signin wide' : 'signin'}>
      <Shore />
      <div className="signin-form panel">{children}</div>
    </main>
  );
}

/** A shore in section, as everywhere else: ground, water, one pebble. */
function Shore() {
  return (
    <svg
      className="signin-shore"
      viewBox="0 0 1280 800"
      preserveAspectRatio="xMidYMax slice"
      aria-hidden="true"
    >
      <defs>
        <linearGradient id="signin-water" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" stopColor="var(--water-top)" />
          <stop offset="0.5" stopColor="var(--water-mid)" />
          <stop offset="1" stopColor="var(--water-deep)" />
        </linearGradient>
        <linearGradient id="signin-earth" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0.2" stopColor="var(--ground)" />
          <stop offset="1" stopColor="var(--ground-deep)" />
        </linearGradient>
      </defs>
      <rect y="440" width="1280" height="360" fill="url(#signin-water)" />
      <path d={`${shore}V800H0Z`} fill="url(#signin-earth)" />
      <path d={shore} fill="none" stroke="var(--ground-line)" strokeWidth="2" />
      <path d="M118 440H1280" stroke="var(--surface)" strokeWidth="2" />
      <path d="M414 452c0-9 9-15 21-15s19 5 19 12c0 10-9 15-20 15s-20-4-20-12z" fill="var(--rail)" />
    </svg>
  );
}

const shore = 'M0 338C70 352 120 470 220 540S360 462 440 464S560 560 700 650S1000 742 1280 752';
