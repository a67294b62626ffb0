import type { DraftState } from './draft';

/** A draft as a window of this browser keeps it. */
export interface StoredDraft {
  /** The window whose draft it is. */
  window: string;
  /** The revision it was made from. */
  parent: number;
  now: DraftState;
  /** When it was last changed, ISO 8601. */
  at: string;
}

const PREFIX = 'marvek.draft.';
const keyOf = (book: string, window: string) => `${PREFIX}${book}.${window}`;

/** Drafts of one book, one a window, so that none replaces another's. */
export class DraftStore {
  constructor(
    private readonly book: string,
    readonly window: string,
    private readonly storage: Storage,
  ) {}

  keep(parent: number, now: DraftState) {
    const draft = { parent, now, at: new Date().toISOString() };
    this.storage.setItem(keyOf(this.book, this.window), JSON.stringify(draft));
  }

  forget(window = this.window) {
    this.storage.removeItem(keyOf(this.book, window));
  }

  /** Whether a change of the storage under this key may be another window's draft of the book. */
  isOfBook = (key: string | null) => key === null || key.startsWith(keyOf(this.book, ''));

  get own(): StoredDraft | undefined {
    return this.all().find((draft) => draft.window === this.window);
  }

  /** Drafts of other windows made from a revision, the newest first. */
  others(parent: number): StoredDraft[] {
    return this.all()
      .filter((draft) => draft.window !== this.window && draft.parent === parent)
      .sort((a, b) => b.at.localeCompare(a.at));
  }

  private all(): StoredDraft[] {
    const prefix = keyOf(this.book, '');
    return Object.keys(this.storage)
      .filter((key) => key.startsWith(prefix))
      .flatMap((key) => read(key.slice(prefix.length), this.storage.getItem(key)));
  }
}

/** Nothing of a draft that cannot be read any more. */
function read(window: string, kept: string | null): StoredDraft[] {
  try {
    const { parent, now, at } = JSON.parse(kept ?? '');
    return now ? [{ window, parent, now, at: at ?? '' }] : [];
  } catch {
    return [];
  }
}
