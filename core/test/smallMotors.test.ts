import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { genericMotors, physics, runs, type CaseText, type Result } from '@pilgrim/core';
import { solved } from './cases';

const { pointForTorque } = physics;

type Usual = readonly [power: number, speed: number, current: number, powerFactor?: number];

/** Usual plates of cage motors at 400 V and 50 Hz in kW, by poles: common practice, no source. */
const iec: Readonly<Record<number, readonly Usual[]>> = {
  2: [
    [0.18, 2760, 0.52, 0.76], [0.37, 2780, 0.95, 0.8], [0.75, 2830, 1.65, 0.83], [1.5, 2860, 3.1, 0.85],
    [3, 2890, 5.9, 0.86], [5.5, 2910, 10.3, 0.88], [11, 2930, 20, 0.89], [22, 2945, 39, 0.89],
  ],
  4: [
    [0.18, 1350, 0.62, 0.64], [0.25, 1370, 0.78, 0.68], [0.37, 1400, 1, 0.74], [0.55, 1410, 1.45, 0.76],
    [0.75, 1420, 1.75, 0.78], [1.1, 1430, 2.45, 0.79], [1.5, 1440, 3.25, 0.8], [2.2, 1445, 4.6, 0.81],
    [3, 1450, 6.2, 0.82], [4, 1455, 8.1, 0.82], [5.5, 1460, 11, 0.82], [7.5, 1460, 14.6, 0.84],
    [11, 1465, 21, 0.85], [15, 1470, 28.5, 0.85], [18.5, 1472, 35, 0.85], [22, 1475, 41, 0.85],
  ],
  6: [
    [0.18, 880, 0.72, 0.62], [0.37, 920, 1.25, 0.68], [0.75, 930, 2.1, 0.71], [1.5, 945, 3.9, 0.73],
    [4, 960, 9.4, 0.76], [11, 970, 23.5, 0.79],
  ],
}; // prettier-ignore
/** The same at 460 V and 60 Hz in hp. */
const american: Readonly<Record<number, readonly Usual[]>> = {
  2: [
    [0.5, 3450, 0.95], [2, 3480, 2.7], [10, 3510, 12],
  ],
  4: [
    [0.33, 1725, 0.75], [0.5, 1725, 1.1], [1, 1740, 1.75], [1.5, 1740, 2.3],
    [2, 1740, 2.9], [3, 1750, 4.1], [5, 1750, 6.6], [7.5, 1760, 9.6],
    [10, 1760, 12.6], [15, 1765, 18.5], [30, 1770, 36],
  ],
  6: [
    [0.5, 1140, 1.25],
  ],
}; // prettier-ignore

type Method = 'direct' | 'star-delta' | 'drive';
const methods: readonly Method[] = ['direct', 'star-delta', 'drive'];
interface Off {
  readonly power?: number;
  readonly current?: number;
  readonly slip?: number;
  readonly powerFactor?: number;
}

type Practice = 'iec' | 'north-america';

/** A motor that is there, its values so much off, on a conveyor (a fan in star) by a method. */
function caseOf(practice: Practice, poles: number, usual: Usual, method: Method, off: Off): CaseText {
  const [rating, speed, amperes, powerFactor] = usual;
  const european = practice === 'iec';
  const synchronous = (european ? 6000 : 7200) / poles;
  const n = synchronous - (synchronous - speed) * (1 + (off.slip ?? 0));
  const power = rating * (1 + (off.power ?? 0));
  const current = amperes * (1 + (off.current ?? 0));
  const unit = european ? 'kW' : 'hp';
  const star = method === 'star-delta';
  const delta = european ? '400 V' : '460 V';
  const frequency = european ? '50 Hz' : '60 Hz';
  return {
    format: 'pilgrim.case/1',
    practice,
    motor: { existing: true },
    method,
    plate: {
      power: `${power.toFixed(4)} ${unit}`,
      voltage: star ? (european ? '400/690 V' : '460/796 V') : delta,
      current: star ? `${current.toFixed(4)}/${(current / Math.sqrt(3)).toFixed(4)} A` : `${current.toFixed(4)} A`,
      speed: `${n.toFixed(2)} rpm`,
      frequency,
      phases: 3,
      enclosure: european ? 'IP55' : 'TEFC',
      ...(powerFactor !== undefined && { powerFactor: powerFactor * (1 + (off.powerFactor ?? 0)) }),
    },
    supply: {
      voltage: european ? '400 V' : '480 V',
      frequency,
      earthing: 'solid',
      source: { kind: 'fault-level', current: '10 kA' },
    },
    load: {
      machine: star ? 'centrifugal-fan' : 'conveyor',
      demand: { kind: 'power', power: `${(rating * (star ? 0.7 : 0.85)).toFixed(4)} ${unit}`, speed: `${speed} rpm` },
    },
    speed: method === 'drive' ? { need: 'variable', min: 0.6, max: 1 } : { need: 'fixed' },
  };
}
const there = (practice: Practice, poles: number, usual: Usual, method: Method, off: Off = {}): Result =>
  solved(caseOf(practice, poles, usual, method, off));

