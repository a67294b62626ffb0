import { api } from '../api/client';
import { lapCalls } from '../api/lap-calls';
import type {
  Causes,
  Columns,
  Debrief,
  DrivenLap,
  Finding,
  LapKind,
  LapPreview,
  LiveState,
  Rule,
  Surface,
  Whose,
} from '../api/laps';
import type { KeptSession } from '../api/sessions';
import type { View } from '../api/types';
import { Working } from '../api/working.svelte';
import { cornersOf, flying, joined, type CornerDebrief } from './debrief';

const LIVE_MS = 1000;

/** A file on its way in. */
export interface Taking {
  name: string;
  /** Share that has gone up; at 1 it is being read. */
  share: number;
  abort: AbortController;
}

/** A file that somebody looks at before it is taken. */
export interface Asking {
  file: File;
  columns: Columns;
  preview: LapPreview;
  whose: Whose;
}

/** What a corner is to blame for; until that is found, what it lost. */
const costs = (c: CornerDebrief | undefined) => c?.charged_s ?? c?.lost_s ?? 0;

const FOUND: Columns = { mapping: {}, headerLine: 0 };
const OWN: Whose = { driver: '', vehicle: '' };

/** What is on the debrief screen of a session, and what is done there. */
export class DebriefDesk extends Working {
  readonly session: string;
  readonly book: string;
  kept = $state.raw<KeptSession>();
  debrief = $state.raw<Debrief>();
  /** What cost the laps their time; found after they are read. */
  causes = $state.raw<Causes>();
  /** The revision that the laps are read against. */
  view = $state.raw<View>();
  taking = $state<Taking>();
  asking = $state.raw<Asking>();
  live = $state.raw<LiveState>();
  /** Whose laps are looked at. */
  whose = $state.raw<Whose>(OWN);
  /** A file is being looked at. */
  looking = $state('');
  /** The driver says what cost time before he sees it. */
  guessing = $state(false);
  /** Corner that was chosen; 0 for the costliest. */
  chosen = $state(0);

