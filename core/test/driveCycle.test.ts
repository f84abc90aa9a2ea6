import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { physics, readCase, solve, type CaseText, type Result } from '@pilgrim/core';

const { leastDriveRating, overloadAfter } = physics;
const at = (duration: number, ratio: number, rest = false): physics.Segment => ({ duration, ratio, rest });

describe('a drive’s overload in time', () => {
  it('is used up by a minute at its overload, and back after nine at its rating', () => {
    for (const minute of [1.1, 1.2, 1.5]) {
      expect(overloadAfter(0, minute, minute, 60)).toBeCloseTo(1, 9);
      expect(overloadAfter(1, 1, minute, 540)).toBeCloseTo(0, 9);
    }
    expect(overloadAfter(0, 1.01, 1, 1)).toBe(Infinity);
    expect(overloadAfter(0, 0.5, 1.5, 60)).toBe(0);
  });
  it('a minute every ten at its overload asks for its rating, no more', () => {
    expect(leastDriveRating([at(60, 1.5), at(540, 1)], 1.5, 1.8)).toBeCloseTo(1, 4);
    // Twice as long or twice as often is not borne.
    expect(leastDriveRating([at(120, 1.5), at(480, 1)], 1.5, 1.8)).toBeGreaterThan(1.05);
    expect(leastDriveRating([at(60, 1.5), at(240, 1)], 1.5, 1.8)).toBeGreaterThan(1.05);
  });
  it('steady asks for itself; three seconds at 1.8 for its rating; standstill for nothing', () => {
    expect(leastDriveRating([at(60, 0.8)], 1.5, 1.8)).toBeCloseTo(0.8, 6);
    expect(leastDriveRating([at(3, 1.8), at(597, 0.9)], 1.5, 1.8)).toBeCloseTo(1, 4);
    expect(leastDriveRating([at(60, 0), at(60, 0, true)], 1.5, 1.8)).toBe(0);
  });
  it('a quick cycle asks for its thermal equivalent', () => {
    const rms = Math.sqrt((1 * 1.6 ** 2 + 2 * 0.5 ** 2) / 3);
    expect(leastDriveRating([at(1, 1.6), at(2, 0.5)], 1.5, 1.8)).toBeCloseTo(rms, 1);
  });
  it('lies between what runs on and the peak, and a heavier or longer overload never asks for less', () => {
    const some = fc.record({
      long: fc.double({ min: 1, max: 300, noNaN: true }),
      ratio: fc.double({ min: 1, max: 3, noNaN: true }),
      idle: fc.double({ min: 1, max: 900, noNaN: true }),
      base: fc.double({ min: 0, max: 1, noNaN: true }),
      more: fc.double({ min: 1, max: 1.5, noNaN: true }),
    });
    fc.assert(
      fc.property(some, ({ long, ratio, idle, base, more }) => {
        const of = (l: number, r: number): number => leastDriveRating([at(l, r), at(idle, base)], 1.5, 1.8);
        const least = of(long, ratio);
        expect(least).toBeGreaterThanOrEqual(Math.max(base, ratio / 1.8) * 0.9999);
        expect(least).toBeLessThanOrEqual(ratio * 1.0001);
        expect(of(long * more, ratio)).toBeGreaterThanOrEqual(least * 0.9999);
        expect(of(long, ratio * more)).toBeGreaterThanOrEqual(least * 0.9999);
      }),
    );
  });
});

/** A conveyor with its load in time, on a drive. */
const conveyor = (load: object, drive: CaseText['drive'] = {}): Result => {
  const reading = readCase({
    format: 'pilgrim.case/1',
    practice: 'iec',
    supply: { voltage: '400 V', frequency: '50 Hz' },
    load: { machine: 'conveyor', demand: { kind: 'power', power: '10 kW', speed: '1450 rpm' }, ...load },
    speed: { need: 'variable', min: 0.5 },
    drive,
    method: 'drive',
  });
  if (!reading.ok) throw new Error(JSON.stringify(reading.errors));
  return solve(reading.value);
};
const value = (r: Result, id: string): number => r.figures[id]?.value ?? NaN;

describe('the size of a drive by its duty', () => {
  it('a short overload within its class changes nothing; one longer or higher sizes it, and that is said', () => {
    const steady = conveyor({});
    const short = conveyor({ overload: { ratio: 1.4, duration: '30 s' } });
    const long = conveyor({ overload: { ratio: 1.5, duration: '240 s' } });
    expect(steady.figures['drive.cycleCurrent']).toBeUndefined();
    expect(short.findings.map((f) => f.id)).not.toContain('drive.cycle');
    expect(value(short, 'drive.ratedCurrent')).toBe(value(steady, 'drive.ratedCurrent'));
    expect(long.findings.map((f) => f.id)).toContain('drive.cycle');
    expect(value(long, 'drive.deratedCurrent')).toBeGreaterThanOrEqual(value(long, 'drive.cycleCurrent') * 0.999);
    expect(value(long, 'drive.cycleCurrent')).toBeGreaterThan(value(long, 'drive.requiredCurrent'));
    // What was asked of the motor alone stays as it was.
    expect(value(long, 'drive.overload')).toBe(1.5);
  });
  it('shows what the same size gives at normal and at heavy duty: one step of the ladder apart', () => {
    const heavy = conveyor({});
    const normal = conveyor({}, { duty: 'normal' });
    expect(value(heavy, 'drive.heavyCurrent')).toBe(value(heavy, 'drive.ratedCurrent'));
    expect(value(heavy, 'drive.normalCurrent')).toBeGreaterThan(value(heavy, 'drive.heavyCurrent'));
    expect(value(normal, 'drive.normalCurrent')).toBe(value(normal, 'drive.ratedCurrent'));
    expect(value(normal, 'drive.heavyCurrent')).toBeLessThan(value(normal, 'drive.normalCurrent'));
  });
});
