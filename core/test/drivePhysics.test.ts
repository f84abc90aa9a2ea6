import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { physics } from '@pilgrim/core';

const { pulsePeak, continuousTorque, minuteTorque, leastSpeed, greatestSpeed } = physics;

describe('pulses on a cable', () => {
  const bus = Math.SQRT2 * 480;
  const pulse = { step: bus, riseTime: 1e-7, speed: 150e6, surge: 80, reflection: 1 };
  it('double in full beyond half the way of an edge: 7.5 m for 0.1 µs, 1358 V on 480 V', () => {
    for (const length of [7.5, 10, 30, 300]) expect(pulsePeak({ ...pulse, length })).toBeCloseTo(1357.6, 0);
    expect(pulsePeak({ ...pulse, length: 6 })).toBeLessThan(1300);
    // At half the critical length the returns cancel the rest: the bus alone.
    expect(pulsePeak({ ...pulse, length: 3.75 })).toBeCloseTo(bus, 6);
    expect(pulsePeak({ ...pulse, length: 0 })).toBe(bus);
  });
  it('a motor that reflects a part returns that part: 1 + Γ', () => {
    for (const reflection of [0, 0.3, 0.8])
      expect(pulsePeak({ ...pulse, reflection, length: 100 })).toBeCloseTo(bus * (1 + reflection), 6);
  });
  it('between the two it is twice the bus times the share of the critical length', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1, noNaN: true }), (share) => {
        expect(pulsePeak({ ...pulse, length: 7.5 * share })).toBeCloseTo(2 * bus * share, 6);
      }),
    );
  });
  it('of a bare cable as a figure: a longer one never gives less, a slower edge never more', () => {
    const law = (l: number, t_r: number): number => physics.terminalPulse.of({ U: 480, l, v: 150e6, t_r } as never);
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 200, noNaN: true }),
        fc.double({ min: 5e-8, max: 5e-6, noNaN: true }),
        (l, t_r) => {
          expect(law(l * 1.3, t_r)).toBeGreaterThanOrEqual(law(l, t_r) - 1e-6 * bus);
          expect(law(l, t_r * 1.3)).toBeLessThanOrEqual(law(l, t_r) + 1e-6 * bus);
          expect(law(l, t_r)).toBeLessThanOrEqual(2 * bus + 1e-6);
          expect(law(l, t_r)).toBeGreaterThanOrEqual(bus);
        },
      ),
    );
  });
  it('a dV/dt filter keeps them low on any usual cable; a reactor less, the longer the less', () => {
    const coil = 6e-5;
    const dvdt = {
      inductance: coil,
      beside: 1000,
      capacitance: 4e-12 / coil,
      damping: Math.sqrt((coil * coil) / 4e-12),
    };
    const reactor = { inductance: 3 * coil, beside: 1000, capacitance: 0, damping: 1 };
    const behind = (filter: physics.PulseFilter, length: number): number => pulsePeak({ ...pulse, length, filter });
    for (const length of [10, 50, 100]) expect(behind(dvdt, length)).toBeLessThan(1.6 * bus);
    expect(behind(reactor, 100)).toBeGreaterThan(behind(reactor, 10));
    expect(behind(reactor, 30)).toBeLessThan(2 * bus);
    expect(behind(reactor, 30)).toBeGreaterThan(behind(dvdt, 30));
  });
});

