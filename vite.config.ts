import { constants } from 'node:zlib';
import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    // Made once at build, so that the server sends what is compressed best at no cost.
    compression({
      include: /\.(js|css|html|svg|json)$/,
      algorithms: [
        defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }),
        defineAlgorithm('gzip', { level: 9 }),
      ],
    }),
  ],
  build: { outDir: 'dist', chunkSizeWarningLimit: 900 },
  server: { proxy: { '/api': 'http://127.0.0.1:4400' } },
});
