import { describe, expect, it } from 'vitest';
import type { CaseText } from '@pilgrim/core';
import { drawnStarting } from '../src/needs';
import { figure } from './cases';
import { american, european, finding } from './guarded';

type Guard = NonNullable<CaseText['guard']>;

/** A fan on the plate's motor, started straight on the line at the end of a long cable. */
const far = (length: string, guard: Guard = {}, over: Partial<CaseText> = {}) =>
  european({ maxDrop: 0.3, ...guard }, { place: { cable: { length } }, method: 'direct', ...over });

describe('what a motor draws while it starts, by its power', () => {
  // 1.5 kW, 400 V, 3.2 A, 83 %: losses 307 W, of them 123 W in the stator's copper.
  const [standstill, breakdown] = drawnStarting(
    { power: 1500, voltage: 400, current: 3.2, efficiency: 0.83 },
    { locked: 22.4, torque: 2.4, breakdown: 2.9 },
  );
  it('standstill by hand: 3600 W in the rotor and 49 × 123 W of copper out of 15.5 kVA', () => {
    expect(standstill.current).toBe(22.4);
    expect(standstill.cosine).toBeCloseTo((3600 + 49 * 122.9) / (Math.sqrt(3) * 400 * 22.4), 3);
    // Small motors stand at 0.6 to 0.8, and not at the 0.3 of large ones.
    expect(standstill.cosine).toBeGreaterThan(0.6);
  });
  it('at breakdown less current and more of it active', () => {
    expect(breakdown.current).toBeCloseTo(0.72 * 22.4, 9);
    expect(breakdown.cosine).toBeGreaterThan(standstill.cosine);
  });
  it('a large motor stands near 0.3', () => {
    const [large] = drawnStarting(
      { power: 250e3, voltage: 400, current: 430, efficiency: 0.958 },
      { locked: 3010, torque: 1.8, breakdown: 2.6 },
    );
    expect(large.cosine).toBeGreaterThan(0.2);
    expect(large.cosine).toBeLessThan(0.4);
  });
});

describe('what a start loses on its cable', () => {
  it('straight on the line it is the run’s own, within what its currents can lose', () => {
    const r = far('120 m', { cable: { area: '10 mm2' } });
    const lost = figure(r, 'guard.startVoltageDrop');
    expect(lost).toBe(figure(r, 'start.direct.cableDrop'));
    // By hand: no more than √3 · I · Z at the greatest current, no less than what its resistance alone loses of it at a
    // power factor of 0.3.
    const [R, X] = [(0.0225 * 120) / 10, 0.08e-3 * 120];
    const I = figure(r, 'start.direct.peakCurrent');
    expect(lost).toBeLessThan((Math.sqrt(3) * I * Math.hypot(R, X)) / 400);
    expect(lost).toBeGreaterThan((Math.sqrt(3) * I * (R * 0.3 + X * 0.95)) / 400);
    expect(r.figures['guard.startVoltageDrop']?.estimate).toBe(false);
  });
  it('both sides of the house rule on a cable that is there, with the size that does', () => {
    const there = (maxStartDrop?: number) =>
      far('120 m', { cable: { area: '10 mm2' } }, maxStartDrop === undefined ? {} : { rules: { maxStartDrop } });
    const lost = figure(there(), 'guard.startVoltageDrop');
    expect(finding(there(lost * 1.001), 'guard.start-drop')).toBeUndefined();
    const over = finding(there(lost * 0.99), 'guard.start-drop');
    expect(over?.level).toBe('caution');
    expect(over?.text).toContain('16 mm² does');
    expect(finding(there(0.01), 'guard.start-drop')?.text).toContain('no size of the tables does');
    const named = far('120 m', { cable: { area: '16 mm2' } }, { rules: { maxStartDrop: lost * 0.99 } });
    expect(finding(named, 'guard.start-drop')).toBeUndefined();
  });
  it('a size that nobody typed keeps it, as simulated', () => {
    for (const [make, most] of [
      [european, 0.08],
      [european, 0.15],
      [american, 0.08],
      [american, 0.15],
    ] as const)
      // prettier-ignore
      for (const length of ['60 m', '150 m', '300 m']) {
        const r = make(
          { maxDrop: 0.3 },
          { place: { cable: { length } }, method: 'direct', rules: { maxStartDrop: most } },
        );
        expect(figure(r, 'guard.startVoltageDrop'), `${most} ${length}`).toBeLessThan(most * 1.0006);
        expect(finding(r, 'guard.start-drop')).toBeUndefined();
      }
  });
  it('a soft starter loses by its own current, at what the motor stands at', () => {
    const soft = far('120 m', { cable: { area: '10 mm2' } }, { method: 'soft-starter' });
    const direct = far('120 m', { cable: { area: '10 mm2' } });
    expect(figure(soft, 'guard.startVoltageDrop')).toBeLessThan(figure(direct, 'guard.startVoltageDrop'));
    const { I, c } = soft.figures['guard.startVoltageDrop']?.inputs ?? {};
    expect(I).toBe('start.soft-starter.peakCurrent');
    expect(Number(c)).toBeGreaterThan(0.25);
    expect(finding(soft, 'guard.start-drop')).toBeUndefined();
  });
  it('on a drive at its running power factor', () => {
    const drive = far('120 m', { cable: { area: '10 mm2' } }, { method: 'drive' });
    expect(Number(drive.figures['guard.startVoltageDrop']?.inputs['c'])).toBeGreaterThan(0.75);
  });
});
