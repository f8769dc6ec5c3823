import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'sqlite',
  schema: './src/server/accounts/schema.ts',
  out: './src/server/accounts/migrations',
});
