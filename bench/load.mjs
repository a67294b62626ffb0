// Many people at one Marvek on this machine, and what they wait: scripts/load [ADDRESS [PEOPLE [SECONDS]]]
// Each opens a book and then looks at a page every 5 s; every fifth changes a brake point every 3 s.
// Ends with 1 when somebody got an error or the 95th percentile is more than 2 s.

const [address = 'http://127.0.0.1:8080', people = '50', seconds = '60'] = process.argv.slice(2);
const PAGE_EVERY_MS = 5000;
const CHANGE_EVERY_MS = 3000;
const WANTED_P95_MS = 2000;

if (!['127.0.0.1', 'localhost', '[::1]'].includes(new URL(address).hostname)) {
  console.error(`${address} is not on this machine: load is put on nobody else's.`);
  process.exit(2);
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const waited = new Map();
const failures = [];

/** One request, its time and its end noted under what it is for. */
async function ask(what, path, body) {
  const began = performance.now();
  try {
    const answer = await fetch(address + path, {
      method: body ? 'POST' : 'GET',
      headers: { 'Content-Type': 'application/json', 'Accept-Encoding': 'gzip' },
      body: body && JSON.stringify(body),
    });
    const read = await answer.json();
    if (!answer.ok) failures.push(`${what}: ${answer.status} ${read.title ?? ''}`);
    return read;
  } catch (e) {
    failures.push(`${what}: ${e.cause?.code ?? e.message}`);
  } finally {
    if (!waited.has(what)) waited.set(what, []);
    waited.get(what).push(performance.now() - began);
  }
}

/** What every window of a book asks for when a page is opened with nothing at hand. */
async function look(book) {
  await ask('book', `/api/books/${book.id}`);
  await ask('page', `/api/books/${book.id}/revisions/${book.newest}/view`);
}

async function change(book, k) {
  const { revision } = book;
  const braked = revision.pages.filter((page) => page.brake);
  const page = braked[k % braked.length];
  await ask('change', `/api/books/${book.id}/change`, {
    parent: book.newest,
    conditions: revision.conditions,
    line: revision.line,
    ownValues: [{ corner: page.corner, 'brake.at_m': page.brake.at_m - 1 - (k % 9) }],
  });
}

async function every(ms, until, work) {
  await pause(Math.random() * ms);
  for (let k = 0; performance.now() < until; k++) {
    const began = performance.now();
    await work(k);
    await pause(Math.max(0, ms - (performance.now() - began)));
  }
}

const list = await (await fetch(`${address}/api/books`)).json();
const books = await Promise.all(
  list.map(async (book) => {
    const newest = book.revisions.at(-1).number;
    const path = `${address}/api/books/${book.id}/revisions/${newest}`;
    return { id: book.id, newest, revision: await (await fetch(path)).json() };
  }),
);
// Warm, as after the first minutes of a day.
for (const book of books) {
  await look(book);
  await change(book, 0);
}
waited.clear();

const until = performance.now() + 1000 * Number(seconds);
await Promise.all(
  Array.from({ length: Number(people) }, (_, person) => {
    const book = books[person % books.length];
    return person % 5 === 4
      ? every(CHANGE_EVERY_MS, until, (k) => change(book, person + 5 * k))
      : every(PAGE_EVERY_MS, until, () => look(book));
  }),
);

const at = (times, share) => times[Math.min(times.length - 1, Math.floor(share * times.length))];
let late = false;
console.log('what      count  median ms  95 % ms  longest ms');
for (const [what, times] of waited) {
  times.sort((a, b) => a - b);
  const [median, p95, longest] = [0.5, 0.95, 1].map((share) => at(times, share).toFixed(0));
  late ||= Number(p95) > WANTED_P95_MS;
  console.log(
    `${what.padEnd(8)} ${String(times.length).padStart(6)} ${median.padStart(10)} ${p95.padStart(8)} ${longest.padStart(11)}`,
  );
}
for (const kind of new Set(failures)) {
  console.log(`${failures.filter((f) => f === kind).length} × ${kind}`);
}
if (failures.length === 0) console.log('no error');
process.exit(failures.length || late ? 1 : 0);
