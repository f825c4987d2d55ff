// How long a fit takes to show its first piece after a start: from asking for the page to the ink on the board, in a browser that keeps
// nothing of a page before. Run by hand on a folder with a library (DATA=folder ./demo.sh makes one):
//   node --experimental-websocket bench/first-picture.mjs SERVER.dll DATA-FOLDER /runs/crew-mugs/fit [starts] [seconds of rest]
import { spawn } from 'node:child_process';
import { browser, rest, told } from './chromium.mjs';

const [dll, data, path, starts = '5', pause = '3'] = process.argv.slice(2);
if (!path) throw new Error('Say which server, which library and which page.');
const AT = 'http://127.0.0.1:5396';

/** Waits in the page for ink on its board. */
async function picture() {
  while (!document.querySelector('svg .ink')) await new Promise((done) => setTimeout(done, 5));
  return performance.now();
}

const times = [];
for (let i = 0; i < Number(starts); i++) {
  const server = spawn('dotnet', [dll, '--Urls', AT, '--Data', data, '--FrontEnd', 'web/dist'], { stdio: 'ignore' });
  const { send, end } = await browser();
  try {
    while (!(await fetch(`${AT}/index.html`).catch(() => undefined))) await rest(20);
    await rest(Number(pause) * 1000);
    await send('Page.navigate', { url: AT + path });
    await rest(50);
    const { result } = await send('Runtime.evaluate', { expression: `(${picture})()`, awaitPromise: true, returnByValue: true });
    times.push(result.value);
  } finally {
    await end();
    server.kill();
    await new Promise((gone) => server.once('exit', gone));
  }
}
told('first picture', times);
