import { join } from 'node:path';

/** Screens that people open first, and what each of them is made of. */
const FIRST = {
  first: ['shelf/FirstScreen.svelte', 'book/BookShell.svelte', 'book/BookScreen.svelte'],
  book: ['book/BookShell.svelte', 'book/BookScreen.svelte'],
  page: [
    'book/BookShell.svelte',
    'page/PageScreen.svelte',
    'page/AsDriven.svelte',
    'page/Annotated.svelte',
    'strip/Knots.svelte',
  ],
  shelf: ['shelf/Shelf.svelte'],
};

const sources = join(import.meta.dirname, 'src');

let ofFirstBook;

/** Name of the piece in which everything comes that the first book is made of; none for the rest. */
export function firstBook(module, chunking) {
  if (!ofFirstBook) {
    ofFirstBook = new Set();
    const take = (id) => {
      if (ofFirstBook.has(id)) return;
      ofFirstBook.add(id);
      chunking.getModuleInfo(id)?.importedIds.forEach(take);
    };
    FIRST.book.forEach((name) => take(join(sources, name)));
  }
  return ofFirstBook.has(module) ? 'book' : null;
}

/**
 * Files of a screen, those that they need included, without what every page names itself.
 *
 * @param {import('rolldown').OutputBundle} bundle
 * @param {string[]} screens
 * @returns {string[]} paths from the root
 */
export function partsOf(bundle, screens) {
  const chunks = Object.values(bundle).filter(({ type }) => type === 'chunk');
  const withNeeds = (file, known) => {
    if (known.has(file)) return known;
    known.add(file);
    for (const next of bundle[file].imports) withNeeds(next, known);
    return known;
  };
  const of = (wanted) =>
    chunks.filter(wanted).reduce((known, { fileName }) => withNeeds(fileName, known), new Set());
  const everywhere = of(({ isEntry }) => isEntry);
  const files = of(({ facadeModuleId }) =>
    screens.some((name) => facadeModuleId?.endsWith(`/src/${name}`)),
  );
  const styles = (names) =>
    [...names].flatMap((name) => [...bundle[name].viteMetadata.importedCss]);
  const known = new Set([...everywhere, ...styles(everywhere)]);
  return [...files, ...new Set(styles(files))]
    .filter((file) => !known.has(file))
    .map((file) => `/${file}`);
}

/**
 * Writes what the first screens are made of, so that the server names it with the page: a browser
 * fetches it while it still reads what every screen needs.
 */
export const firstParts = () => ({
  name: 'first-parts',
  generateBundle(_, bundle) {
    const parts = Object.fromEntries(
      Object.entries(FIRST).map(([name, screens]) => [name, partsOf(bundle, screens)]),
    );
    for (const [name, files] of Object.entries(parts)) {
      if (!files.length) throw new Error(`No file of the first screen ${name} was found.`);
    }
    this.emitFile({ type: 'asset', fileName: 'first-parts.json', source: JSON.stringify(parts) });
  },
});
