import { describe, expect, it, vi } from 'vitest';
import type { TracedLine } from '../api/types';
import type { BookState } from './book-state.svelte';
import { tracedWords } from './own-line';

const line: TracedLine = {
  lineOffsets_m: [1, 2],
  points: 1230,
  rounds: 1.002,
  noise_m: 0.31,
  smoothed_m: 0.83,
  beyond_m: 0.04,
  beyondAt_m: 812,
};
const writer = {
  speed: (mps: number) => `${mps} m/s`,
  length: (m: number) => `${m} m`,
  across: (m: number) => `${m.toFixed(1)} m`,
};
const server = vi.hoisted(() => ({ refusal: 0 }));

vi.mock('../api/client', async () => {
  const { Failed } = await vi.importActual<typeof import('../api/http')>('../api/http');
  const traced = async () => {
    if (server.refusal) throw new Failed({ status: server.refusal, detail: 'no', title: 'no' });
    return line;
  };
  return { Failed, api: { traceLine: traced, traceLap: traced } };
});

const { OwnLineState } = await import('./own-line.svelte');

describe('a line of one\u2019s own', () => {
  const bookOf = (kept?: number[]) => {
    const set = vi.fn();
    const book = {
      id: 'b',
      setLine: set,
      history: { now: { line: 'fastest' } },
      base: { revision: { lineOffsets_m: kept } },
    } as unknown as BookState;
    return { own: new OwnLineState(book), set };
  };

  it('goes from a lap into the draft', async () => {
    server.refusal = 0;
    const { own, set } = bookOf();
    expect(own.offsets_m).toBeUndefined();
    expect(await own.ofLap('f', 3)).toBe(true);
    expect(set).toHaveBeenCalledWith('own', [1, 2]);
    expect(own.offsets_m).toEqual([1, 2]);
  });

  it('says why a file is none, and changes nothing', async () => {
    server.refusal = 422;
    const { own, set } = bookOf([5]);
    expect(await own.ofFile(new File([], 'a.gpx'))).toBe(false);
    expect(own.problem?.status).toBe(422);
    expect(set).not.toHaveBeenCalled();
    expect(own.offsets_m).toEqual([5]);
  });

  it('is told with what was made of its positions', () => {
    expect(tracedWords(line, writer)).toBe(
      'From 1,230 positions. Their noise is about 0.3 m; smoothed by 0.8 m at most.',
    );
    expect(tracedWords({ ...line, rounds: 2.98, beyond_m: 1.14 }, writer)).toBe(
      'From 1,230 positions, the median of 3 laps. Their noise is about 0.3 m; smoothed by 0.8 m at most.' +
        ' Up to 1.1 m beyond the road, at 812 m: laid onto its edge.',
    );
  });
});
