import { getContext, setContext } from 'svelte';
import { api } from '../api/client';
import type { Mark } from '../api/types';
import { Working } from '../api/working.svelte';
import type { BookState } from '../book/book-state.svelte';
import type { CircuitState } from '../circuit/circuit-state.svelte';
import { boardNumber, freeName, newMarks, type MarkKind } from './mark-kinds';

const KEY = Symbol('noted');

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
    return view && edits ? newMarks(view.edits, edits) : [];
  });
  readonly saving = $derived(this.circuit?.saving ?? false);

  constructor(private readonly book: BookState) {
    super();
  }

  /** Takes up what was noted before; nothing is read where nothing waits. */
  look() {
    return this.run(async () => {
      const id = this.book.book?.circuitId;
      if (!id || this.circuit?.id === id) return;
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
      circuit.goTo(station);
      circuit.addMark({
        type: kind.type,
        side: kind.side ?? side,
        label: freeName(
          value ? `${value} ${kind.called}` : kind.called,
          circuit.edits.marks.map((mark) => mark.label),
        ),
        valueM: value,
      });
      await circuit.save();
      this.problem = circuit.problem;
    });
  }

  /** Takes back the mark that was noted last. */
  takeBack() {
    return this.run(async () => {
      const circuit = this.circuit!;
      const last = this.marks[this.marks.length - 1];
      circuit.pick({ kind: 'marks', index: circuit.edits!.marks.indexOf(last) });
      circuit.remove();
      await circuit.save();
      this.problem = circuit.problem;
    });
  }

  /** One layout version of all that was noted, and the book's pages told by it. */
  take() {
    return this.run(async () => {
      const circuit = this.circuit!;
      const kept = await circuit.keep(`Marks noted from the pages of ${this.book.book!.name}`, '');
      this.problem = circuit.problem;
      if (!kept || circuit.problem) return;
      this.book.book = await api.book(this.book.id);
      await this.book.moveToNewestLayout();
      this.circuit = undefined;
    });
  }
}

export const provideNoted = (noted: NotedMarks) => setContext(KEY, noted);

/** What is noted in the open book; none outside of one. */
export const useNoted = () => getContext<NotedMarks | undefined>(KEY);
