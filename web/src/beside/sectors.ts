/** Where a driver cuts the lap of a book into sectors of his own; kept on this device. */
const keyOf = (book: string) => `marvek.sectors.${book}`;

/** Stations of the cuts [m]; none where nothing was cut, or what is kept cannot be read. */
export function cutsOf(book: string): number[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(book)) ?? '[]');
    return Array.isArray(kept) ? kept.filter((s): s is number => Number.isFinite(s)) : [];
  } catch {
    return [];
  }
}

/** Keeps them; a device that keeps nothing forgets them with the page. */
export function keepCuts(book: string, cuts: readonly number[]): void {
  try {
    localStorage.setItem(keyOf(book), JSON.stringify(cuts));
  } catch {
    // Full, or switched off: they hold until the page is left.
  }
}
