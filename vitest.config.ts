import { defineConfig } from 'vitest/config';
import react from '@vitejs/plugin-react';

export default defineConfig({
  plugins: [react()],
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'bench/**/*.test.ts'],
    // For what hangs: on a busy machine a child process alone takes half a minute.
    testTimeout: 90_000,
    hookTimeout: 90_000,
    env: { TZ: 'UTC' },
    // No test replaces a module: what one file has loaded serves the next.
    isolate: false,
    // One core of two is left idle otherwise.
    maxWorkers: '100%',
  },
});