const all = [
  ...Object.entries(iec).flatMap(([poles, list]) => list.map((u) => ['iec', Number(poles), u] as const)),
  ...Object.entries(american).flatMap(([poles, list]) => list.map((u) => ['north-america', Number(poles), u] as const)),
];
/** What is said against starting it, or of its fit. */
const against = (r: Result) =>
  r.findings.filter((f) => f.level === 'stop' || f.id === 'motor.inconsistent').map((f) => `${f.id}: ${f.text}`);

describe('135 small plates: usual values, and two per cent either way', () => {
  const ways: readonly Off[] = [{}, { current: 0.02, slip: 0.02 }, { current: -0.02, slip: -0.02 }];
  it('are 135', () => expect(all.length * ways.length).toBe(135));
  it.each(methods)('%s: none is stopped, none is doubted, and the fit tells what it misses', (method) => {
    for (const [practice, poles, usual] of all)
      for (const off of ways) {
        const result = there(practice, poles, usual, method, off);
        const name = `${practice} ${poles} poles ${usual[0]} ${JSON.stringify(off)}`;
        expect(against(result), name).toEqual([]);
        const met = result.start?.machine.met ?? [];
        expect(
          met.map((m) => m.label),
          name,
        ).toContain('Breakdown torque ÷ rated');
        for (const m of met) {
          expect(m.met, `${name} ${m.label}`).toBe(true);
          expect(m.deviation, `${name} ${m.label}`).toBeCloseTo(m.got / m.wanted - 1, 9);
        }
        // What its maker owes, it has: nothing is less than the least, but for five hundredths of the fit.
        const standing = met.find((m) => m.label.startsWith('Locked-rotor torque'));
        expect(standing?.deviation, name).toBeGreaterThan(-0.05);
      }
  });
});

describe('a fit is smooth in the plate’s values', () => {
  const rank = { pass: 0, caution: 1, fail: 2 } as const;
  /** How a simulated start of this motor stands. */
  const stands = (r: Result): number => {
    const levels = r.findings.flatMap((f) => (f.id.startsWith('start.') ? [f.level] : []));
    return levels.includes('stop') ? rank.fail : levels.includes('caution') ? rank.caution : rank.pass;
  };
  it('one per cent on power, current, power factor or slip moves no start from a pass to a stop', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...all),
        fc.constantFrom(...methods),
        fc.constantFrom('power', 'current', 'powerFactor', 'slip' as const),
        fc.record({
          current: fc.double({ min: -0.04, max: 0.04, noNaN: true }),
          slip: fc.double({ min: -0.1, max: 0.1, noNaN: true }),
        }),
        fc.constantFrom(-0.01, 0.01),
        ([practice, poles, usual], method, what, base, step) => {
          const off: Off = base;
          const before = stands(there(practice, poles, usual, method, off));
          const after = stands(there(practice, poles, usual, method, { ...off, [what]: (off[what] ?? 0) + step }));
          expect(Math.abs(before - after)).toBeLessThan(2);
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('a motor that runs today', () => {
  const [, poles, usual] =
    all.find(([practice, p, u]) => practice === 'iec' && p === 2 && u[0] === 22) ?? expect.fail();
  const heavy = (over: Partial<CaseText>): Result => solved({ ...caseOf('iec', poles, usual, 'direct', {}), ...over });
  it('is not stopped by the start it makes every day: its circuit is doubted', () => {
    const today = heavy({});
    expect(today.findings.find((f) => f.id === 'start.stalls')).toMatchObject({
      level: 'caution',
      text: expect.stringContaining('starts so today'),
    });
    expect(today.choice?.outcome).toBe('caution');
    expect(heavy({ errand: 'failed' }).choice).toBeNull();
    expect(heavy({ starter: 'drive' }).choice).toBeNull();
  });
});

describe('a cage as physics has it', () => {
  it('every catalogue motor idles on 15 to 95 % of its rated current', () => {
    for (const m of genericMotors()) {
      const voltage = m.connections.at(-1)?.voltage ?? NaN;
      const fitted = runs.fittedCircuit(m, voltage);
      if (!fitted) throw new Error(m.id);
      const idle = pointForTorque(fitted.circuit, voltage, m.frequency, 0);
      const share = (idle?.current ?? NaN) / (m.connections.at(-1)?.current ?? NaN);
      expect(share, m.id).toBeGreaterThan(0.15);
      expect(share, m.id).toBeLessThan(0.95);
    }
  });
});
