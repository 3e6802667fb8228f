import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeEach } from 'vitest';
import { setRole } from './api/role';

// A busy machine takes its time: what a test waits for is no measure of speed.
configure({ asyncUtilTimeout: 8000 });

// What a browser has and the test's window lacks: a table's width, by day; sizes that never change; nothing to scroll.
Object.assign(window, {
  matchMedia: (query: string) => ({
    matches: query.includes('min-width'),
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }),
  ResizeObserver: class {
    observe = () => undefined;
    unobserve = () => undefined;
    disconnect = () => undefined;
  },
});
Element.prototype.scrollIntoView = () => undefined;
Element.prototype.scrollTo = () => undefined;

// Who tests cooks, unless told otherwise.
beforeEach(() => setRole('cook'));

afterEach(() => {
  cleanup();
  sessionStorage.clear();
  localStorage.clear();
});
