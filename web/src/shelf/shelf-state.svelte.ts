import { api } from '../api/client';
import type { Away } from '../api/put-away-calls';
import type { KeptSession } from '../api/sessions';
import type { BookView } from '../api/types';
import { Working } from '../api/working.svelte';
import type { CarSummary, CircuitSummary } from '../circuit/types';
import { setOf, stepsOf } from './way-in';

const AGAIN_MS = 700;

/** Everything that is on the shelf, and what is put away from it. */
export class ShelfState extends Working {
  books = $state.raw<BookView[]>();
  circuits = $state.raw<CircuitSummary[]>([]);
  cars = $state.raw<CarSummary[]>([]);
  sessions = $state.raw<KeptSession[]>([]);
  away = $state.raw<Away[]>([]);
  /** Ids of what is on the shelf of the demo. */
  demo = $state.raw<ReadonlySet<string>>(setOf([]));
  /** What the server does before it is ready, as "filling the demo: 40 %". */
  filling = $state<string>();
  /** What was put away last, to be taken back at once. */
  last = $state.raw<{ kind: 'book' | 'car' | 'circuit'; id: string; name: string }>();

  readonly steps = $derived(
    stepsOf(
      {
        circuits: this.circuits,
        cars: this.cars,
        books: this.books ?? [],
        sessions: this.sessions,
      },
      this.demo,
    ),
  );

  /** Looks through the shelf; while the demo is being filled, again and again. */
  load = async () => {
    await this.run(() => this.look());
    await this.waitUntilFilled();
  };

  /** Does something and looks through the shelf again. */
  alter = (work: () => Promise<unknown>) =>
    this.run(async () => {
      await work();
      await this.look();
    });

  private async look() {
    const [demo, ...all] = await Promise.all([
      api.demo(),
      api.books(),
      api.circuits(),
      api.cars(),
      api.allSessions(),
      api.away(),
    ]);
    [this.books, this.circuits, this.cars, this.sessions, this.away] = all;
    this.demo = setOf(demo.things);
  }

  private async waitUntilFilled() {
    while ((this.filling = await api.notReady())) {
      await new Promise((done) => setTimeout(done, AGAIN_MS));
    }
    if (this.books?.length === 0) await this.run(() => this.look());
  }
}
