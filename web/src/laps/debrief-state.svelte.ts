import { api } from '../api/client';
import type {
  Debrief,
  DrivenLap,
  Finding,
  LapKind,
  LapPreview,
  LiveState,
  Mapping,
} from '../api/laps';
import type { KeptSession } from '../api/sessions';
import type { View } from '../api/types';
import { Working } from '../api/working.svelte';
import { cornersOf, flying, joined } from './debrief';

const LIVE_MS = 1000;

/** A file on its way in. */
export interface Taking {
  name: string;
  /** Share that has gone up; at 1 it is being read. */
  share: number;
  abort: AbortController;
}

/** A file whose columns somebody has to name first. */
export interface Asking {
  file: File;
  mapping: Mapping;
  preview: LapPreview;
}

/** What is on the debrief screen of a session, and what is done there. */
export class DebriefDesk extends Working {
  readonly session: string;
  readonly book: string;
  kept = $state.raw<KeptSession>();
  debrief = $state.raw<Debrief>();
  /** The revision that the laps are read against. */
  view = $state.raw<View>();
  taking = $state<Taking>();
  asking = $state.raw<Asking>();
  live = $state.raw<LiveState>();
  /** Corner that was chosen; 0 for the costliest. */
  chosen = $state(0);

  readonly laps = $derived(this.debrief ? flying(this.debrief) : []);
  readonly corners = $derived(
    this.debrief && this.view ? cornersOf(this.debrief, this.laps, this.view.trace) : [],
  );
  readonly best = $derived(
    this.laps.reduce<DrivenLap | undefined>(
      (best, lap) => (best && best.time_s! <= lap.time_s! ? best : lap),
      undefined,
    ),
  );
  readonly together = $derived(joined(this.corners));
  readonly corner = $derived(this.chosen || this.costliest());
  readonly page = $derived(this.view?.revision.pages.find((p) => p.corner === this.corner));

  constructor(book: string, session: string) {
    super();
    this.book = book;
    this.session = session;
  }

  private costliest(): number | undefined {
    return this.corners.reduce(
      (most, c) => ((c.charged_s ?? 0) > (most?.charged_s ?? 0) ? c : most),
      this.corners[0],
    )?.corner;
  }

  load = () =>
    this.run(async () => {
      this.kept ??= await api.session(this.session);
      const answer = await api.debrief(this.session);
      if (this.view?.revision.number !== answer.revision) {
        this.view = await api.view(this.book, answer.revision);
      }
      this.debrief = answer;
    });

  /** Loads what is there; a logger that is writing goes on being watched. */
  begin = async () => {
    await this.load();
    const there = await this.run(async () => (this.live = await api.live(this.session)));
    if (there && this.live?.running) void this.watch();
  };

  private change = (work: () => Promise<unknown>) =>
    this.run(async () => {
      await work();
      const answer = await api.debrief(this.session);
      this.debrief = answer;
    });

  /** Looks at a file first: where its header does not say enough, somebody is asked. */
  take = (file: File | undefined) =>
    this.run(async () => {
      if (!file) return;
      const preview = await api.previewLaps(file, {});
      if (preview.missing.length) this.asking = { file, preview, mapping: {} };
      else await this.bring(file, {});
    });

  /** Looks at a file's columns even if they are known. */
  ask = (file: File | undefined) =>
    this.run(async () => {
      if (file) this.asking = { file, preview: await api.previewLaps(file, {}), mapping: {} };
    });

  map = (header: string, column: string) =>
    this.run(async () => {
      if (!this.asking) return;
      const mapping = { ...this.asking.mapping, [header]: column };
      const asked = { ...this.asking, mapping };
      this.asking = asked;
      const preview = await api.previewLaps(asked.file, mapping);
      // Somebody may have named the next column meanwhile.
      if (this.asking?.mapping === mapping) this.asking = { ...asked, preview };
    });

  takeMapped = async () => {
    if (!this.asking) return;
    const { file, mapping } = this.asking;
    this.asking = undefined;
    await this.run(() => this.bring(file, mapping));
  };

  private async bring(file: File, mapping: Mapping): Promise<void> {
    const abort = new AbortController();
    this.taking = { name: file.name, share: 0, abort };
    try {
      await api.addLaps(
        this.session,
        file,
        mapping,
        (share) => this.taking && (this.taking.share = share),
        abort.signal,
      );
    } finally {
      this.taking = undefined;
    }
    await this.load();
  }

  remove = (file: string) => this.change(() => api.putAway('file', file));

  rename = (file: string, name: string) => this.change(() => api.renameLaps(file, name));

  sayKind = (lap: DrivenLap, kind: LapKind) =>
    this.change(() => api.sayKind(lap.file, lap.number, kind === lap.recognised ? null : kind));

  dismiss = ({ corner, rule, laps }: Finding, reason: string) =>
    this.change(() => api.dismiss(this.session, { corner, rule, laps }, reason));

  remark = (words: string, author: 'driver' | 'coach', corner?: number, lap?: string) =>
    this.change(() => api.remark(this.session, { words, author, corner, lap }));

  takeBack = (note: string) => this.change(() => api.removeDebriefNote(note));

  /** The simulated logger drives, and laps come in as they are driven. */
  startLive = async () => {
    const begun = await this.run(async () => {
      this.live = await api.startLive(this.session, 6, (this.debrief?.files.length ?? 0) + 1, 20);
    });
    if (begun) void this.watch();
  };

  stopLive = () => this.run(async () => (this.live = await api.stopLive(this.session)));

  private async watch(): Promise<void> {
    let laps = 0;
    let running = true;
    while (running) {
      await new Promise((done) => setTimeout(done, LIVE_MS));
      const good = await this.run(async () => {
        this.live = await api.live(this.session);
        if (this.live.laps !== laps || !this.live.running) {
          laps = this.live.laps;
          await this.load();
        }
      });
      running = good && (this.live?.running ?? false);
    }
  }
}