  readonly laps = $derived(this.debrief ? flying(this.debrief) : []);
  readonly corners = $derived(
    this.debrief && this.view
      ? cornersOf(this.debrief, this.laps, this.view.trace, this.causes)
      : [],
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

  private finding?: AbortController;

  constructor(book: string, session: string) {
    super();
    this.book = book;
    this.session = session;
  }

  private costliest(): number | undefined {
    return this.corners.reduce((most, c) => (costs(c) > costs(most) ? c : most), this.corners[0])
      ?.corner;
  }

  load = () =>
    this.run(async () => {
      this.kept ??= await api.session(this.session);
      await this.read();
    });

  /** The laps of whoever is looked at; of somebody who has none, those of the book's own driver. */
  private async read(): Promise<void> {
    const answer = await lapCalls.debrief(this.session, this.whose);
    if (this.view?.revision.number !== answer.revision) {
      this.view = await api.view(this.book, answer.revision);
    }
    this.debrief = answer;
    this.whose = { driver: answer.driver, vehicle: answer.vehicle };
    void this.find();
  }

  /** Looks for what cost time; an answer that comes when others are looked at is not shown. */
  private async find(): Promise<void> {
    this.finding?.abort();
    const abort = new AbortController();
    this.finding = abort;
    await this.run(async () => {
      const whose = this.whose;
      try {
        const causes = await lapCalls.causes(this.session, whose, abort.signal);
        if (this.finding === abort) this.causes = causes;
      } catch (e) {
        if (!abort.signal.aborted) throw e;
      }
    });
  }

  /** Loads what is there; a logger that is writing goes on being watched. */
  begin = async () => {
    await this.load();
    const there = await this.run(async () => (this.live = await lapCalls.live(this.session)));
    if (there && this.live?.running) void this.watch();
  };

  private change = (work: () => Promise<unknown>) =>
    this.run(async () => {
      await work();
      await this.read();
    });

  /** Looks at a file first: what it would become is shown before anything of it is kept. */
  take = (file: File | undefined) =>
    this.run(async () => {
      if (!file) return;
      this.looking = file.name;
      try {
        const preview = await lapCalls.previewLaps(this.session, file, FOUND);
        this.asking = { file, preview, columns: FOUND, whose: this.whose };
      } finally {
        this.looking = '';
      }
    });

  map = (header: string, column: string) =>
    this.ask(({ mapping, headerLine }) => ({
      mapping: { ...mapping, [header]: column },
      headerLine,
    }));

  /** Somebody points at the row of headers. */
  point = (headerLine: number) => this.ask(({ mapping }) => ({ mapping, headerLine }));

  private ask = (change: (columns: Columns) => Columns) =>
    this.run(async () => {
      if (!this.asking) return;
      const columns = change(this.asking.columns);
      const asked = { ...this.asking, columns };
      this.asking = asked;
      const preview = await lapCalls.previewLaps(this.session, asked.file, columns);
      // Somebody may have named the next column meanwhile.
      if (this.asking?.columns === columns) this.asking = { ...this.asking, preview };
    });

  /** Says whose laps the file has that is looked at. */
  nameWhose = (whose: Whose) => {
    if (this.asking) this.asking = { ...this.asking, whose };
  };

  takeAsked = async () => {
    if (!this.asking) return;
    const asked = this.asking;
    this.asking = undefined;
    await this.run(() => this.bring(asked));
  };

  private async bring({ file, columns, whose }: Asking): Promise<void> {
    const abort = new AbortController();
    this.taking = { name: file.name, share: 0, abort };
    try {
      await lapCalls.addLaps(
        this.session,
        file,
        columns,
        whose,
        (share) => this.taking && (this.taking.share = share),
        abort.signal,
      );
    } finally {
      this.taking = undefined;
    }
    this.whose = whose;
    await this.load();
  }

  /** The laps of another driver, or of another vehicle. */
  look = (whose: Whose) =>
    this.run(async () => {
      this.whose = whose;
      this.causes = undefined;
      this.chosen = 0;
      await this.read();
    });

  sayWhose = (file: string, whose: Whose) => this.change(() => lapCalls.sayWhose(file, whose));

  /** The session was driven on another surface: its laps are read against that one's pages. */
  saySurface = (surface: Surface) =>
    this.run(async () => {
      await lapCalls.saySurface(this.session, surface);
      this.kept = await api.session(this.session);
      await this.read();
    });

  remove = (file: string) => this.change(() => api.putAway('file', file));

  rename = (file: string, name: string) => this.change(() => lapCalls.renameLaps(file, name));

  sayKind = (lap: DrivenLap, kind: LapKind) =>
    this.change(() =>
      lapCalls.sayKind(lap.file, lap.number, kind === lap.recognised ? null : kind),
    );

  dismiss = ({ corner, rule, laps }: Finding, reason: string) =>
    this.change(() => lapCalls.dismiss(this.session, { corner, rule, laps }, reason));

  /** Says what cost time, before it is looked at. */
  guess = (corner: number, rule: Rule) =>
    this.change(() => lapCalls.guess(this.session, { corner, rule }));

  remark = (words: string, author: 'driver' | 'coach', corner?: number, lap?: string) =>
    this.change(() => lapCalls.remark(this.session, { words, author, corner, lap }));

  takeBack = (note: string) => this.change(() => lapCalls.removeDebriefNote(note));

  /** The simulated logger drives, and laps come in as they are driven. */
  startLive = async () => {
    const begun = await this.run(async () => {
      this.live = await lapCalls.startLive(
        this.session,
        6,
        (this.debrief?.files.length ?? 0) + 1,
        20,
      );
    });
    if (begun) void this.watch();
  };

  stopLive = () => this.run(async () => (this.live = await lapCalls.stopLive(this.session)));

  private async watch(): Promise<void> {
    let laps = 0;
    let running = true;
    while (running) {
      await new Promise((done) => setTimeout(done, LIVE_MS));
      const good = await this.run(async () => {
        this.live = await lapCalls.live(this.session);
        if (this.live.laps !== laps || !this.live.running) {
          laps = this.live.laps;
          await this.load();
        }
      });
      running = good && (this.live?.running ?? false);
    }
  }
}
