import { getContext, setContext } from 'svelte';
import { api } from '../api/client';
import { NewestNext } from '../api/newest-next.svelte';
import type { Mark, Problem, Trace } from '../api/types';
import { Working } from '../api/working.svelte';
import { ahead } from '../strip/lap-axis';
import {
  add,
  moved,
  newThing,
  remove,
  replace,
  wrapped,
  type Selection,
  type Thing,
  type ThingKind,
  withWidths,
} from './edits';
import { begun, change, redo, undo, type Steps } from '../ui/undo';
import type { CircuitEdits, CircuitView, LayoutChange } from './types';

const KEY = Symbol('circuit');
const SAVE_AFTER_MS = 350;

/** One open circuit: what is kept of it, the draft made from that, what is picked and where. */
export class CircuitState extends Working {
  readonly id: string;
  view = $state.raw<CircuitView>();
  steps = $state.raw<Steps<CircuitEdits>>();
  /** What is picked; it is also what the keyboard moves. */
  selection = $state.raw<Selection>();
  /** The metre that is looked at. */
  cursor = $state(0);
  /** What the draft changes, as the server sees it. */
  changes = $state.raw<LayoutChange[]>([]);
  /** Something was changed and waits a moment for more. */
  private pausing = $state(false);
  /** The draft that somebody else kept meanwhile; null where they threw it away. */
  theirs = $state.raw<CircuitEdits | null>();
  /** Of the version with its draft, as it was last seen. */
  private edition = 0;
  /** One after the other: each is made from what was kept last. */
  private readonly row = new NewestNext();
  private timer: ReturnType<typeof setTimeout> | undefined;

  /** Edits while something is being dragged: drawn, but not yet a step. */
  dragged = $state.raw<CircuitEdits>();
  readonly edits = $derived(this.dragged ?? this.steps?.now);
  readonly changed = $derived(
    this.changes.length > 0 ||
      (this.steps?.past.length ?? 0) > 0 ||
      (this.steps?.future.length ?? 0) > 0,
  );
  readonly isNewest = $derived(this.view?.newestId === this.view?.id);
  readonly thing = $derived.by(() => {
    const at = this.selection;
    return at && this.edits ? (this.edits[at.kind][at.index] as Thing | undefined) : undefined;
  });
  /** The circuit in the shape that the strip draws. */
  /** The road with the widths of the draft. */
  readonly road = $derived(this.view && withWidths(this.view.road, this.edits?.widths ?? []));
  readonly trace = $derived.by(() => this.asTrace());

  constructor(id: string) {
    super();
    this.id = id;
  }

  async open() {
    await this.run(async () => {
      const view = await api.circuit(this.id);
      this.view = view;
      this.edition = view.edition;
      this.changes = view.draftChanges;
      // A draft of an earlier day knows nothing of stretches.
      this.steps = begun({ ...view.edits, ...view.draft });
    });
  }

  private asTrace(): Trace | undefined {
    if (!this.view || !this.edits || !this.road) return undefined;
    const { marks, kerbs, zones, hazards } = this.edits;
    return {
      ...this.road,
      offset_m: [],
      speed_mps: [],
      brake_pct: [],
      throttle_pct: [],
      gear: [],
      time_s: [],
      grip_pct: [],
      limit: [],
      allowedLeft_m: [],
      allowedRight_m: [],
      carLength_m: 0,
      topLateral_g: 0,
      topBraking_g: 0,
      corners: this.view.corners,
      remarks: [],
      marks,
      kerbs,
      zones,
      hazards,
    };
  }

  pick(selection: Selection | undefined) {
    this.selection = selection;
    const thing = this.thing;
    if (thing && this.view) this.cursor = thing.fromM;
  }

  goTo(station: number) {
    if (this.view) this.cursor = wrapped(this.view.road, station);
  }

  /** What was dragged becomes one step. */
  drop() {
    const next = this.dragged;
    this.dragged = undefined;
    if (next) this.apply(next);
  }

  /** Takes edits as one step that can be undone. */
  apply(next: CircuitEdits) {
    if (!this.steps || next === this.steps.now) return;
    this.take(change(this.steps, next));
  }

  add(kind: ThingKind, side: 'LEFT' | 'RIGHT' = 'RIGHT') {
    if (!this.view || !this.edits) return;
    const thing = newThing(kind, this.cursor, side, this.view.road, this.edits);
    this.apply(add(this.edits, kind, thing));
    this.selection = { kind, index: this.edits[kind].length - 1 };
  }

