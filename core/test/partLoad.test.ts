import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { CaseText } from '../src';
import { genericMotors, motorOfCircuit } from '../src/catalogue';
import { constantLossSaid, isUsualConstantLoss } from '../src/nameplate';
import { constantLossShare, partLoad, pointForTorque, ratedTorqueOf, usualConstantLoss } from '../src/physics';
import { practiceById } from '../src/practice';
import { q } from '../src/quantity';
import { fittedCircuit } from '../src/runs';
import { solved } from './cases';

/**
 * Average efficiencies at full, three quarters, half and a quarter of load: US Department of Energy, Determining
 * Electric Motor Load and Efficiency, open standard-efficiency motors of 1800 r/min (from memory, the last column less
 * surely: so the widest bound is there).
 */
// prettier-ignore
const published: readonly (readonly [hp: number, full: number, q3: number, q2: number, q1: number])[] = [
  [ 10, 0.863, 0.868, 0.859, 0.800],
  [ 25, 0.895, 0.906, 0.900, 0.866],
  [ 50, 0.904, 0.908, 0.903, 0.881],
  [100, 0.922, 0.928, 0.923, 0.892],
  [200, 0.934, 0.938, 0.933, 0.907],
];

const points = 0.01;

describe('efficiency at part load', () => {
  it.each(published)('%i hp: the usual share of constant losses meets the published quarter points', (_, ...row) => {
    const [eta, ...at] = row;
    const got = [0.75, 0.5, 0.25].map((x) => partLoad(x, { eta, constant: usualConstantLoss }));
    [1, 1.5, 4].forEach((within, i) =>
      expect(Math.abs((got[i] ?? 0) - (at[i] ?? 0)), `point ${i}`).toBeLessThan(within * points),
    );
  });

  it.each(published)(
    '%i hp: with one of them typed, the others come out nearer',
    (_, eta, threeQuarters, half, quarter) => {
      const said = constantLossSaid({ efficiency: eta, efficiencyHalf: half });
      expect(said && isUsualConstantLoss(said.share)).toBe(true);
      const curve = { eta, constant: said?.share ?? 1 };
      expect(partLoad(0.5, curve)).toBeCloseTo(half, 6);
      expect(Math.abs(partLoad(0.75, curve) - threeQuarters)).toBeLessThan(0.5 * points);
      expect(Math.abs(partLoad(0.25, curve) - quarter)).toBeLessThan(2.5 * points);
    },
  );

  it('two efficiencies give the share, and the share gives them back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 0.97, noNaN: true }),
        fc.double({ min: 0.1, max: 0.8, noNaN: true }),
        fc.constantFrom(0.5, 0.75),
        (eta, constant, x) => {
          const at = partLoad(x, { eta, constant });
          const back = constantLossShare.of({ eta: q(eta, '1'), x: q(x, '1'), eta_x: q(at, '1') });
          expect(back).toBeCloseTo(constant, 9);
        },
      ),
    );
  });

  it('the half-load efficiency speaks before the three-quarter one; without either nothing is said', () => {
    expect(constantLossSaid({ efficiency: 0.9, efficiencyHalf: 0.89, efficiencyThreeQuarter: 0.9 })?.load).toBe(0.5);
    expect(constantLossSaid({ efficiency: 0.9, efficiencyThreeQuarter: 0.9 })?.load).toBe(0.75);
    expect(constantLossSaid({ efficiency: 0.9 })).toBeUndefined();
    expect([0.099, 0.1, 0.8, 0.801].map(isUsualConstantLoss)).toEqual([false, true, true, false]);
  });
});

