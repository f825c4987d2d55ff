// How long it takes from a stroke in a field of lengths to the new drawing, by the preview and by the save that follows (which was the only
// way before). Run by hand against a running demo:
//   ./demo.sh &   then   node --experimental-websocket bench/typing.mjs http://127.0.0.1:5310/motifs/crew-shirt
import { browser, rest, told } from './chromium.mjs';

const page = process.argv[2];
if (!page) throw new Error('Say which page: node --experimental-websocket bench/typing.mjs http://127.0.0.1:5310/motifs/crew-shirt');

/** Types 24 sizes into the first field of a bare number, with a rest between, in the page. */
async function typing() {
  const rest = (ms) => new Promise((done) => setTimeout(done, ms));
  const field = [...document.querySelectorAll('input')].find((i) => i.type === 'text' && /^[0-9.]+$/.test(i.value));
  if (!field) return { problem: 'There is no field with a number on this page.' };
  const put = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
  const drawn = () => [...document.querySelectorAll('svg path')].map((p) => p.getAttribute('d')).join('');
  const [seen, saved, first] = [[], [], Number(field.value)];
  for (let i = 0; i < 24; i++) {
    const [before, from] = [drawn(), performance.now()];
    put.call(field, (first + (i % 2 ? 0 : 0.5) + i * 0.01).toFixed(2));
    field.dispatchEvent(new Event('input', { bubbles: true }));
    while (performance.now() - from < 3000) {
      await new Promise(requestAnimationFrame);
      if (drawn() === before) continue;
      seen.push(performance.now() - from);
      break;
    }
    await rest(1200);
    const kept = performance.getEntriesByType('resource').filter((e) => e.startTime > from && /\/api\/[a-z]+\/[^/]+$/.test(e.name));
    if (kept.length > 0) saved.push(kept[0].responseEnd - from);
  }
  const asked = performance.getEntriesByType('resource').filter((e) => e.name.endsWith('/preview'));
  return { seen, saved, server: asked.map((e) => e.responseEnd - e.requestStart) };
}

const { send, end } = await browser();
try {
  await send('Page.navigate', { url: page });
  await rest(5000);
  const { result } = await send('Runtime.evaluate', { expression: `(${typing})()`, awaitPromise: true, returnByValue: true });
  if (result.value.problem) throw new Error(result.value.problem);
  told('stroke to picture, by the preview', result.value.seen);
  told('of that the request', result.value.server);
  told('stroke to the answer of the save', result.value.saved);
} finally {
  await end();
}