  /** A mark at the metre that is looked at, of which some things are known. */
  addMark(known: Partial<Mark> & { side: Mark['side'] }) {
    if (!this.view || !this.edits) return;
    const side = known.side === 'LEFT' ? 'LEFT' : 'RIGHT';
    const thing = newThing('marks', this.cursor, side, this.view.road, this.edits) as Mark;
    const offsetM = known.side === 'LEFT' || known.side === 'RIGHT' ? thing.offsetM : 0;
    this.apply(add(this.edits, 'marks', { ...thing, offsetM, ...known }));
  }

  change(thing: Thing) {
    if (this.selection && this.edits) this.apply(replace(this.edits, this.selection, thing));
  }

  remove() {
    if (!this.selection || !this.edits) return;
    const next = remove(this.edits, this.selection);
    this.selection = undefined;
    this.apply(next);
  }

  /** Moves what is picked, without anything picked the place that is looked at. */
  nudge(metres: number) {
    const thing = this.thing;
    if (thing && this.view) {
      this.change(moved(this.view.road, thing, metres));
      this.cursor = this.thing!.fromM;
    } else {
      this.goTo(this.cursor + metres);
    }
  }

  undo() {
    if (this.steps) this.take(undo(this.steps));
  }

  redo() {
    if (this.steps) this.take(redo(this.steps));
  }

  private take(steps: Steps<CircuitEdits>) {
    if (steps === this.steps) return;
    this.steps = steps;
    if (!this.thing) this.selection = undefined;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.save(), SAVE_AFTER_MS);
    this.pausing = true;
  }

  /** The draft is kept on the server, one after the other: each is made from what was kept last. */
  save(): Promise<void> {
    clearTimeout(this.timer);
    this.pausing = false;
    return this.row.run(() => this.saveNow());
  }

  get saving(): boolean {
    return this.pausing || this.row.running;
  }

  private async saveNow() {
    if (!this.edits) return;
    const edits = this.edits;
    await this.run(
      async () => {
        const kept = await api.keepCircuitDraft(this.id, edits, this.edition);
        this.edition = kept.edition;
        if (!this.row.waits) this.changes = kept.changes;
      },
      (refused) => this.hasPlace(refused),
    );
  }

  /** What somebody else kept is shown beside ours; what the next one may mend already is not shown. */
  private hasPlace(refused: Problem): boolean {
    if (refused.status === 412) this.lookAtTheirs(refused);
    else if (!this.row.waits && refused.status === 422) this.takeBack();
    return refused.status === 412 || this.row.waits;
  }

  private lookAtTheirs(problem: Problem) {
    const theirs = problem.theirs as CircuitEdits | undefined;
    this.theirs = theirs?.marks ? theirs : null;
  }

  /** What cannot be; it can be had again with redo. */
  private takeBack() {
    if (this.steps) this.steps = undo(this.steps);
  }

  /** Goes on from what somebody else kept; what was done here is put away. */
  async takeTheirs() {
    this.theirs = undefined;
    this.selection = undefined;
    await this.open();
  }

  /** Keeps what was done here in the place of theirs. */
  async keepMine() {
    this.theirs = undefined;
    const read = await this.run(async () => (this.edition = (await api.circuit(this.id)).edition));
    if (read) await this.save();
  }

  async discard() {
    clearTimeout(this.timer);
    this.pausing = false;
    await this.row.settled;
    const gone = await this.run(() => api.discardCircuitDraft(this.id, this.edition));
    if (!gone) return;
    this.selection = undefined;
    await this.open();
  }

  /** Makes the draft a layout version; answers its id. */
  async keep(reason: string, validFrom: string): Promise<string | undefined> {
    await this.save();
    if (this.problem || this.theirs !== undefined) return undefined;
    let id: string | undefined;
    await this.run(async () => {
      id = (await api.keepLayout(this.id, this.edition, reason, validFrom || undefined)).id;
    });
    if (id === this.id) await this.open();
    return id;
  }

  /** Number of the corner that a station lies in, or 0. */
  cornerAt(station: number): number {
    const road = this.view?.road;
    const corner = this.edits?.corners.find(
      (c) => road && ahead(road, c.fromM, station) <= ahead(road, c.fromM, c.toM),
    );
    return corner?.number ?? 0;
  }
}

export const provideCircuit = (circuit: CircuitState) => setContext(KEY, circuit);

/** The open circuit; only inside its screen. */
export function useCircuit(): CircuitState {
  const circuit = getContext<CircuitState | undefined>(KEY);
  if (!circuit) throw new Error('useCircuit() outside of a circuit screen');
  return circuit;
}
