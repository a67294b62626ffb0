import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Day, LinkSweep, OnDay, SchoolLine } from '../api/answers';
import { api, Failed } from '../api/client';
import type { BookState } from '../book/book-state.svelte';
import { Panels } from './panels.svelte';

const book = { id: 'b', draft: () => ({ parent: 1 }) } as unknown as BookState;
const line = (school: SchoolLine['school'], lost_s: number) =>
  ({ school, lost_s, from_m: 0, step_m: 1, offset_m: [0, 1], speed_mps: [20, 20] }) as SchoolLine;
const ways = [line('fastest', -0.1), line('rounded', 0), line('v', 0.4), line('tight', 0.5)];

describe('the panels of a page', () => {
  beforeEach(() => vi.restoreAllMocks());

  it('ask nothing while the words are open', async () => {
    const schools = vi.spyOn(api, 'schools');
    await new Panels(book).ask(4);
    expect(schools).not.toHaveBeenCalled();
  });

  it('show the three quickest ways at first, and what is chosen after', async () => {
    vi.spyOn(api, 'schools').mockResolvedValue(ways);
    const panels = new Panels(book);
    panels.open = 'ways';
    await panels.ask(4);
    expect(panels.lines.map((l) => l.letters)).toEqual(['Fa', 'Ro', 'V']);
    panels.toggle('v');
    panels.toggle('tight');
    await panels.ask(4);
    expect(panels.lines.map((l) => l.letters)).toEqual(['Fa', 'Ro', 'Ti']);
    panels.open = 'words';
    expect(panels.lines).toEqual([]);
  });

  it('drop an answer that comes after the corner was left', async () => {
    let answer: (ways: SchoolLine[]) => void = () => {};
    vi.spyOn(api, 'schools').mockReturnValue(new Promise((resolve) => (answer = resolve)));
    const panels = new Panels(book);
    panels.open = 'ways';
    const asked = panels.ask(4);
    panels.forget();
    answer(ways);
    await asked;
    expect(panels.ways).toBeUndefined();
    expect(panels.asking).toBe(false);
  });

  it('say what the server refuses', async () => {
    const problem = { title: 'A value cannot be used', detail: 'not linked', status: 422 };
    vi.spyOn(api, 'link').mockRejectedValue(new Failed(problem));
    const panels = new Panels(book);
    panels.open = 'link';
    await panels.ask(4);
    expect(panels.problem).toEqual(problem);
    expect(panels.asking).toBe(false);
  });

  it('lay the line of the day that is ticked beside the book’s', async () => {
    const on = (day: Day) =>
      ({ day, step_m: 2, offset_m: [0, 1, 2], shifts: [] }) as unknown as OnDay;
    vi.spyOn(api, 'days').mockResolvedValue([on('damp'), on('wet')]);
    const panels = new Panels(book);
    panels.open = 'days';
    await panels.ask(4);
    expect(panels.lines.map((l) => l.name)).toEqual(['Wet road']);
    panels.day = 'cold-first-lap';
    expect(panels.lines).toEqual([]);
  });

  it('show the way through a link that is looked at, the quickest at first', async () => {
    const way = (lost_s: number, at: number) => ({ lost_s, line_m: [at, at] });
    vi.spyOn(api, 'link').mockResolvedValue({
      link_m: 1,
      presentOffset_m: 0,
      from_m: 0,
      step_m: 1,
      ways: [way(0.2, -2), way(-0.1, 0), way(0.1, 2)],
    } as unknown as LinkSweep);
    const panels = new Panels(book);
    panels.open = 'link';
    await panels.ask(6);
    expect(panels.lines[0].offset_m).toEqual([0, 0]);
    panels.way = 2;
    expect(panels.lines[0].offset_m).toEqual([2, 2]);
  });
});
