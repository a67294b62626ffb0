import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Press, Run, Runs } from '../api/runs';
import type { Trace, View } from '../api/types';

/** What was sent to be kept, and whether the server is there. */
const server = vi.hoisted(() => ({
  kept: [] as { until_s: number; presses: Press[]; speedShare: number }[],
  refuses: false,
}));

vi.mock('../api/client', async () => {
  const { Failed } = await vi.importActual<typeof import('../api/http')>('../api/http');
  const runs: Runs = {
    revision: 2,
    lap_s: 20,
    acts: [
      { corner: 1, kind: 'brake', at_m: 200, at_s: 4 },
      { corner: 1, kind: 'turn', at_m: 300, at_s: 6 },
    ],
    runs: [],
  };
  return {
    Failed,
    api: {
      runs: async () => runs,
      view: async () => ({ trace }) as View,
      keepRun: async (_: string, run: (typeof server.kept)[number]) => {
        if (server.refuses) throw new Failed({ status: 0, title: 'away', detail: 'away' });
        server.kept.push(run);
        return { id: 'r', ...run } as unknown as Run;
      },
    },
  };
});

const { RunDesk } = await import('./run-state.svelte');

/** A lap of a kilometre at an even 50 m/s. */
const trace = {
  closed: true,
  length_m: 1000,
  step_m: 10,
  time_s: Array.from({ length: 100 }, (_, i) => (i * 10) / 50),
  speed_mps: Array(100).fill(50),
} as unknown as Trace;

async function desk() {
  const made = new RunDesk('b', async () => [
    { corner: 1, from_s: 2, to_s: 3, point_m: 200, point_s: 4, words: 'Brake at the cone.' },
  ]);
  await made.load();
  return made;
}

describe('a run', () => {
  beforeEach(() => {
    server.kept.length = 0;
    server.refuses = false;
  });

  it('counts three seconds and goes from there, not from the frame that notices it', async () => {
    const run = await desk();
    await run.begin(1000);
    run.tick(1500);
    expect(run.phase).toBe('counting');
    expect(run.count).toBe(3);
    expect(run.tick(4010)).toBeCloseTo(0.5, 6);
    expect(run.phase).toBe('running');
    expect(run.tick(6000)).toBeCloseTo(100, 6);
  });

  it('counts from three, also if the first frame was begun before the key was pressed', async () => {
    const run = await desk();
    await run.begin(1000);
    run.tick(990);
    expect(run.count).toBe(3);
    expect(run.tick(2500)).toBe(0);
    expect(run.count).toBe(2);
  });

  it('takes presses by their own stamps, at any share of the speed', async () => {
    const run = await desk();
    run.share = 0.5;
    await run.begin(0);
    run.tick(3000);
    run.press('brake', 3000 + 8200);
    expect(run.presses).toEqual([{ kind: 'brake', at_s: 4.1 }]);
    expect(run.told?.act?.corner).toBe(1);
    expect(run.told?.off_m).toBeCloseTo(5, 6);
    run.press('release', 3000 + 8300);
    expect(run.told?.act).toBeUndefined();
  });

  it('loses nothing when it is paused, and takes no press meanwhile', async () => {
    const run = await desk();
    await run.begin(0);
    run.tick(3000);
    run.press('brake', 7000);
    run.pause(8000, 'the window lost the focus');
    run.press('turn', 9000);
    expect(run.presses).toHaveLength(1);
    expect(run.why).toContain('focus');
    expect(run.tick(60000)).toBeCloseTo(250, 6);
    run.goOn(60000);
    run.tick(63000);
    run.press('turn', 64000);
    expect(run.presses[1].at_s).toBeCloseTo(6, 9);
  });

  it('is kept at the line, or as far as it went', async () => {
    const run = await desk();
    await run.begin(0);
    run.tick(3000);
    run.press('brake', 7000);
    await run.end(13000);
    expect(server.kept[0].until_s).toBeCloseTo(10, 9);
    expect(run.phase).toBe('over');
    await run.begin(20000);
    run.tick(23000);
    run.press('brake', 27000);
    run.tick(43001);
    await vi.waitFor(() => expect(server.kept).toHaveLength(2));
    expect(server.kept[1].until_s).toBe(20);
  });

  it('without a press is not kept', async () => {
    const run = await desk();
    await run.begin(0);
    run.tick(3000);
    await run.end(9000);
    expect(run.phase).toBe('ready');
    expect(server.kept).toEqual([]);
  });

  it('stays where the server is away, until it can be kept', async () => {
    const run = await desk();
    await run.begin(0);
    run.tick(3000);
    run.press('brake', 7000);
    server.refuses = true;
    await run.end(13000);
    expect(run.problem?.detail).toBe('away');
    expect(run.unkept).toBeCloseTo(10, 9);
    server.refuses = false;
    await run.keep(run.unkept!);
    expect(server.kept).toHaveLength(1);
    expect(run.unkept).toBeUndefined();
  });

  it('in the dark says each call when it begins', async () => {
    const run = await desk();
    run.help = 'dark';
    vi.spyOn(performance, 'now').mockReturnValue(0);
    await run.begin(0);
    run.tick(3000);
    run.tick(4900);
    expect(run.call).toBeUndefined();
    run.tick(5100);
    expect(run.call?.words).toBe('Brake at the cone.');
    vi.restoreAllMocks();
  });
});
