import type { Schemas } from './types';

/** The strip that comes towards the driver: what is to be pressed, and what was. */

export type Act = Schemas['RunActView'];
export type ActKind = Act['kind'];
export type Hit = Schemas['RunHitView'];
export type CornerScore = Schemas['RunCornerView'];
export type Run = Schemas['RunRunView'];
/** What is shown while it runs. */
export type Help = Run['help'];
export type Runs = Schemas['RunRunsView'];
export type Press = Schemas['RunPressBody'];
