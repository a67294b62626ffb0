/**
 * What tells this window from the others of the same browser. It outlives a reload; a window that
 * was copied, with all that it stored, gets another. Whether a window is still open is told by a
 * lock that it holds for its life.
 */
const STORED = 'marvek.window';
const lockOf = (id: string) => `marvek.window.${id}`;

let mine: string = crypto.randomUUID?.() ?? String(Math.random());

/** Undefined where the browser has none, or does not trust the address. */
const locks = () => globalThis.navigator?.locks as LockManager | undefined;

export const windowId = () => mine;

/** To be waited for before anything is stored. */
export async function takeWindowId(): Promise<void> {
  const before = sessionStorage.getItem(STORED);
  if (before && (await held(before))) mine = before;
  else await held(mine);
  sessionStorage.setItem(STORED, mine);
}

/** Takes the lock of an id; false where another window has it. */
function held(id: string): Promise<boolean> {
  if (!locks()) return Promise.resolve(true);
  return new Promise((answer) => {
    void navigator.locks.request(lockOf(id), { ifAvailable: true }, (lock) => {
      answer(lock !== null);
      return lock === null ? undefined : new Promise(() => {});
    });
  });
}

/** Ids of the windows that are open now, this one among them. */
export async function openWindows(): Promise<Set<string>> {
  if (!locks()) return new Set([mine]);
  const { held: all = [] } = await navigator.locks.query();
  const prefix = lockOf('');
  return new Set(
    all.flatMap(({ name }) => (name?.startsWith(prefix) ? [name.slice(prefix.length)] : [])),
  );
}
