import { describe, expect, it } from 'vitest';
import { practiceById, type CaseText } from '@pilgrim/core';
import { figure, findingIds, solved } from './cases';

/** Guard speaks of the motor on the plate where no other was asked for. */
const guarded = (plate: CaseText['plate'], supply = '208 V', extra: Partial<CaseText> = {}) =>
  solved({
    format: 'pilgrim.case/1',
    practice: 'north-america',
    supply: { voltage: supply, frequency: '60 Hz' },
    plate: { power: '10 hp', speed: '1755 rpm', frequency: '60 Hz', serviceFactor: 1.15, ...plate },
    ...extra,
  });

describe('the column of the code’s table (NFPA 70 Table 430.250, from memory)', () => {
  it('a plate that lists 208 V reads the 208 V column, and its own 208 V current is dialled', () => {
    const r = guarded({ voltage: '208-230/460 V', current: '29-26/13 A' });
    expect(figure(r, 'guard.tableCurrent')).toBe(30.8);
    expect(figure(r, 'guard.conductorCurrent')).toBeCloseTo(38.5, 6);
    expect(figure(r, 'guard.overloadDial')).toBe(29);
  });
  it('a 230 V motor used on 208 V reads it too', () => {
    const r = guarded({ voltage: '230/460 V', current: '26/13 A' });
    expect(figure(r, 'guard.tableCurrent')).toBe(30.8);
    expect(figure(r, 'plate.tableCurrent')).toBe(30.8);
    expect(figure(r, 'guard.conductorCurrent')).toBeCloseTo(38.5, 6);
    expect(figure(r, 'guard.overloadDial')).toBe(26);
  });
  it('one usable at 208 V with its current there is dialled at that current', () => {
    const r = guarded({ voltage: '230/460 V', current: '26/13 A', usableAt: { voltage: '208 V', current: '28.6 A' } });
    expect(figure(r, 'guard.tableCurrent')).toBe(30.8);
    expect(figure(r, 'guard.overloadDial')).toBe(28.6);
    expect(figure(r, 'guard.overloadTrip')).toBeCloseTo(1.25 * 28.6, 6);
  });
  it('but not where it runs on its rated voltage', () => {
    const r = guarded(
      { voltage: '230/460 V', current: '26/13 A', usableAt: { voltage: '208 V', current: '28.6 A' } },
      '230 V',
    );
    expect(figure(r, 'guard.tableCurrent')).toBe(28);
    expect(figure(r, 'guard.overloadDial')).toBe(26);
  });
  it('a 200 V motor on 208 V keeps the 200 V column', () => {
    const r = guarded({ voltage: '200 V', current: '30 A' });
    expect(figure(r, 'guard.tableCurrent')).toBe(32.2);
    expect(figure(r, 'guard.conductorCurrent')).toBeCloseTo(40.25, 6);
  });
  it.each([
    ['230 V', '240 V', 28],
    ['230 V', '203 V', 28],
    ['230 V', '204 V', 30.8],
    ['230 V', '212 V', 30.8],
    ['230 V', '213 V', 28],
    ['460 V', '480 V', 14],
  ])('a %s motor on %s: %d A', (rated, supply, amps) =>
    expect(
      practiceById('north-america').tableCurrent(10 * 745.7, parseFloat(rated), 0, parseFloat(supply))?.value,
    ).toBe(amps),
  );
});

describe('slow motors (430.6(A)(1))', () => {
  const slow = (speed: string, current: string) => guarded({ voltage: '460 V', current, speed }, '480 V');
  it.each(['880 rpm', '1175 rpm', '705 rpm'])('at %s the larger of plate and table sizes the conductors', (speed) => {
    expect(figure(slow(speed, '16.5 A'), 'guard.conductorCurrent')).toBeCloseTo(1.25 * 16.5, 6);
    expect(findingIds(slow(speed, '16.5 A'))).toContain('guard.low-speed');
    expect(figure(slow(speed, '13 A'), 'guard.conductorCurrent')).toBeCloseTo(1.25 * 14, 6);
    expect(findingIds(slow(speed, '13 A'))).not.toContain('guard.low-speed');
  });
  it.each(['1200 rpm', '1755 rpm', '3500 rpm'])('at %s the table stands', (speed) => {
    expect(figure(slow(speed, '16.5 A'), 'guard.conductorCurrent')).toBeCloseTo(1.25 * 14, 6);
    expect(figure(slow(speed, '16.5 A'), 'guard.tableCurrent')).toBe(14);
    expect(findingIds(slow(speed, '16.5 A'))).not.toContain('guard.low-speed');
  });
  it('by the house rule of the plate there is nothing to compare', () => {
    const r = guarded({ voltage: '460 V', current: '16.5 A', speed: '880 rpm' }, '480 V', {
      rules: { conductorBasis: 'plate' },
    });
    expect(figure(r, 'guard.conductorCurrent')).toBeCloseTo(1.25 * 16.5, 6);
    expect(findingIds(r)).not.toContain('guard.low-speed');
  });
  it('IEC practice goes by the plate anyway', () => {
    const r = guarded(
      { power: '7.5 kW', voltage: '400 V', current: '17 A', speed: '720 rpm', frequency: '50 Hz' },
      '400 V',
      { practice: 'iec', supply: { voltage: '400 V', frequency: '50 Hz' } },
    );
    expect(figure(r, 'guard.conductorCurrent')).toBe(17);
  });
});

describe('the overload trip (430.32(A)(1))', () => {
  const trip = (plate: CaseText['plate']) => {
    const r = guarded({ voltage: '460 V', current: '14 A', serviceFactor: undefined, ...plate }, '480 V');
    return [figure(r, 'guard.overloadTrip') / 14, figure(r, 'guard.overloadMaximum') / 14].map((x) =>
      Number(x.toFixed(3)),
    );
  };
  it.each([
    [{ serviceFactor: 1.15 }, [1.25, 1.4]],
    [{ serviceFactor: 1.14 }, [1.15, 1.3]],
    [{ serviceFactor: 1 }, [1.15, 1.3]],
    [{}, [1.15, 1.3]],
    [{ serviceFactor: 1, temperatureRise: '40 K' }, [1.25, 1.4]],
    [{ temperatureRise: '36 K' }, [1.25, 1.4]],
    [{ serviceFactor: 1, temperatureRise: '41 K' }, [1.15, 1.3]],
    [{ serviceFactor: 1.15, temperatureRise: '80 K' }, [1.25, 1.4]],
  ])('%j: %j', (plate, wanted) => expect(trip(plate)).toEqual(wanted));
  it('says which of the two decided', () => {
    const r = guarded({ voltage: '460 V', current: '14 A', serviceFactor: 1, temperatureRise: '40 K' }, '480 V');
    expect(r.figures['guard.overloadTrip']?.origins['k']?.text).toMatch(/1\.25 for a marked rise of 40 K/);
  });
});
