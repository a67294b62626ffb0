import { api } from '../api/client';
import { Working } from '../api/working.svelte';
import { add, newThing } from '../circuit/edits';
import type { CircuitView, WalkNote, WalkView } from '../circuit/types';
import type { Mark } from '../api/types';

/** A walk round a circuit: its list, its notes, and what has been changed on it. */
export class WalkState extends Working {
  readonly circuitId: string;
  walk = $state.raw<WalkView>();
  circuit = $state.raw<CircuitView>();

  readonly begun = $derived(this.walk?.id != null);
  readonly left = $derived(
    this.walk ? this.walk.list.filter((i) => !this.walk!.ticked.includes(i.key)).length : 0,
  );

  constructor(circuitId: string) {
    super();
    this.circuitId = circuitId;
  }

  private take(work: () => Promise<WalkView>): Promise<boolean> {
    return this.run(async () => (this.walk = await work()));
  }

  async open() {
    await this.run(async () => {
      [this.circuit, this.walk] = await Promise.all([
        api.circuit(this.circuitId),
        api.walk(this.circuitId),
      ]);
    });
  }

  begin = () => this.take(() => api.beginWalk(this.circuitId));

  tick = (item: string, done: boolean) => this.take(() => api.tick(this.walk!.id!, item, done));

  drop = (note: string) => this.take(() => api.dropWalkNote(this.walk!.id!, note));

  waypoints = (file: File) => this.take(() => api.walkWaypoints(this.walk!.id!, file));

  note(
    words: string,
    side: string,
    stationM: number | undefined,
    photo: File | undefined,
    keepPlace: boolean,
  ): Promise<boolean> {
    const note = { words, side, station_m: stationM, photo, keepPlace };
    return this.take(() => api.walkNote(this.walk!.id!, note));
  }

  /** A note becomes a mark of the layout's draft, called by its words. */
  async makeMark(note: WalkNote) {
    await this.run(async () => {
      const view = await api.circuit(this.circuitId);
      const edits = view.draft ?? view.edits;
      const side = note.side === 'left' ? 'LEFT' : 'RIGHT';
      const mark = newThing('marks', note.station_m, side, view.road, edits) as Mark;
      const label = note.words.split(/[:,.]/)[0].trim().slice(0, 80) || 'mark';
      const named: Mark = { ...mark, label, type: 'OTHER', note: note.words.slice(0, 300) };
      await api.keepCircuitDraft(this.circuitId, add(edits, 'marks', named), view.edition);
      this.walk = await api.walk(this.circuitId);
    });
  }

  async finish(reason: string, validFrom: string) {
    let finished: Awaited<ReturnType<typeof api.finishWalk>> | undefined;
    await this.run(async () => {
      const { id, edition } = this.walk!;
      finished = await api.finishWalk(id!, edition, reason, validFrom || undefined);
    });
    return finished;
  }
}
