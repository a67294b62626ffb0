import type { Call } from '../api/answers';
import { api } from '../api/client';
import type { Act, ActKind, Help, Press, Run, Runs } from '../api/runs';
import type { View } from '../api/types';
import { Working } from '../api/working.svelte';
import { stationAt } from '../brief/timeline';
import { reads, started, stopped, type RunClock } from './run-clock';
import { nearestAct } from './run-words';

/** `counting` down to the start or to going on; `paused` and `running`; `over` with its score. */
export type Phase = 'ready' | 'counting' | 'running' | 'paused' | 'over';

/** What a press came to at once; the kept score is the server's. */
export interface Told {
  kind: ActKind;
  act?: Act;
  /** Metres late. */
  off_m?: number;
}

const COUNT_S = 3;

/** A run from its choice to its score. Figures that change every frame are read by {@link tick}. */
export class RunDesk extends Working {
  runs = $state.raw<Runs>();
  /** The newest revision, whatever the book has open or is being edited. */
  view = $state.raw<View>();
  phase = $state<Phase>('ready');
  help = $state<Help>('plates');
  share = $state(1);
  /** Seconds left of the count-down, whole. */
  count = $state(0);
  presses = $state.raw<Press[]>([]);
  told = $state.raw<Told>();
  /** The call-out that was said last. */
  call = $state.raw<Call>();
  done = $state.raw<Run>();
  /** Why it was paused, where nobody asked for it. */
  why = $state('');

  #clock: RunClock = { at_s: 0, share: 1 };
  #goesAt = 0;
  #calls: Call[] = [];

  constructor(
    private readonly book: string,
    private readonly calls: (view: View, share: number) => Promise<Call[]>,
  ) {
    super();
  }

  async load() {
    await this.run(async () => {
      const runs = await api.runs(this.book);
      this.view = await api.view(this.book, runs.revision);
      this.runs = runs;
    });
  }

  get #trace() {
    return this.view!.trace;
  }

  async begin(stamp: number) {
    this.#clock = { at_s: 0, share: this.share };
    this.presses = [];
    this.told = this.call = this.done = undefined;
    this.#calls = [];
    if (this.help === 'dark') {
      await this.run(async () => void (this.#calls = await this.calls(this.view!, this.share)));
      if (this.problem) return;
    }
    this.#countFrom(this.help === 'dark' ? performance.now() : stamp);
  }

  goOn(stamp: number) {
    if (this.phase === 'paused') this.#countFrom(stamp);
  }

  #countFrom(stamp: number) {
    this.why = '';
    this.#goesAt = stamp + COUNT_S * 1000;
    this.count = COUNT_S;
    this.phase = 'counting';
  }

  pause(stamp: number, why = '') {
    if (this.phase === 'counting' || this.phase === 'running') {
      this.#clock = stopped(this.#clock, stamp);
      this.why = why;
      this.phase = 'paused';
    }
  }

  /** Takes a frame; gives the station to show [m]. */
  tick(stamp: number): number {
    if (this.phase === 'counting') {
      // A frame's stamp may lie a little before the key's that began the count.
      this.count = Math.min(COUNT_S, Math.max(0, Math.ceil((this.#goesAt - stamp) / 1000)));
      if (stamp >= this.#goesAt) {
        // It goes from when it was to go, not from the frame that notices it.
        this.#clock = started(this.#clock, this.#goesAt);
        this.phase = 'running';
      }
    }
    const at_s = reads(this.#clock, stamp);
    if (this.phase === 'running') {
      this.#say(at_s);
      if (at_s >= this.runs!.lap_s) void this.end(stamp);
    }
    return at_s >= this.runs!.lap_s ? this.#trace.length_m : stationAt(this.#trace, at_s);
  }

  /** A call is about real seconds at the pace; the lap's time goes slower at less speed. */
  #say(at_s: number) {
    const said = this.#calls.filter((c) => c.from_s * this.share <= at_s).at(-1);
    if (said !== this.call) this.call = said;
  }

  press(kind: ActKind, stamp: number) {
    if (this.phase !== 'running') return;
    const press = { kind, at_s: reads(this.#clock, stamp) };
    this.presses = [...this.presses, press];
    const act = nearestAct(this.runs!.acts, press);
    const off_m = act && stationAt(this.#trace, press.at_s) - stationAt(this.#trace, act.at_s);
    this.told = { kind, act, off_m };
  }

  /** Ends the run, at its line or before; what was driven is scored and kept. */
  async end(stamp: number) {
    if (this.phase !== 'running' && this.phase !== 'paused' && this.phase !== 'counting') return;
    const until_s = Math.min(this.runs!.lap_s, reads(this.#clock, stamp));
    this.#clock = { ...stopped(this.#clock, stamp), at_s: until_s };
    this.phase = this.presses.length ? 'over' : 'ready';
    if (this.presses.length) await this.keep(until_s);
  }

  /** Until which time of the lap the run that is not kept yet went. */
  unkept = $state<number>();

  async keep(until_s: number) {
    this.unkept = until_s;
    await this.run(async () => {
      this.done = await api.keepRun(this.book, {
        revision: this.runs!.revision,
        speedShare: this.share,
        help: this.help,
        until_s: Math.max(0.001, until_s),
        presses: this.presses,
      });
      this.unkept = undefined;
      this.runs = await api.runs(this.book);
    });
  }

  async forget(id: string) {
    await this.run(async () => {
      await api.removeRun(id);
      if (this.done?.id === id) this.done = undefined;
      this.runs = await api.runs(this.book);
    });
  }
}
