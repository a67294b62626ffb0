import { getContext, setContext } from 'svelte';
import { api } from '../api/client';
import type { Problem, Mark } from '../api/types';
import { Working } from '../api/working.svelte';
import type { BookState } from '../book/book-state.svelte';
import type { CircuitState } from '../circuit/circuit-state.svelte';
import { me } from '../people/me.svelte';
import { boardNumber, freeName, newMarks, sameMark, type MarkKind } from './mark-kinds';

const KEY = Symbol('noted');

const MEANWHILE: Problem = {
  title: 'Changed meanwhile',
  detail:
    'Somebody else edits this circuit too. What is noted stands here as it is now: do it again.',
  status: 412,
};

/**
 * Marks that are noted from the pages: they wait in the circuit's draft until the pages are told by
 * them, which makes one layout version of all of them and moves the book to it.
 */
export class NotedMarks extends Working {
  private circuit = $state.raw<CircuitState>();

  /** The place at which it is asked what stands there. */
  asked = $state.raw<{ station: number; side: 'LEFT' | 'RIGHT' }>();

  /** Noted, and not in the pages yet. */
  readonly marks: Mark[] = $derived.by(() => {
    const { view, edits } = this.circuit ?? {};
    const here = view?.id === this.book.book?.circuitId;
    return here && view && edits ? newMarks(view.edits, edits) : [];
  });
  /** Changes of the circuit's draft that are no new marks: they become a version with them. */
  readonly others = $derived(
    this.circuit?.changes.filter((change) => change.kind !== 'MARK_NEW').length ?? 0,
  );
  readonly saving = $derived(this.circuit?.saving ?? false);

  constructor(private readonly book: BookState) {
    super();
  }

  /** Takes up what was noted before; nothing is read where nothing waits. */
  look() {
    return this.run(async () => {
      const id = this.book.book?.circuitId;
      // Who may not note any has none that wait, and may not ask.
      if (!id || !me.edits || this.circuit?.id === id) return;
      this.circuit = undefined;
      const { draft = false } = (await api.circuits()).find((c) => c.id === id) ?? {};
      if (draft) await this.open();
    });
  }

  private async open(): Promise<CircuitState | undefined> {
    const id = this.book.book!.circuitId;
    if (this.circuit?.id === id) return this.circuit;
    const { CircuitState } = await import('../circuit/circuit-state.svelte');
    const circuit = new CircuitState(id);
    await circuit.open();
    if (circuit.problem) this.problem = circuit.problem;
    else this.circuit = circuit;
    return this.circuit;
  }

  /**
   * Notes a mark.
   *
   * @param toCorner way to the corner that it stands before [m]
   */
  note(kind: MarkKind, station: number, side: 'LEFT' | 'RIGHT', toCorner: number) {
    return this.run(async () => {
      const circuit = await this.open();
      if (!circuit?.edits) return;
      const value = kind.type === 'DISTANCE_BOARD' ? boardNumber(toCorner) : undefined;
      await this.put(circuit, () => {
        circuit.goTo(station);
        circuit.addMark({
          type: kind.type,
          side: kind.side ?? side,
          label: freeName(
            value ? `${value} ${kind.called}` : kind.called,
            circuit.edits!.marks.map((mark) => mark.label),
          ),
          valueM: value,
        });
      });
    });
  }

  /** Edits the circuit; what somebody else kept of it meanwhile comes first and stays. */
  private async put(circuit: CircuitState, edit: () => void) {
    edit();
    await circuit.save();
    if (circuit.theirs !== undefined) {
      await circuit.takeTheirs();
      edit();
      await circuit.save();
    }
    this.problem = circuit.theirs === undefined ? circuit.problem : MEANWHILE;
    // What was not kept is not shown as noted.
    if (this.problem) circuit.undo();
  }

  /** Takes back the mark that was noted last. */
  takeBack() {
    return this.run(async () => {
      const circuit = this.circuit!;
      const last = this.marks[this.marks.length - 1];
      await this.put(circuit, () => {
        const index = circuit.edits!.marks.findIndex((mark) => sameMark(mark, last));
        if (index < 0) return;
        circuit.pick({ kind: 'marks', index });
        circuit.remove();
      });
    });
  }

  /** One layout version of all that was noted, and the book's pages told by it. */
  take() {
    return this.run(async () => {
      const circuit = this.circuit!;
      const kept = await circuit.keep(`Marks noted from the pages of ${this.book.book!.name}`, '');
      this.problem = circuit.problem;
      if (circuit.theirs !== undefined) {
        await circuit.takeTheirs();
        this.problem = MEANWHILE;
      }
      if (!kept || this.problem) return;
      this.book.book = await api.book(this.book.id);
      await this.book.moveToNewestLayout();
      this.circuit = undefined;
    });
  }
}

export const provideNoted = (noted: NotedMarks) => setContext(KEY, noted);

/** What is noted in the open book; none outside of one. */
export const useNoted = () => getContext<NotedMarks | undefined>(KEY);
