import { api } from '../api/client';
import type { LapPair } from '../api/laps';
import { pairCalls } from '../api/pair-calls';
import type { View } from '../api/types';
import { Working } from '../api/working.svelte';
import { reads, started, stopped, type RunClock } from '../rehearse/run-clock';
import { beginsAt, secondsBetween, stationAfter, type Part } from './pair';
import { cutsOf, keepCuts } from './sectors';

/** Shares of the real time that a replay can run at. */
export const SHARES = [0.25, 0.5, 1] as const;

/** Two laps as they are looked at: one place that all drawings follow, and a clock that moves it. */
export class PairDesk extends Working {
  readonly book: string;
  pair = $state.raw<LapPair>();
  view = $state.raw<View>();
  /** Station that is looked at, of the first lap [m]. */
  at = $state(0);
  /** What is looked at and replayed. */
  part = $state.raw<Part>({ name: 'the lap', from: 0, to: 0 });
  cuts = $state.raw<number[]>([]);
  share = $state<(typeof SHARES)[number]>(1);
  playing = $state(false);
  #clock: RunClock = { at_s: 0, share: 1 };

  constructor(book: string) {
    super();
    this.book = book;
    this.cuts = cutsOf(book);
  }

  /** The other lap’s place: both set out together where the part begins. */
  readonly other = $derived.by(() =>
    this.pair ? stationAfter(this.pair.second.along, this.part.from, this.elapsed) : 0,
  );

  /** Since the part’s begin, by the first lap [s]. */
  get elapsed(): number {
    return this.pair ? (secondsBetween(this.pair.first.along, this.part.from, this.at) ?? 0) : 0;
  }

  get whole(): Part {
    return { name: 'the lap', from: 0, to: this.pair?.length_m ?? 0 };
  }

  load = (lap: string, beside: string, revision: number) =>
    this.run(async () => {
      this.pause();
      const [view, pair] = await Promise.all([
        api.view(this.book, revision),
        pairCalls.pair(this.book, lap, beside),
      ]);
      this.view = view;
      this.pair = pair;
      this.look(this.whole);
    });

  /** Looks at a part of the lap from its begin, or from where both laps have begun. */
  look(part: Part) {
    this.pause();
    const from = this.pair ? beginsAt(this.pair, part.from) : part.from;
    this.part = from < part.to ? { ...part, from } : part;
    this.at = this.part.from;
  }

  /** Shows a station; who drags has stopped the replay. */
  show(station: number) {
    this.pause();
    this.at = Math.max(this.part.from, Math.min(this.part.to, station));
  }

  play(stamp: number) {
    if (!this.pair || this.playing) return;
    if (this.at >= this.part.to - this.pair.first.along.step_m) this.at = this.part.from;
    this.#clock = started({ at_s: this.elapsed, share: this.share }, stamp);
    this.playing = true;
  }

  pause() {
    this.playing = false;
  }

  setShare(share: (typeof SHARES)[number], stamp: number) {
    this.share = share;
    this.#clock = { ...stopped(this.#clock, stamp), share };
    if (this.playing) this.#clock = started(this.#clock, stamp);
  }

  /** Once a frame: where the first lap is by now. */
  tick(stamp: number) {
    if (!this.playing || !this.pair) return;
    const { along } = this.pair.first;
    const station = stationAfter(along, this.part.from, reads(this.#clock, stamp));
    const ended = station >= this.part.to || station >= this.pair.length_m - along.step_m;
    this.at = Math.min(this.part.to, station);
    if (ended) this.pause();
  }

  /** Cuts the lap at the place that is looked at, or takes the cut there back. */
  cut() {
    const near = this.cuts.find((s) => Math.abs(s - this.at) < 20);
    this.cuts = near === undefined ? [...this.cuts, this.at] : this.cuts.filter((s) => s !== near);
    keepCuts(this.book, this.cuts);
  }
}
