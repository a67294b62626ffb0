import { describe, expect, it } from 'vitest';
import { columnWords } from './columns';

describe('columns of laps', () => {
  it('are said with their unit, not by their name in the file format', () => {
    expect(columnWords('speed_kmh')).toBe('speed, km/h');
    expect(columnWords('brake_pct')).toBe('brake, %');
    expect(columnWords('lat_deg')).toBe('latitude, °');
    expect(columnWords('lat_g')).toBe('acceleration sideways, g');
    expect(columnWords('lateral_acc_mps2')).toBe('acceleration sideways, m/s²');
    expect(columnWords('yaw_rate_dps')).toBe('yaw rate, °/s');
    expect(columnWords('gear')).toBe('gear');
    expect(columnWords('rpm')).toBe('engine speed, 1/min');
  });
});
