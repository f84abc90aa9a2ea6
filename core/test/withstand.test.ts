import { describe, expect, it } from 'vitest';
import type { CaseText, Result } from '@pilgrim/core';
import { clearing, faultBorne } from '../src/needs';
import { figure, solved } from './cases';
import { american, crossing, european, finding, from } from './guarded';

const held = (r: Result) => crossing(r, 'protects-cable')?.outcome;

describe('what a cable bears of a short circuit (adiabatic, k²S²; k from memory of IEC 60364-4-43)', () => {
  // A motor breaker set to 500 A opens at 600 A at the latest, in 20 ms, and from 2500 A on in 10: 10 kA is 10⁶ A²s.
  const breaker = (withstand: number, letThrough?: number) =>
    faultBorne(
      clearing({ kind: 'motor-breaker', rating: 500, relay: undefined }, letThrough),
      [700, 10_000],
      withstand,
    );
  it('16 mm² of copper in PVC bear what half a cycle of 10 kA is; 6 mm² only what the maker says', () => {
    expect(breaker((115 * 16) ** 2).bears).toBe('yes');
    expect(breaker((115 * 6) ** 2)).toEqual({ bears: 'unknown', at: 10_000 });
  });
  it('both sides of the let-through that its maker says', () => {
    const bears = (115 * 6) ** 2;
    expect(breaker(bears, bears).bears).toBe('yes');
    expect(breaker(bears, bears * 1.001).bears).toBe('no');
  });
  it('below the magnetic setting only the relay is there: class 10 at 25 × its dial is off in 0.83 s', () => {
    const weak = (withstand: number, relay?: { class: '10'; dial: number }) =>
      faultBorne(clearing({ kind: 'motor-breaker', rating: 500, relay }, undefined), [500, 500], withstand);
    // By hand: 10 s × (7.2 ÷ 25)² × 500² = 207,000 A²s.
    expect(weak(210_000, { class: '10', dial: 20 }).bears).toBe('yes');
    expect(weak(200_000, { class: '10', dial: 20 })).toEqual({ bears: 'no', at: 500 });
    expect(weak(1e9).bears).toBe('no');
  });
  it('a fuse limits by its own melting: what it lets through is known', () => {
    // IEC 60269-1, Table 3: 63 A melt within 0.1 s at 820 A at the latest, 67,240 A²s; beyond, the same I²t.
    const fuse = (withstand: number) =>
      faultBorne(clearing({ kind: 'fuse-gg', rating: 63, relay: undefined }, undefined), [2000, 50_000], withstand);
    expect(fuse((115 * 2.5) ** 2).bears).toBe('yes');
    expect(fuse((115 * 1.5) ** 2).bears).toBe('no');
  });
});

describe('a circuit and its fault', () => {
  it('unknown, the withstand is a condition with its number: not green, and on the list of what is open', () => {
    const r = european();
    expect(held(r)).toBe('condition');
    expect(r.stations.guard).toMatchObject({ state: 'condition', because: ['guard.letThrough'] });
    expect(r.open.find((o) => o.field === 'guard.letThrough')).toMatchObject({
      who: 'maker',
      text: expect.stringContaining('476000 A²·s or less at 18.0 kA') as string,
    });
    expect(finding(r, 'guard.crossing')).toBeUndefined();
  });
  it('known and borne it is green; known and not borne a size that is there is a caution', () => {
    const typed = (letThrough: string) => european({ cable: { area: '6 mm2' }, letThrough });
    expect(held(typed('470000 A2s'))).toBe('pass');
    expect(typed('470000 A2s').stations.guard.state).toBe('enough');
    expect(held(typed('480000 A2s'))).toBe('caution');
    expect(finding(typed('480000 A2s'), 'guard.crossing')).toMatchObject({ level: 'caution' });
    expect(typed('480000 A2s').stations.guard.state).toBe('caution');
  });
  it('the size that nobody typed grows until it bears the fault, and says that it did', () => {
    const free = european({ letThrough: '2000000 A2s' });
    // (115 × 10)² = 1.32·10⁶ is too little, (115 × 16)² = 3.39·10⁶ does.
    expect(figure(free, 'guard.conductorArea')).toBe(16);
    expect(finding(free, 'guard.cable-size')?.text).toContain('a short circuit until its device is off');
    expect(held(free)).toBe('pass');
    expect(figure(european({ letThrough: '1300000 A2s' }), 'guard.conductorArea')).toBe(10);
  });
  it('the device that sizes the cable is the one of the circuit: by the table’s current and the raised settings', () => {
    for (const device of ['instantaneous-breaker', 'inverse-time-breaker', 'dual-element-fuse'] as const)
      for (const length of ['40 m', '150 m', '300 m']) {
        const over: Partial<CaseText> = { place: { cable: { length } }, rules: { maxStartDrop: 0.4 } };
        const r = american({ device, relay: { class: 30 }, maxDrop: 0.3, cable: { material: 'aluminium' } }, over);
        expect(held(r), `${device} ${length}`).not.toBe('caution');
      }
  });
  it('behind a source that nobody described no fault is known, and none is judged', () => {
    const r = european({}, from('18 kA', { source: undefined }));
    expect(held(r)).toBeUndefined();
    expect(r.stations.guard.because).not.toContain('guard.letThrough');
  });
});

describe('pulses on the bus of a chopper (house rule)', () => {
  const lift = (over: Partial<CaseText>): Result =>
    solved({
      ...{ format: 'pilgrim.case/1', practice: 'north-america' },
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level', current: '18 kA' } },
      load: {
        machine: 'hoist',
        brake: 'motor',
        demand: { kind: 'hoist', mass: '2 t', speed: '0.3 m/s', efficiency: 0.85, drumDiameter: '0.4 m' },
        train: { kind: 'gearbox', ratio: 120, efficiency: 0.95 },
      },
      place: { ambient: '30 degC', cable: { length: '40 m' } },
      method: 'drive',
      ...over,
    });
  const judged = (over: Partial<CaseText> = {}): number => figure(lift(over), 'drive.peakJudged');
  it('a hoist’s chopper stands at 780 V: the pulses are that much higher than at a tenth over the motor’s voltage', () => {
    const motor = { catalogue: 'na-tefc-15hp-4p' };
    const [bus, line] = [
      judged({ motor, drive: { filter: 'dv-dt' } }),
      judged({ motor, drive: { filter: 'dv-dt' }, rules: { brakedPulses: 'line' } }),
    ];
    expect(Math.abs(bus / line / (780 / (Math.SQRT2 * 1.1 * 460)) - 1)).toBeLessThan(0.01);
    // Behind a sine filter the motor sees what the drive is told to give, and not the bus.
    expect(judged({ drive: { filter: 'sine' } })).toBeCloseTo(1.1 * Math.SQRT2 * 1.1 * 460, 0);
  });
  it('what feeds back, or only ramps, leaves the bus where the line holds it', () => {
    const fan = (kind: 'ramp' | 'chopper' | 'regenerative') =>
      figure(
        lift({
          load: { machine: 'centrifugal-fan', demand: { kind: 'power', power: '10 kW', speed: '1770 rpm' } },
          drive: { filter: 'dv-dt', braking: { kind } },
        }),
        'drive.peakJudged',
      );
    expect(fan('ramp')).toBe(fan('regenerative'));
    expect(fan('chopper')).toBeGreaterThan(fan('ramp') * 1.05);
  });
});
