import type { ChangedCar } from '../api/answers';
import { Asking } from '../api/asking.svelte';
import { api } from '../api/client';
import { waitForJob } from '../api/jobs';
import { Working } from '../api/working.svelte';
import type { Draft } from '../api/types';

/** Values of a book's car that are tried, and what they do to its lap. */
export class TriedCar extends Working {
  /** Values that are changed, by their pointers into the car's file. */
  changes = $state.raw<Record<string, number>>({});
  readonly asking = new Asking<ChangedCar>();
  readonly count = $derived(Object.keys(this.changes).length);

  constructor(
    private readonly book: string,
    private readonly draft: () => Draft,
  ) {
    super();
  }

  /** Changes a value; none puts it back. */
  change(pointer: string, value: number | undefined) {
    const others = Object.entries(this.changes).filter(([at]) => at !== pointer);
    this.changes = Object.fromEntries(
      value === undefined ? others : [...others, [pointer, value] as const],
    );
    void this.ask();
  }

  /** Changes these values and no others. */
  set(changes: Record<string, number>) {
    this.changes = changes;
    void this.ask();
  }

  putBack() {
    this.changes = {};
    void this.ask();
  }

  ask() {
    const draft = this.draft();
    const changes = this.changes;
    return this.asking.ask(['changed-car', this.book, draft, changes], (signal) =>
      api.changedCar(this.book, draft, changes, signal),
    );
  }

  /** Keeps the car with these values as another one; answers the id of a first book with it. */
  async keep(car: string, circuit: string, name: string): Promise<string | undefined> {
    let id: string | undefined;
    await this.run(async () => {
      const kept = await api.keepChangedCar(car, name, this.changes);
      const { line, lineOffsets_m } = this.draft();
      const made = await api.createBook(circuit, kept.id, name, line, lineOffsets_m);
      id = 'id' in made ? made.id : await waitForJob(made.job, () => {});
      this.changes = {};
    });
    return id;
  }
}
