// Headless Chromium for measurements, spoken to by its own protocol.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const PORT = 9377;
const QUIET = 'no-first-run,disable-quic,disable-background-networking,disable-component-update,disable-sync';

export const rest = (ms) => new Promise((done) => setTimeout(done, ms));

async function tab() {
  for (let tries = 0; tries < 60; tries++) {
    const tabs = await fetch(`http://127.0.0.1:${PORT}/json`)
      .then((r) => r.json())
      .catch(() => []);
    const found = tabs.find((t) => t.type === 'page');
    if (found) return found.webSocketDebuggerUrl;
    await rest(250);
  }
  throw new Error('Chromium did not start.');
}

/** Starts a browser with a profile of its own; `send` speaks to its page, `end` closes it. */
export async function browser() {
  const profile = mkdtempSync(join(tmpdir(), 'cabida-bench-'));
  const chromium = spawn(
    'chromium',
    [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      ...QUIET.split(',').map((q) => `--${q}`),
      `--user-data-dir=${profile}`,
      `--remote-debugging-port=${PORT}`,
      'about:blank',
    ],
    { stdio: 'ignore' },
  );
  const socket = new WebSocket(await tab());
  await new Promise((open) => (socket.onopen = open));
  const waiting = new Map();
  socket.onmessage = (m) => {
    const { id, result } = JSON.parse(m.data);
    waiting.get(id)?.(result);
  };
  let sent = 0;
  return {
    send: (method, params = {}) =>
      new Promise((done) => {
        waiting.set(++sent, done);
        socket.send(JSON.stringify({ id: sent, method, params }));
      }),
    end: async () => {
      socket.close();
      chromium.kill();
      await rest(500);
      rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** Prints the middle and the ends of some times. */
export function told(name, all) {
  const sorted = [...(all ?? [])].sort((a, b) => a - b);
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]?.toFixed(0) ?? '–';
  console.log(`${name}: median ${at(0.5)} ms, least ${at(0)}, most ${at(1)}, of ${sorted.length}`);
}
