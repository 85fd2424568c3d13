import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';

// A machine may be many times slower than the one a test was written on: what is waited for is waited for long.
configure({ asyncUtilTimeout: 30_000 });

// One page serves all tests (see vite.config.ts), so one that fails must leave nothing to the next: neither its
// page, its clock and what it stood in for, nor React told not to draw at once, as it is while a test waits.
beforeEach(() => {
  (globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no server in tests of components')));
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
