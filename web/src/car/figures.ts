import type { Figures } from '../api/answers';

/** The figures of a vehicle as they are read: what, and its value with its unit. */
export function figureRows(f: Figures, leans: boolean): [string, string][] {
  const rows: [string, string][] = [
    [
      'ready to drive',
      `${Math.round(f.massKg)} kg, ${Math.round(100 * f.frontWeightShare)} % in front`,
    ],
    ['power', `${Math.round(f.powerW / 1000)} kW at ${Math.round(f.powerRpm / 100) * 100} rpm`],
    [
      'wheelbase, centre of gravity',
      `${f.wheelbaseM.toFixed(2)} m, ${f.cgHeightM.toFixed(2)} m high`,
    ],
    ['side grip used', `${f.gripLateral.toFixed(2)} of the load`],
    ['drag, downforce', `${f.cdAM2.toFixed(2)} m², ${f.clAM2.toFixed(2)} m²`],
  ];
  if (leans) {
    rows.push(
      ['lean at the limit', `${Math.round(f.leanLimitDeg)}°`],
      ['front wheel lifts', `from ${f.wheelieG.toFixed(2)} g of drive`],
      ['rear wheel lifts', `from ${f.stoppieG.toFixed(2)} g of braking`],
    );
  }
  return rows;
}
