import type { Schemas } from './types';

/** What the server says of corners, cars and sheets beside the pages. */

export type School = Schemas['BookSchool'];
export type SchoolLine = Schemas['CornerSchoolView'];
export type LinkWay = Schemas['CornerWayView'];
export type LinkSweep = Schemas['CornerLinkView'];
/** What a point of a corner can be told by. */
export type OfferedMarks = Schemas['CornerOfferedView'];
export type CornerGears = Schemas['CornerGears'];
export type Ideal = Schemas['BrakeBalanceIdeal'];
export type BalanceZone = Schemas['BrakeBalanceZone'];
export type Balance = Schemas['BrakeBalanceResult'];
export type CarChange = Schemas['SensitivitiesEffect']['change'];
export type GripAtSpeed = Schemas['GripPictureAtSpeed'];
export type GearUse = Schemas['GearPictureGear'];
export type Figures = Schemas['Figures'];
export type CarFacts = Schemas['CarSketchesFactsBody'];
export type CarSketch = Schemas['CarSketchesSketchView'];
/** A car with some numbers changed, and what that does to a book's lap. */
export type ChangedCar = Schemas['CarAnswersChangedCar'];
export type CarDocument = CarSketch['car'];
export type CarOnCircuit = Schemas['CarAnswersCarOnCircuit'];
export type SetupSheet = Schemas['BookSetup'];
export type KeptSheet = Schemas['SetupSheetsKept'];
export type SheetComparison = Schemas['SheetComparisonResult'];
export type Side = Schemas['TwoBooksSide'];
export type Beside = Schemas['CarAnswersBeside'];
export type DayShift = Schemas['DayShiftView'];
export type OnDay = Schemas['DayDayView'];
export type Day = OnDay['day'];
export type Call = Schemas['CallCallView'];
export type SpokenLap = Schemas['CallCallsView'];
