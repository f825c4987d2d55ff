import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

/** Packs what is text once, beside itself, so that the server need not with every request. */
const packed: Plugin = {
  name: 'packed',
  writeBundle({ dir = '' }, bundle) {
    for (const name of Object.keys(bundle).filter((n) => /\.(js|css|html|svg)$/.test(n))) {
      const file = join(dir, name);
      writeFileSync(`${file}.br`, brotliCompressSync(readFileSync(file)));
    }
  },
};

export default defineConfig({
  plugins: [react(), packed],
  server: { proxy: { '/api': 'http://127.0.0.1:5310' } },
  build: { chunkSizeWarningLimit: 900 },
});
