import type { Schemas } from './types';

/** Sessions, what they change, and what is read before them. */

export type Session = Schemas['BookSession'];
export type Kind = Session['kind'];
export type Purpose = Session['purpose'];
export type TyreSet = Schemas['BookTyreSet'];
export type ForecastHour = Schemas['BookForecastHour'];
export type OpenPoint = Schemas['BookOpenPoint'];
export type SessionResult = Schemas['BookResult'];
export type KeptSession = Schemas['SessionsKept'];
export type Weather = Schemas['SessionWeather'];
export type ChangedField = Schemas['BookChangedField'];
export type Change = Schemas['BriefChangeView'];
export type Decision = Schemas['BookDecision'];
export type Prepared = Schemas['BriefPreparedView'];
export type StepView = Schemas['StepBoardStepView'];
/** What a driver says of a lap on a step plan. */
export type StepWord = Schemas['BriefWordBody']['word'];
export type Tier = Schemas['BriefViewTargetView']['tier'];
export type Brief = Schemas['BriefView'];
export type InsideEntry = Schemas['DayInsideView'];
export type TyreSaving = Schemas['DaySavingView'];
export type OnPurpose = Schemas['DayPurposeView'];
export type Purposes = Schemas['DayPurposesView'];
export type RadioMessage = Schemas['SimulatedRadioMessage'];
export type Heard = Schemas['RadioHeard'];
