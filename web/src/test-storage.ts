/** What a browser keeps, for tests: its keys are its own, as of the real one. */
export function fakeStorage(): Storage {
  const kept: Record<string, string> = {};
  Object.defineProperties(kept, {
    getItem: { value: (key: string) => kept[key] ?? null },
    setItem: { value: (key: string, value: string) => (kept[key] = value) },
    removeItem: { value: (key: string) => delete kept[key] },
  });
  return kept as unknown as Storage;
}