describe('the circuit at part load', () => {
  const motors = genericMotors().filter((m) => m.poles === 4 && m.power > 4e3);
  const atShare = (motor: (typeof motors)[number], x: number): number => {
    const voltage = motor.connections.at(-1)?.voltage ?? 400;
    const { circuit } = fittedCircuit(motor, voltage) ?? {};
    if (!circuit) return 0;
    return pointForTorque(circuit, circuit.voltage, circuit.frequency, x * ratedTorqueOf(circuit))?.efficiency ?? 0;
  };

  it('says what the money’s two losses say, within a point above half load', () => {
    for (const m of motors.filter((_, i) => i % 12 === 0)) {
      const curve = { eta: m.efficiency, constant: usualConstantLoss };
      for (const x of [0.5, 0.75, 1])
        expect(Math.abs(atShare(m, x) - partLoad(x, curve)), `${m.name} at ${x}`).toBeLessThan(0.01);
    }
  });

  it('meets a part-load efficiency that is known, and tells it', () => {
    for (const [i, constant] of [0.2, 0.3, 0.5].entries()) {
      const m = { ...motors[40 * i + 3], constantLoss: constant } as (typeof motors)[number];
      const fitted = fittedCircuit(m, m.connections.at(-1)?.voltage ?? 400);
      const half = fitted?.met.find((x) => x.what === 'halfEfficiency');
      expect(half?.wanted).toBeCloseTo(partLoad(0.5, { eta: m.efficiency, constant }), 9);
      expect(Math.abs((half?.got ?? 0) - (half?.wanted ?? 1)), `${constant}`).toBeLessThan(0.1 * points);
      expect(fitted?.reason).toBeUndefined();
    }
  });

  it('a motor given by its circuit has the share that circuit has', () => {
    const m = motors[20];
    const fitted = m && fittedCircuit(m, m.connections.at(-1)?.voltage ?? 400);
    const own = fitted && motorOfCircuit(fitted.circuit, practiceById('iec'), undefined);
    const curve = { eta: own?.efficiency ?? 1, constant: own?.constantLoss ?? 1 };
    expect(partLoad(0.5, curve)).toBeCloseTo(m ? atShare(m, 0.5) : 0, 4);
  });
});

describe('a plate with a part-load efficiency', () => {
  const told = (more: CaseText['plate']) =>
    solved({
      ...{ format: 'pilgrim.case/1', practice: 'iec', errand: 'wasteful' },
      supply: { voltage: '400 V', frequency: '50 Hz' },
      plate: {
        ...{ power: '30 kW', voltage: '400 V', current: '56 A', speed: '1475 rpm', frequency: '50 Hz' },
        ...{ efficiency: 0.93, powerFactor: 0.83, ...more },
      },
      load: { demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } },
      speed: { profile: [{ hours: 6000, flow: 1 }], control: 'none' },
      ...{ money: { energyPrice: 0.15 }, rules: { efficiencyBasis: 'nominal' } },
    });
  const figures = (more: CaseText['plate']) => told(more).figures;

  it('loses by it what the year costs', () => {
    // Half load: 30 kW at 93 % loses 2258 W, of which so much stays at half load.
    const losses = (half: number) => 15_000 * (1 / half - 1);
    const old = (half: number) => figures({ efficiencyHalf: half })['cost.oldEnergy']?.value ?? 0;
    expect(old(0.93)).toBeCloseTo(6 * (15_000 + losses(0.93)), -1);
    expect(old(0.9)).toBeCloseTo(6 * (15_000 + losses(0.9)), -1);
    expect(figures({})['plate.constantLoss']).toBeUndefined();
    expect(figures({ efficiencyHalf: 0.93 })['plate.constantLoss']?.value).toBeCloseTo(1 / 3, 6);
  });

  it('that no motor has is doubted, and the usual share taken', () => {
    // 94.5 % at three quarters beside 93 %: nearly nothing would be constant.
    const result = told({ efficiencyThreeQuarter: 0.945 });
    expect(result.findings.find((f) => f.id === 'plate.efficiency-unusual')?.text).toContain('every load');
    expect(result.figures['plate.constantLoss']).toBeUndefined();
    expect(result.figures['cost.oldEnergy']?.value).toBeCloseTo(figures({})['cost.oldEnergy']?.value ?? 0, 6);
    const fine = told({ efficiencyHalf: 0.93 });
    expect(fine.findings.some((f) => f.id === 'plate.efficiency-unusual')).toBe(false);
  });
});
