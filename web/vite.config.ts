/// <reference types="vitest/config" />
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 700 },
  server: { proxy: { '/api': 'http://127.0.0.1:4870' } },
  test: {
    environment: 'jsdom',
    testTimeout: 20_000,
    setupFiles: ['src/test-setup.ts'],
    css: false,
  },
});
