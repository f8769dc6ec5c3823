import { defineConfig } from 'vitest/config';
import react from '@vitejs/plugin-react';

export default defineConfig({
  plugins: [react()],
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts'],
    testTimeout: 30_000,
    env: { TZ: 'UTC' },
    // No test replaces a module: what one file has loaded serves the next.
    isolate: false,
    // One core of two is left idle otherwise.
    maxWorkers: '100%',
  },
});
