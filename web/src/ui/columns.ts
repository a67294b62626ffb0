/** What a logger's channel is called on the screen, by its name in the lap format without the unit. */
const QUANTITIES: Record<string, string> = {
  lat: 'latitude',
  lon: 'longitude',
  alt: 'height',
  z: 'height',
  width: 'whole width',
  width_left: 'width to the left edge',
  width_right: 'width to the right edge',
  banking: 'banking, right edge higher',
  x: 'place to the east',
  y: 'place to the north',
  steer: 'steering',
  lateral_acc: 'acceleration sideways',
  longitudinal_acc: 'acceleration along',
  yaw_rate: 'yaw rate',
};
const UNITS: Record<string, string> = {
  kmh: 'km/h',
  mps: 'm/s',
  kn: 'knots',
  pct: '%',
  kpa: 'kPa',
  deg: '°',
  dps: '°/s',
  mps2: 'm/s²',
};
const WHOLE: Record<string, string> = {
  rpm: 'engine speed, 1/min',
  lat_g: 'acceleration sideways, g',
  long_g: 'acceleration along, g',
};

/** A column of the lap format in words: "speed, km/h". */
export function columnWords(name: string): string {
  if (WHOLE[name]) return WHOLE[name];
  const cut = name.lastIndexOf('_');
  if (cut < 0) return QUANTITIES[name] ?? name;
  const quantity = name.slice(0, cut);
  const unit = name.slice(cut + 1);
  return `${QUANTITIES[quantity] ?? quantity.replaceAll('_', ' ')}, ${UNITS[unit] ?? unit}`;
}
