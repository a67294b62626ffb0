import type { DayShift } from '../api/answers';
import type { CornerPage, OwnField, Trace } from '../api/types';
import { onLap } from '../strip/lap-axis';
import { platesOf, type Plate } from '../strip/plates';

/**
 * The plates of a corner on another day: the page's own, moved as far as the model's are. What the
 * day does not move is left out.
 */
export function dayPlates(
  page: CornerPage,
  shift: DayShift,
  trace: Pick<Trace, 'length_m' | 'closed'>,
): Plate[] {
  const moved: { [field in OwnField]?: number } = {
    'brake.at_m': -(shift.brakeEarlier_m ?? 0),
    'trailBrake.release_m': -(shift.releaseEarlier_m ?? 0),
    'throttle.first_m': shift.throttleLater_m ?? 0,
  };
  const plates = platesOf(page).flatMap((plate): Plate[] => {
    const by = (plate.field && moved[plate.field]) ?? 0;
    if (Math.abs(by) < 1) return [];
    return [{ ...plate, station: onLap(trace, plate.station + by), mark: undefined }];
  });
  if (!shift.begins || shift.brakeAt_m == null) return plates;
  const brake: Plate = { letter: 'B', name: 'brake', station: shift.brakeAt_m, shape: 'square' };
  return [brake, ...plates];
}

/** Whether a point that the day moves is the driver's own. */
export function movesOwn(page: CornerPage, shift: DayShift): OwnField[] {
  const fields: [OwnField, number | null | undefined][] = [
    ['brake.at_m', shift.brakeEarlier_m],
    ['gears.corner', shift.gearsLower || null],
    ['trailBrake.release_m', shift.releaseEarlier_m],
    ['throttle.first_m', shift.throttleLater_m],
  ];
  return fields
    .filter(([field, by]) => by != null && Math.abs(by) >= 1 && isOwn(page, field))
    .map(([field]) => field);
}

const isOwn = (page: CornerPage, field: OwnField) => (page.sources[field] ?? 'model') !== 'model';
