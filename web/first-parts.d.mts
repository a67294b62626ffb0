/** A module's piece, `book` for those of the first book. */
export function firstBook(
  module: string,
  chunking: { getModuleInfo(id: string): { importedIds: string[] } | null },
): string | null;
/** Writes what the first screens are made of. */
export function firstParts(): import('vite').Plugin;
