import { whyWords } from '../say/every';
import { Asking } from '../api/asking.svelte';
import { api } from '../api/client';
import { Working } from '../api/working.svelte';
import type { CarFacts, CarSketch } from '../api/answers';
import { kilowatts, type PowerUnit } from './power';

/** What is typed of a car; what is not known yet is not there. */
export interface TypedFacts {
  name: string;
  kind: CarFacts['kind'];
  mass_kg?: number;
  power?: number;
  powerUnit: PowerUnit;
  power_rpm?: number;
  limiter_rpm?: number;
  drive: CarFacts['drive'];
  gears?: number;
  topSpeed_kmh?: number;
  zeroTo100_s?: number;
  tyres: CarFacts['tyres'];
  wings: boolean;
}

const NEEDED = ['mass_kg', 'power', 'power_rpm', 'limiter_rpm', 'gears', 'topSpeed_kmh'] as const;

/** The facts as they are asked with; undefined while one is missing. */
export function factsOf(typed: TypedFacts, changes: Record<string, number>): CarFacts | undefined {
  const missing = !typed.name.trim() || NEEDED.some((fact) => typed[fact] === undefined);
  if (missing) return undefined;
  return {
    name: typed.name.trim(),
    kind: typed.kind,
    mass_kg: typed.mass_kg!,
    power_kw: kilowatts(typed.power!, typed.powerUnit),
    power_rpm: typed.power_rpm!,
    limiter_rpm: typed.limiter_rpm!,
    drive: typed.kind === 'motorcycle' ? 'rear' : typed.drive,
    gears: typed.gears!,
    topSpeed_kmh: typed.topSpeed_kmh!,
    zeroTo100_s: typed.zeroTo100_s,
    tyres: typed.tyres,
    wings: typed.kind === 'car' && typed.wings,
    changes,
  };
}

/** A car being made from what a driver knows: each fact that is typed makes it anew. */
export class MakeCar {
  typed = $state<TypedFacts>({
    name: '',
    kind: 'car',
    powerUnit: 'kW',
    drive: 'rear',
    tyres: 'track-day',
    wings: false,
  });
  /** Assumed values that are changed, by their pointers. */
  changes = $state<Record<string, number>>({});
  readonly asking = new Asking<CarSketch>();
  readonly storing = new Working();
  readonly made = $derived(this.asking.answer);

  set(part: Partial<TypedFacts>) {
    this.typed = { ...this.typed, ...part };
    this.ask();
  }

  change(pointer: string, value: number | undefined) {
    const others = Object.entries(this.changes).filter(([at]) => at !== pointer);
    this.changes = Object.fromEntries(
      value === undefined ? others : [...others, [pointer, value] as const],
    );
    this.ask();
  }

  private ask() {
    const facts = factsOf(this.typed, this.changes);
    if (facts) void this.asking.ask(['sketch', facts], (signal) => api.sketchCar(facts, signal));
  }

  /** What the server says of a fact. */
  at(fact: string): string | undefined {
    const { problem } = this.asking;
    // The name of the field stands before it already.
    return problem?.field === fact ? whyWords(problem) : undefined;
  }

  /** Takes the car onto the shelf; answers its id. */
  async take(): Promise<string | undefined> {
    let id: string | undefined;
    await this.storing.run(async () => {
      const file = new File([JSON.stringify(this.made!.car)], 'made.car.json');
      id = (await api.importCar(file)).id;
    });
    return id;
  }
}
