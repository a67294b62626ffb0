/** How power is told. */
export type PowerUnit = 'kW' | 'hp' | 'PS';

/** Watts of one: NIST SP 811, B.8 (550 ft·lbf/s, and the metric one of 75 kgf·m/s). */
const WATTS: Record<PowerUnit, number> = { kW: 1000, hp: 745.69987, PS: 735.49875 };

export const POWER_UNITS = Object.keys(WATTS) as PowerUnit[];

/** Power in kilowatts. */
export const kilowatts = (power: number, unit: PowerUnit) => (power * WATTS[unit]) / 1000;
