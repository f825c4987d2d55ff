// Orders and the page of jobs, against a running application (node bench/orders.mjs http://127.0.0.1:5080), best one with the demo day and
// nothing else in it: 300 orders of 20 names each are brought in, taken, and the week is asked for until nothing is left to work out.
const at = process.argv[2] ?? 'http://127.0.0.1:5080';
const [orders, names] = [Number(process.argv[3] ?? 300), Number(process.argv[4] ?? 20)];

const post = async (path, body, type = 'application/json') => {
  const answer = await fetch(at + path, { method: 'POST', body, headers: { 'Content-Type': type } });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return answer.json();
};
const get = async (path) => (await fetch(at + path)).json();
const timed = async (work) => {
  const from = performance.now();
  const result = await work();
  return [performance.now() - from, result];
};
const median = (all) => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)];

const batch = Date.now().toString(36);
const rows = ['order,customer,due,article,name,quantity'];
for (let o = 0; o < orders; o++)
  for (let n = 0; n < names; n++) {
    const day = String(1 + (o % 28)).padStart(2, '0');
    rows.push(`${batch}-${o},Nell Harrow,2030-05-${day},LY-MUG,Name ${n},1`);
  }

const [brought] = await timed(() => post('/api/orders/file?name=orders.csv', rows.join('\n'), 'application/octet-stream'));
console.log(`brought in: ${(brought / 1000).toFixed(1)} s, ${(brought / orders).toFixed(1)} ms an order`);

const card = (await get('/api/orders')).cards.filter((c) => c.number.startsWith(batch));
const [took] = await timed(async () => {
  for (let left = card.map((c) => c.id); left.length > 0; ) left = (await post('/api/orders/take', JSON.stringify({ ids: left }))).left;
});
console.log(`taken: ${(took / 1000).toFixed(1)} s, ${(took / orders).toFixed(1)} ms an order`);

const [worked] = await timed(async () => {
  while ((await get('/api/week')).jobs.some((j) => j.runs.some((r) => r.isPending)));
});
console.log(`worked out for the first time: ${(worked / 1000).toFixed(1)} s`);
const loads = [];
for (let i = 0; i < 15; i++) loads.push((await timed(() => get('/api/week')))[0]);
const little = [];
for (let i = 0; i < 15; i++) little.push((await timed(() => get('/api/workshops')))[0]);
const week = await get('/api/week');
const times = (median(loads) / median(little)).toFixed(0);
console.log(`the week again, ${week.jobs.length} jobs: ${median(loads).toFixed(0)} ms, ${times} times the smallest request`);
