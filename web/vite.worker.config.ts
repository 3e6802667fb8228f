import { defineConfig } from 'vite';

/** The worker that keeps the page: one file, at the root of the address it answers for. `pack.mjs` writes into it what it keeps. */
export default defineConfig({
  publicDir: false,
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    target: 'es2022',
    emptyOutDir: false,
    lib: { entry: 'src/worker/worker.ts', formats: ['iife'], name: 'worker', fileName: () => 'worker.js' },
  },
});
