import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { figure, solved } from './cases';

type Plate = NonNullable<CaseText['plate']>;

/** A motor of the example, kept and started direct on 480 V. */
const motor = (plate: Plate, guard: NonNullable<CaseText['guard']> = {}): Result =>
  solved({
    format: 'pilgrim.case/1',
    practice: 'north-america',
    plate: { voltage: '460 V', speed: '1765 rpm', frequency: '60 Hz', ...plate },
    motor: { existing: true },
    method: 'direct',
    supply: { voltage: '480 V', frequency: '60 Hz' },
    load: { machine: 'conveyor', demand: { kind: 'power', power: plate.power ?? '25 hp', speed: '1765 rpm' } },
    guard,
  });

const cage: Plate = { power: '25 hp', current: '32 A', designLetter: 'B', serviceFactor: 1.15 };
// The others have a wound rotor, whose own fuse of 150 % (60 A) is given: Pilgrim sizes cage motors.
const wound: Plate = { power: '30 hp', current: '38 A', temperatureRise: '40 K' };
const others = {
  motors: [
    { power: '30 hp', device: '60 A' },
    { power: '30 hp', device: '60 A' },
  ],
};

describe('NFPA 70 (2023), Informative Annex D, Example D8: a 25 hp and two 30 hp motors on one 480 V feeder', () => {
  const r = motor(cage, { device: 'single-element-fuse', feeder: others });
  it('conductors: 1.25 × 34 = 43 A, 1.25 × 40 = 50 A; feeder 1.25 × 40 + 40 + 34 = 124 A', () => {
    expect(figure(r, 'guard.tableCurrent')).toBe(34);
    expect(Math.round(figure(r, 'guard.conductorCurrent'))).toBe(43);
    expect(figure(motor(wound), 'guard.conductorCurrent')).toBe(50);
    expect(figure(r, 'guard.feederCurrent')).toBe(124);
  });
  it('overload: 1.25 × 32 = 40.0 A by service factor, 1.25 × 38 = 47.5 A by a marked rise of 40 °C', () => {
    expect(figure(r, 'guard.overloadTrip')).toBeCloseTo(40, 9);
    expect(figure(motor(wound), 'guard.overloadTrip')).toBeCloseTo(47.5, 9);
    expect(figure(motor({ ...wound, temperatureRise: '50 K' }), 'guard.overloadTrip')).toBeCloseTo(43.7, 9);
  });
  it('nontime-delay fuse: 3 × 34 = 102, so 110 A; time-delay fuse: 1.75 × 34 = 59.5, so 60 A', () => {
    expect(figure(r, 'guard.fuseRatingSingle')).toBe(110);
    expect(figure(r, 'guard.fuseRatingDual')).toBe(60);
  });
  it('feeder: 110 + 40 + 40 = 190, so 175 A; by time-delay fuses 60 + 40 + 34 = 134, so 125 A', () => {
    expect(figure(r, 'guard.feederDevice')).toBe(175);
    expect(figure(motor(cage, { device: 'dual-element-fuse', feeder: others }), 'guard.feederDevice')).toBe(125);
  });
  it('an instantaneous breaker counts as the inverse-time one it might have been (430.62(A), Exception No. 1)', () => {
    // 2.5 × 34 = 85, so 90 A: 90 + 40 + 40 = 170, so 150 A.
    for (const device of ['inverse-time-breaker', 'instantaneous-breaker'] as const)
      expect(figure(motor(cage, { device, feeder: others }), 'guard.feederDevice')).toBe(150);
  });
});
