import { getContext, setContext } from 'svelte';
import { api } from '../api/client';
import { NewestNext } from '../api/newest-next.svelte';
import { openWindows, windowId } from '../ui/window-id';
import type { KeptSession, Session } from '../api/sessions';
import type { Conditions, Problem } from '../api/types';
import { Working } from '../api/working.svelte';
import { FIELD_WORDS, fieldWords } from './field-words';

const KEY = Symbol('session');

/** Fields of a list: what is refused of an entry is told below the list. */
const LISTS = ['parts', 'openPoints', 'forecast'];

/** One session being planned: every change is kept at once, or says at its field why not. */
export class SessionState extends Working {
  kept = $state.raw<KeptSession>();
  /** As it is typed; the same as kept while nothing is refused. */
  now = $state.raw<Session>();
  /** What was refused, with the name of its field. */
  refused = $state.raw<Problem>();
  /** What somebody else kept meanwhile; what is typed is not kept until it is decided. */
  theirs = $state.raw<KeptSession>();
  private readonly id: string;
  /** One after the other: each is made from what the one before has kept. */
  private readonly row = new NewestNext();

  constructor(id: string) {
    super();
    this.id = id;
  }

  /** What is typed and not kept yet, a window each. */
  private get draftKey() {
    return `${this.draftsOf}${windowId()}`;
  }

  private get draftsOf() {
    return `marvek.session.${this.id}.`;
  }

  async open() {
    this.refused = undefined;
    await this.run(async () => {
      this.kept = await api.session(this.id);
      this.now = this.kept.session;
      await this.resume();
    });
  }

  /**
   * What could not be kept outlives a reload and its window. When the session was changed since, both
   * are shown.
   */
  private async resume() {
    const key = await this.keyOfTyped();
    const typed = key && readTyped(localStorage.getItem(key));
    if (key) localStorage.removeItem(key);
    if (!typed) return;
    if (typed.edition === this.kept!.edition) return this.change(typed.session);
    this.now = typed.session;
    this.theirs = this.kept;
  }

  /** Of this window, or else of one that is closed. */
  private async keyOfTyped(): Promise<string | undefined> {
    if (localStorage.getItem(this.draftKey)) return this.draftKey;
    const open = await openWindows();
    return Object.keys(localStorage).find(
      (key) => key.startsWith(this.draftsOf) && !open.has(key.slice(this.draftsOf.length)),
    );
  }

  set(part: Partial<Session>) {
    this.change({ ...this.now!, ...part });
  }

  setConditions(part: Partial<Conditions>) {
    this.set({ conditions: { ...this.now!.conditions, ...part } });
  }

  private change(next: Session) {
    this.now = next;
    const typed = { edition: this.kept!.edition, session: next };
    localStorage.setItem(this.draftKey, JSON.stringify(typed));
    void this.row.run(() => this.keep());
  }

  get keeping(): boolean {
    return this.row.running;
  }

  private async keep() {
    await this.run(
      async () => {
        this.kept = await api.changeSession(this.id, this.now!, this.kept!.edition);
        this.refused = undefined;
        if (!this.row.waits) localStorage.removeItem(this.draftKey);
      },
      (refused) => this.hasPlace(refused),
    );
  }

  /** What is refused of a field is told there, and what somebody else kept is shown beside ours. */
  private hasPlace(refused: Problem): boolean {
    if (refused.status === 422) this.refused = refused;
    else if (refused.theirs) this.theirs = refused.theirs as KeptSession;
    return refused.status === 422 || refused.theirs !== undefined;
  }

  /** Goes on from what somebody else kept; what was typed here is put away. */
  takeTheirs() {
    localStorage.removeItem(this.draftKey);
    this.kept = this.theirs;
    this.now = this.theirs!.session;
    this.theirs = this.refused = undefined;
  }

  /** Keeps what was typed here in the place of theirs. */
  keepMine() {
    this.kept = this.theirs;
    this.theirs = undefined;
    this.change(this.now!);
  }

  /** Puts away what was typed and not kept. */
  async forget() {
    localStorage.removeItem(this.draftKey);
    await this.open();
  }

  /** Words for what was refused at a field; undefined where nothing was. */
  at(field: string): string | undefined {
    return this.refused?.field === field ? fieldWords(this.refused) : undefined;
  }

  /** What was refused of a list or an entry of it. */
  refusedOf(list: string): Problem | undefined {
    return listOf(this.refused) === list ? this.refused : undefined;
  }

  /** Whether what was refused has a field of its own on the screen. */
  get placed(): boolean {
    const field = this.refused?.field;
    return field !== undefined && (field in FIELD_WORDS || LISTS.includes(listOf(this.refused)!));
  }
}

interface Typed {
  /** Of the session that it was typed into. */
  edition: number;
  session: Session;
}

/** Nothing of what cannot be read any more. */
function readTyped(kept: string | null): Typed | undefined {
  try {
    const typed = JSON.parse(kept ?? '') as Typed;
    return typed.session ? typed : undefined;
  } catch {
    return undefined;
  }
}

function listOf(problem: Problem | undefined): string | undefined {
  return problem?.field?.split('.')[0];
}

export const provideSession = (session: SessionState) => setContext(KEY, session);

/** The session that is planned; only inside its desk. */
export function useSession(): SessionState {
  const session = getContext<SessionState | undefined>(KEY);
  if (!session) throw new Error('useSession() outside of a SessionDesk');
  return session;
}
