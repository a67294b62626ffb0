import { describe, expect, it } from 'vitest';
import { codeTyped, deviceName } from './roles';

describe('a code that is typed', () => {
  it('stands as it was shown, however it is typed', () => {
    expect(codeTyped('eag6 v9cx')).toBe('EAG6-V9CX');
    expect(codeTyped('EAG6-V9CXZZ')).toBe('EAG6-V9CX');
    expect(codeTyped('ea')).toBe('EA');
  });
});

describe('a device', () => {
  it('is called after what it is', () => {
    expect(deviceName('Mozilla/5.0 (Linux; Android 14; X) Chrome/1 Mobile Safari/5')).toBe(
      'Android telephone',
    );
    expect(deviceName('Mozilla/5.0 (X11; Linux x86_64)')).toBe('Linux computer');
    expect(deviceName('')).toBe('device');
  });
});