describe('what a motor may carry on a drive', () => {
  const fan: physics.HeatModel = {
    ...{ stator: 0.37, rotor: 0.2, core: 0.22, stray: 0.12, friction: 0.09 },
    ...{ magnetising: 0.4, breakdown: 2.5, cooling: 'shaft-fan', reserve: 1 },
  };
  it('self-ventilated as the standards’ derating figures, read at six points', () => {
    // NEMA MG 1 (2016), Figure 30-2, and IEC TS 60034-25 (2022), self-ventilated, with the rise of its class; both from
    // memory.
    for (const [speed, torque] of [
      [0.1, 0.55],
      [0.2, 0.65],
      [0.33, 0.73],
      [0.5, 0.81],
      [0.75, 0.88],
      [1, 0.92],
    ] as const)
      // prettier-ignore
      expect(Math.abs(continuousTorque(fan, speed) - torque), `at ${speed}`).toBeLessThan(0.04);
  });
  it('with a blower its torque holds to standstill; with a class in hand nothing is lost at full speed', () => {
    const blown: physics.HeatModel = { ...fan, cooling: 'blower' };
    for (const s of [0.01, 0.1, 0.5]) expect(continuousTorque(blown, s)).toBe(1);
    expect(continuousTorque({ ...fan, reserve: 105 / 80 }, 1)).toBe(1);
  });
  it('beyond rated speed no more than rated power, and breakdown torque with (U/f)²', () => {
    for (const s of [1.1, 1.5, 2]) {
      expect(continuousTorque({ ...fan, reserve: 2 }, s)).toBeLessThanOrEqual(1 / s + 1e-12);
      expect(minuteTorque({ ...fan, breakdown: 1.6 }, 9, s)).toBeCloseTo(1 / s ** 2, 12);
    }
    const weak = { ...fan, reserve: 2, breakdown: 2 };
    expect(continuousTorque(weak, 2)).toBeCloseTo(2 / 1.6 / 4, 12);
  });
  it('least and greatest speed are where the load’s curve crosses it', () => {
    const constant = (): number => 0.75;
    const least = leastSpeed(fan, constant, 0.9);
    expect(continuousTorque(fan, least)).toBeCloseTo(0.75, 2);
    expect(leastSpeed(fan, (s) => s * s, 0.9)).toBe(0);
    expect(leastSpeed({ ...fan, cooling: 'blower' }, constant, 0.9)).toBe(0);
    expect(leastSpeed(fan, () => 2, 0.9)).toBe(0.9);
    const most = greatestSpeed(fan, (s) => 0.6 * s * s, 1, 2);
    expect(continuousTorque(fan, most)).toBeCloseTo(0.6 * most * most, 2);
    expect(greatestSpeed(fan, () => 0.1, 1, 1.5)).toBe(1.5);
  });
  it('more load or less cooling never goes slower; more breakdown torque never goes less fast', () => {
    const load = fc.double({ min: 0.2, max: 1, noNaN: true });
    fc.assert(
      fc.property(load, fc.double({ min: 1, max: 1.4, noNaN: true }), (t, k) => {
        const least = (m: physics.HeatModel, by: number): number => leastSpeed(m, () => by, 0.9);
        expect(least(fan, t * 1.1)).toBeGreaterThanOrEqual(least(fan, t) - 1e-6);
        expect(least({ ...fan, reserve: k }, t)).toBeLessThanOrEqual(least(fan, t) + 1e-6);
        expect(least({ ...fan, cooling: 'open' }, t)).toBeGreaterThanOrEqual(least(fan, t) - 1e-6);
        const top = (b: number): number => greatestSpeed({ ...fan, breakdown: b }, (s) => t * s * s, 0.9, 2);
        expect(top(2 * k)).toBeGreaterThanOrEqual(top(2) - 1e-6);
      }),
    );
  });
});

describe('stopping', () => {
  const flywheel = { inertia: 2, speed: 1500, load: () => 0 };
  const w = (1500 * Math.PI) / 30;
  it('a flywheel gives back ½ J ω², at first with J ω² ÷ t', () => {
    const stop = physics.rampedStop(flywheel, 10);
    expect(stop.energy).toBeCloseTo(0.5 * 2 * w * w, 0);
    expect(stop.peak / ((2 * w * w) / 10)).toBeCloseTo(1, 2);
    expect(stop.torque).toBeCloseTo((2 * w) / 10, 9);
  });
  it('by itself a constant load stops it in J ω ÷ T; nothing at all never does', () => {
    expect(physics.coastTime({ ...flywheel, load: () => 20 }, () => 0)).toBeCloseTo((2 * w) / 20, 6);
    expect(physics.coastTime(flywheel, () => 0)).toBe(Infinity);
    expect(
      physics.quickestRamp(
        flywheel,
        () => 0,
        () => 0,
      ),
    ).toBe(Infinity);
    expect(
      physics.quickestRamp(
        flywheel,
        () => 30,
        () => 10,
      ),
    ).toBeCloseTo((2 * w) / 40, 6);
  });
  it('what the load takes is not braked, and a load that stops it sooner leaves nothing', () => {
    const braked = (torque: number): number => physics.rampedStop({ ...flywheel, load: () => torque }, 10).energy;
    expect(braked(5)).toBeCloseTo(0.5 * 2 * w * w - 5 * (w / 2) * 10, 0);
    expect(braked(200)).toBe(0);
  });
});
