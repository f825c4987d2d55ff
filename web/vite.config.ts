import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

const SERVER = 'http://127.0.0.1:5310';

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
  // The server lets in its own pages alone; those served here while one writes them are.
  server: { proxy: { '/api': { target: SERVER, changeOrigin: true, headers: { origin: SERVER } } } },
  build: { chunkSizeWarningLimit: 900 },
});
