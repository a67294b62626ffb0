import { getContext, setContext } from 'svelte';
import type { SetupSheet } from '../api/answers';
import { Asking } from '../api/asking.svelte';
import { api, Failed } from '../api/client';
import { waitForJob, type Waiting } from '../api/jobs';
import { Working } from '../api/working.svelte';
import type {
  BookView,
  Conditions,
  Draft,
  LineChoice,
  OwnField,
  Problem,
  Revision,
  View,
} from '../api/types';
import type { CheckLine } from '../circuit/types';
import { laidOver } from './change';
import {
  begin,
  countChanges,
  setOwn,
  stateOf,
  type DraftState,
  type History,
  type OwnChanges,
  type OwnValue,
} from './draft';
import { change, redo, replace, undo } from '../ui/undo';
import { DraftStore, type StoredDraft } from './draft-store';
import { openWindows, windowId } from '../ui/window-id';

const KEY = Symbol('book');

/** The driver stopped the search for a draft's line: no fault, and the draft is as it was before. */
const STOPPED: Problem = { title: 'Stopped', detail: 'The search was stopped.', status: 0 };

/** One open book: the revision looked at, the draft made from it, and what the model says of it. */
export class BookState extends Working {
  readonly id: string;
  book = $state.raw<BookView>();
  /** The kept revision that the draft starts from. */
  base = $state.raw<View>();
  /** The draft as the model sees it; the base itself while nothing is changed. */
  view = $state.raw<View>();
  history = $state.raw<History>();
  /** Pages that are to be checked on track since the layout changed. */
  checks = $state.raw<CheckLine[]>([]);
  /** Drafts of this book in other windows, offered to this one. */
  others = $state.raw<StoredDraft[]>([]);
  /** A search for the line that goes on. */
  searching = $state.raw<Waiting>();
  /** The revision that somebody else kept from the same parent meanwhile. */
  theirs = $state.raw<Revision>();
  private readonly trying = new Asking<View>({
    answered: (view) => (this.view = view),
    refused: (problem) => this.refuse(problem),
  });

  readonly changes = $derived(
    this.base && this.history ? countChanges(begin(this.base.revision).now, this.history.now) : 0,
  );
  readonly newest = $derived(this.book?.revisions[this.book.revisions.length - 1]);
  readonly isNewest = $derived(this.base?.revision.number === this.newest?.number);

  readonly drafts: DraftStore;

  /** Whether the model is at the draft. */
  get computing(): boolean {
    return this.trying.running;
  }

  constructor(id: string) {
    super();
    this.id = id;
    this.drafts = new DraftStore(id, windowId(), localStorage);
  }

  async open(number?: number) {
    await this.run(async () => {
      // Asked for at once: a first view waits for the slowest of them, not for one after the other.
      const [book, checks, view] = await Promise.all([
        api.book(this.id),
        api.checks(this.id),
        number === undefined ? api.newestView(this.id) : api.view(this.id, number),
      ]);
      // What is still on its way belongs to the draft of another revision.
      this.trying.forget();
      const listed = book.revisions.some((line) => line.number === view.revision.number);
      // One that was kept in between is not in the list yet.
      this.book = listed ? book : await api.book(this.id);
      this.checks = checks;
      this.base = this.view = view;
      this.history = begin(this.base.revision);
      localStorage.setItem('marvek.lastBook', this.id);
      if (number === undefined) await this.resumeDraft();
    });
  }

  /**
   * A draft outlives a reload and its window, as long as the revision it was made from is the newest.
   * One of a window that is still open stays there and is only offered.
   */
  private async resumeDraft() {
    const parent = this.base!.revision.number;
    let draft = this.drafts.own;
    if (draft?.parent !== parent) {
      const open = await openWindows();
      draft = this.drafts.others(parent).find(({ window }) => !open.has(window));
      if (draft) this.drafts.forget(draft.window);
    }
    if (draft) await this.takeDraft(draft.now);
    await this.lookForOthers();
  }

  /** Drafts of this book in other windows that are open. */
  lookForOthers = async () => {
    if (!this.base) return;
    const open = await openWindows();
    this.others = this.drafts
      .others(this.base.revision.number)
      .filter(({ window }) => open.has(window));
  };

  /** Goes on from a draft as one step, which can be undone. */
  async takeDraft(now: DraftState) {
    this.store(change(this.history!, { ...this.history!.now, ...now }));
    await this.compute();
  }

  setOwn(corner: number, field: OwnField, value: OwnValue) {
    this.apply(change(this.history!, setOwn(this.history!.now, corner, field, value)));
  }

  /**
   * A place while it is moved: one step of the history however far it goes, and the model is asked
   * again only when it has answered.
   *
   * @param first whether a new step begins
   */
  moveOwn(corner: number, values: OwnChanges, first: boolean) {
    const next = this.with(corner, values);
    this.store(first ? change(this.history!, next) : replace(this.history!, next));
    void this.compute();
  }

