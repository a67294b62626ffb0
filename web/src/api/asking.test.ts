import { beforeEach, describe, expect, it } from 'vitest';
import { Asking, queries } from './asking.svelte';
import { Failed } from './http';

/** Questions that are answered by hand. */
function desk() {
  const open: {
    name: string;
    signal: AbortSignal;
    give: (a: string) => void;
    fail: (e: unknown) => void;
  }[] = [];
  const fetch = (name: string) => (signal: AbortSignal) =>
    new Promise<string>((give, fail) => {
      signal.addEventListener('abort', () => fail(new DOMException('ended', 'AbortError')));
      open.push({ name, signal, give, fail });
    });
  return { open, fetch };
}

const soon = () => new Promise((resolve) => setTimeout(resolve));
const problem = { title: 'No', detail: 'not like this', status: 422 };

describe('asking again and again', () => {
  beforeEach(() => queries.clear());

  it('asks one thing at a time, then the newest of what came meanwhile', async () => {
    const { open, fetch } = desk();
    const asking = new Asking<string>();
    void asking.ask(['days', 1], fetch('one'));
    await soon();
    for (let draft = 2; draft <= 33; draft++) void asking.ask(['days', draft], fetch(`${draft}`));
    await soon();
    expect(open.map((o) => o.name)).toEqual(['one']);
    expect(asking.running).toBe(true);
    open[0].give('first');
    await soon();
    expect(asking.answer).toBe('first');
    expect(open.map((o) => o.name)).toEqual(['one', '33']);
    open[1].give('last');
    await soon();
    expect(asking.answer).toBe('last');
    expect(asking.running).toBe(false);
  });

  it('asks nothing again that is on its way or was answered', async () => {
    const { open, fetch } = desk();
    const asking = new Asking<string>();
    void asking.ask(['gears', { corner: 1 }], fetch('a'));
    void asking.ask(['gears', { corner: 2 }], fetch('b'));
    void asking.ask(['gears', { corner: 1 }], fetch('c'));
    await soon();
    open[0].give('answer');
    await soon();
    expect(open).toHaveLength(1);
    await asking.ask(['gears', { corner: 1 }], fetch('d'));
    expect(open).toHaveLength(1);
    expect(asking.answer).toBe('answer');
  });

  it('ends what is of no use any more, and its answer does not count', async () => {
    const { open, fetch } = desk();
    const asking = new Asking<string>();
    void asking.ask(['ways', 4], fetch('4'));
    await soon();
    asking.forget();
    expect(open[0].signal.aborted).toBe(true);
    expect(asking.running).toBe(false);
    const asked = asking.ask(['ways', 5], fetch('5'));
    await soon();
    open[0].give('of 4');
    open[1].give('of 5');
    await asked;
    expect(asking.answer).toBe('of 5');
    expect(asking.problem).toBeUndefined();
  });

  it('says what is refused, keeps the last answer, and goes on with what waits', async () => {
    const { open, fetch } = desk();
    const asking = new Asking<string>();
    const first = asking.ask(['link', 1], fetch('1'));
    await soon();
    open[0].give('good');
    await first;
    const second = asking.ask(['link', 2], fetch('2'));
    await soon();
    open[1].fail(new Failed(problem));
    await second;
    expect(asking.problem).toEqual(problem);
    expect(asking.answer).toBe('good');
    const third = asking.ask(['link', 3], fetch('3'));
    void asking.ask(['link', 4], fetch('4'));
    await soon();
    open[2].fail(new Failed(problem));
    await soon();
    open[3].give('better');
    await third;
    expect(asking.problem).toBeUndefined();
    expect(asking.answer).toBe('better');
    // What was refused is asked again, the server may have changed its mind.
    void asking.ask(['link', 2], fetch('2'));
    await soon();
    expect(open).toHaveLength(5);
  });

  it('does not swallow what is no answer of the server', async () => {
    const { open, fetch } = desk();
    const asking = new Asking<string>();
    const asked = asking.ask(['days'], fetch('x'));
    await soon();
    open[0].fail(new TypeError('a fault of ours'));
    await expect(asked).rejects.toThrow('a fault of ours');
    expect(asking.running).toBe(false);
  });
});
