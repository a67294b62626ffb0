import { getContext, setContext } from 'svelte';
import { api, Failed } from '../api/client';
import type { GroupRemark, Lead, LeadDay, RemarkState, Word } from '../api/lead';
import { Working } from '../api/working.svelte';
import { lineOn, openFor } from './lead-day';

const KEY = Symbol('lead');

/** What somebody else kept meanwhile, and what was to be kept here. */
interface Clash {
  what: string;
  theirs: unknown;
  mine: unknown;
  /** Puts mine over theirs, once theirs is loaded. */
  again: () => Promise<unknown>;
}

/** A led day on the screen: what is kept, who and which corner is chosen. */
export class LeadDesk extends Working {
  lead = $state.raw<Lead>();
  /** Key of the driver that is looked at; without a choice the one behind the leader. */
  chosen = $state<string>();
  /** Corner that a remark is about; 0 for the lap as a whole. */
  corner = $state(0);
  /** Days as they were before each change, the newest last. */
  past = $state.raw<LeadDay[]>([]);

  readonly line = $derived(this.lead ? lineOn(this.lead.turns, this.lead.day.lap) : []);
  readonly driver = $derived(
    this.lead?.day.drivers.find((d) => d.key === (this.chosen ?? this.line[0])),
  );
  readonly open = $derived(this.driver ? openFor(this.lead!.remarks, this.driver.key) : []);

  stale = $state.raw<Clash>();

  /** Changes go one after the other, each from what the one before left. */
  #queue: Promise<unknown> = Promise.resolve();

  constructor(readonly session: string) {
    super();
  }

  load = () => this.run(async () => void (this.lead = await api.lead(this.session)));

  nameOf = (key: string) => this.lead?.day.drivers.find((d) => d.key === key)?.name ?? key;

  /** Keeps another state of the day. */
  change = (make: (day: LeadDay) => LeadDay) => {
    this.#queue = this.#queue.then(() =>
      this.run(async () => {
        const before = this.lead!.day;
        const mine = make(before);
        try {
          this.lead = await api.changeLead(this.session, mine, this.lead!.edition);
        } catch (e) {
          if (!(e instanceof Failed && e.problem.theirs)) throw e;
          const theirs = e.problem.theirs as LeadDay;
          this.stale = { what: 'The day', theirs, mine, again: () => this.change(() => mine) };
          return;
        }
        this.past = [...this.past, before].slice(-50);
      }),
    );
    return this.#queue;
  };

  /** Goes on from what somebody else kept. */
  takeTheirs = async () => {
    this.stale = undefined;
    await this.load();
  };

  /** Keeps what was to be kept here in the place of theirs. */
  keepMine = async () => {
    const { again } = this.stale!;
    await this.takeTheirs();
    await again();
  };

  undo = () => {
    const before = this.past.at(-1);
    if (!before) return;
    const past = this.past.slice(0, -1);
    // The lap that is driven is a fact, no edit.
    void this.change((day) => ({ ...before, lap: Math.min(day.lap, before.laps) })).then(
      () => (this.past = past),
    );
  };

  toLap = (lap: number) => this.change((day) => ({ ...day, lap })).then(() => void this.past.pop());

  /** @param own whether the driver says it himself */
  say = (word: Word, own = false) =>
    this.run(async () => {
      const remark = await api.sayToDriver(this.session, {
        driver: this.driver!.key,
        corner: this.corner,
        words: word.text,
        good: word.good,
        own,
      });
      this.#remarks((all) => [...all, remark]);
    });

  see = (remark: GroupRemark, state: RemarkState) =>
    this.run(async () => {
      try {
        const seen = await api.seeRemark(remark, state);
        this.#remarks((all) => all.map((r) => (r.id === seen.id ? seen : r)));
      } catch (e) {
        if (!(e instanceof Failed && e.problem.status === 412)) throw e;
        await this.load();
        const theirs = this.lead!.remarks.find((r) => r.id === remark.id);
        if (!theirs) throw e;
        this.stale = {
          what: `The remark “${remark.words}”`,
          theirs: seenWords(theirs),
          mine: seenWords({ ...remark, state, closedOnLap: this.lead!.day.lap }),
          again: () => this.see(theirs, state),
        };
      }
    });

  takeBack = (remark: GroupRemark) =>
    this.run(async () => {
      await api.takeBackRemark(remark.id);
      this.#remarks((all) => all.filter((r) => r.id !== remark.id));
    });

  #remarks(make: (all: GroupRemark[]) => GroupRemark[]) {
    this.lead = { ...this.lead!, remarks: make(this.lead!.remarks) };
  }
}

/** A remark and what became of it, in words. */
function seenWords({ words, state, closedOnLap }: GroupRemark) {
  const outcome = { open: 'open', taken: 'taken', 'not-taken': 'not taken' }[state];
  return { remark: words, state: state === 'open' ? outcome : `${outcome} on lap ${closedOnLap}` };
}

export const provideLead = (desk: LeadDesk) => setContext(KEY, desk);
export const useLead = (): LeadDesk => getContext<LeadDesk>(KEY);