  /** Several values of a corner in one step of the history. */
  setOwnAll(corner: number, values: OwnChanges) {
    this.apply(change(this.history!, this.with(corner, values)));
  }

  private with(corner: number, values: OwnChanges): DraftState {
    let next = this.history!.now;
    for (const [field, value] of Object.entries(values)) {
      next = setOwn(next, corner, field as OwnField, value);
    }
    return next;
  }

  setConditions(conditions: Conditions) {
    this.apply(change(this.history!, { ...this.history!.now, conditions }));
  }

  setSetup(setup: SetupSheet | undefined) {
    this.apply(change(this.history!, { ...this.history!.now, setup }));
  }

  /**
   * Another line for the whole lap; the search for it shows how far it is and can be stopped.
   *
   * @param lineOffsets_m of a line of one's own
   */
  async setLine(line: LineChoice, lineOffsets_m?: number[]) {
    const now = { ...this.history!.now, line, lineOffsets_m };
    const next = change(this.history!, now);
    let found = false;
    await this.run(async () => {
      found = await this.found({ ...this.draft(), ...now });
    });
    if (found) this.apply(next);
  }

  /** Waits for the search of a draft's line; answers false if it was stopped. */
  private async found(draft: Draft): Promise<boolean> {
    try {
      const started = await api.searchLine(this.id, draft);
      if ('id' in started) return true;
      const id = await waitForJob(started.job, (waiting) => (this.searching = waiting));
      return id !== undefined;
    } finally {
      this.searching = undefined;
    }
  }

  undo() {
    this.apply(undo(this.history!));
  }

  redo() {
    this.apply(redo(this.history!));
  }

  discard() {
    this.apply(begin(this.base!.revision));
  }

  private apply(next: History) {
    if (next === this.history) return;
    this.store(next);
    void this.compute();
  }

  private store(next: History) {
    this.history = next;
    this.drafts.keep(this.base!.revision.number, next.now);
  }

  /** What the model is asked about. */
  draft() {
    return { parent: this.base!.revision.number, ...this.history!.now };
  }

  /** Asks the model. */
  private async compute() {
    this.problem = undefined;
    if (this.changes === 0) {
      // An answer that is still on its way belongs to what was undone.
      this.trying.forget();
      this.view = this.base;
      this.drafts.forget();
      return;
    }
    const draft = this.draft();
    const base = this.base!;
    await this.trying.ask(['try', this.id, draft], (signal) => this.tried(base, draft, signal));
  }

  /** The fastest line follows the day: its search is shown and can be stopped. */
  private async tried(base: View, draft: Draft, signal: AbortSignal): Promise<View> {
    if (draft.line === 'fastest' && !(await this.found(draft))) throw new Failed(STOPPED);
    return laidOver(base, await api.change(this.id, draft, signal));
  }

  /** A value that cannot be used does not stay in the draft; it can be had back with redo. */
  private refuse(problem: Problem) {
    if (problem !== STOPPED) this.problem = problem;
    if (problem === STOPPED || problem.status === 422) this.history = undo(this.history!);
  }

  async keep(reason: string): Promise<boolean> {
    let taken = false;
    const kept = await this.run(
      async () => {
        const { number } = await api.keep(this.id, this.draft(), reason);
        this.drafts.forget();
        await this.open(number);
      },
      ({ status }) => (taken = status === 409),
    );
    if (taken) await this.lookAtTheirs();
    return kept;
  }

  /** Somebody was quicker: what was kept meanwhile is laid beside the draft. */
  private lookAtTheirs() {
    return this.run(async () => {
      this.book = await api.book(this.id);
      this.theirs = await api.revision(this.id, this.newest!.number);
    });
  }

  /** Goes on from their revision with the draft that came of choosing. */
  async goOnFromTheirs(chosen: DraftState) {
    const theirs = this.theirs!;
    await this.run(async () => {
      this.trying.forget();
      this.base = this.view = await api.view(this.id, theirs.number);
      this.history = begin(this.base.revision);
      this.theirs = undefined;
      this.apply(change(this.history, chosen));
    });
  }

  /** What the draft began from. */
  get before(): DraftState {
    return stateOf(this.base!.revision);
  }

  /** Takes the newest layout version; answers whether that went well. */
  moveToNewestLayout(): Promise<boolean> {
    return this.run(async () => {
      const moved = await api.moveLayout(this.id, this.book!.newestCircuitId);
      this.drafts.forget();
      await this.open(moved.revision);
    });
  }

  /** The driver has looked at a corner on track: its page holds again. */
  async clearCheck(corner: number) {
    await this.run(async () => (this.checks = await api.clearCheck(this.id, corner)));
  }
}

export const provideBook = (book: BookState) => setContext(KEY, book);

/** The open book; only inside its shell. */
export function useBook(): BookState {
  const book = getContext<BookState | undefined>(KEY);
  if (!book) throw new Error('useBook() outside of a BookShell');
  return book;
}
