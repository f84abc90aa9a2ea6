import { remembered } from '../../contract';
import { any, law, notNegative, type Arguments, type Example, type Law, type LawSpec } from '../../law';
import type { UnitId } from '../../quantity';
import { answerLength, at, breakdown, solveAt, type Circuit } from './circuit';

const theory = remembered(
  'textbook',
  'Per-phase equivalent circuit of the polyphase induction machine',
  'any edition',
  'stator, magnetising branch with core loss, rotor cages in parallel; solved exactly',
);

const out = new Float64Array(answerLength);
const steady = (c: Circuit, U: number, f: number, n: number, index: number): number => {
  solveAt(c, U, f, 1 - (n * c.poles) / (120 * f), out);
  return out[index] ?? NaN;
};

/** What a widely used textbook prints for its own machine (from memory), rounded as books do. */
const printed = (gives: number, within = 0.005) => ({
  gives,
  within,
  from: 'widely used textbook example (from memory)',
});
const exampleMachine = '25 hp, 460 V, four poles: R1 0.641, X1 1.106, R2 0.332, X2 0.464, Xm 26.3 Ω, 1.1 kW turning';
const exampleCircuit: Circuit = {
  poles: 4,
  voltage: 460,
  frequency: 60,
  ratedSpeed: 1760.4,
  statorResistance: 0.641,
  statorReactance: 1.106,
  rotorResistance: 0.332,
  rotorReactance: 0.464,
  magnetisingReactance: 26.3,
  coreLoss: 0,
  frictionLoss: 1100,
};

type Steady = Readonly<{ U: 'V'; f: 'Hz'; n: 'rpm' }>;
type Breakdown = Readonly<{ U: 'V'; f: 'Hz' }>;
type SteadyExample = Pick<Example<Steady>, 'gives' | 'from' | 'within'>;

interface CircuitLaws {
  readonly current: Law<Steady, 'A'>;
  readonly powerFactor: Law<Steady, '1'>;
  readonly inputPower: Law<Steady, 'W'>;
  readonly airGapPower: Law<Steady, 'W'>;
  readonly torque: Law<Steady, 'N.m'>;
  readonly outputPower: Law<Steady, 'W'>;
  readonly shaftTorque: Law<Steady, 'N.m'>;
  readonly efficiency: Law<Steady, '1'>;
  readonly breakdownTorque: Law<Breakdown, 'N.m'>;
  readonly breakdownSlip: Law<Breakdown, '1'>;
}

/** Laws of one circuit at a speed: each solves it exactly. U line to line, f in Hz, n in r/min. */
export function circuitLaws(c: Circuit): CircuitLaws {
  const made = (key: keyof CircuitLaws) => ({ for: exampleMachine, law: () => circuitLaws(exampleCircuit)[key] });
  const at60 = { U: 460, f: 60 };
  const steadyLaw = <const U extends UnitId>(
    key: keyof CircuitLaws,
    spec: { readonly name: string; readonly symbol: string; readonly unit: U; readonly what: string },
    example: SteadyExample,
    of: LawSpec<Steady, U>['of'],
  ): Law<Steady, U> =>
    law({
      name: spec.name,
      symbol: spec.symbol,
      unit: spec.unit,
      takes: { U: 'V', f: 'Hz', n: 'rpm' },
      formula: `${spec.what} of the per-phase circuit at voltage U, frequency f and speed n, by complex arithmetic`,
      source: theory,
      method: true,
      range: { U: notNegative, f: [1, 500], n: any },
      example: { of: { ...at60, n: 1760.4 }, ...example, made: made(key) },
      of,
    });
  const breakdownLaw = <const U extends UnitId>(
    key: keyof CircuitLaws,
    spec: { readonly name: string; readonly symbol: string; readonly unit: U; readonly formula: string },
    example: SteadyExample,
    of: LawSpec<Breakdown, U>['of'],
  ): Law<Breakdown, U> =>
    law({
      ...spec,
      takes: { U: 'V', f: 'Hz' },
      source: theory,
      method: true,
      range: { U: notNegative, f: [1, 500] },
      example: { of: at60, ...example, made: made(key) },
      of,
    });
  const read =
    (index: number) =>
    ({ U, f, n }: Arguments<Steady>): number =>
      steady(c, U, f, n, index);
  return {
    current: steadyLaw(
      'current',
      { name: 'Line current of the circuit', symbol: 'I', unit: 'A', what: 'line current' },
      printed(18.88),
      read(at.current),
    ),
    powerFactor: steadyLaw(
      'powerFactor',
      { name: 'Power factor of the circuit', symbol: 'pf', unit: '1', what: 'cosine of the angle of the impedance' },
      printed(0.833),
      read(at.powerFactor),
    ),
    inputPower: steadyLaw(
      'inputPower',
      {
        name: 'Input power of the circuit',
        symbol: 'P_in',
        unit: 'W',
        what: '3 * I^2 * resistance seen from the line',
      },
      printed(12530),
      read(at.input),
    ),
    airGapPower: steadyLaw(
      'airGapPower',
      { name: 'Air-gap power', symbol: 'P_ag', unit: 'W', what: 'power in the rotor branches' },
      printed(11845),
      read(at.airGap),
    ),
    torque: steadyLaw(
      'torque',
      {
        name: 'Electromagnetic torque',
        symbol: 'T',
        unit: 'N.m',
        what: 'air-gap power over synchronous angular speed',
      },
      printed(62.8),
      read(at.torque),
    ),
    outputPower: steadyLaw(
      'outputPower',
      { name: 'Shaft power of the circuit', symbol: 'P_out', unit: 'W', what: 'air-gap power * (1 - slip) - friction' },
      printed(10485),
      read(at.output),
    ),
    shaftTorque: steadyLaw(
      'shaftTorque',
      { name: 'Shaft torque of the circuit', symbol: 'T_sh', unit: 'N.m', what: 'shaft power over angular speed' },
      printed(56.9),
      read(at.shaftTorque),
    ),
    efficiency: steadyLaw(
      'efficiency',
      { name: 'Efficiency of the circuit', symbol: 'eta', unit: '1', what: 'shaft power over input power' },
      printed(0.837),
      (a) => read(at.output)(a) / read(at.input)(a),
    ),
    breakdownTorque: breakdownLaw(
      'breakdownTorque',
      {
        name: 'Breakdown torque of the circuit',
        symbol: 'T_b',
        unit: 'N.m',
        formula: 'largest electromagnetic torque between synchronism and standstill, searched over slip',
      },
      printed(229, 0.01),
      ({ U, f }) => breakdown(c, U, f).torque,
    ),
    breakdownSlip: breakdownLaw(
      'breakdownSlip',
      {
        name: 'Slip at breakdown',
        symbol: 's_b',
        unit: '1',
        formula: 'slip of the largest electromagnetic torque, searched between synchronism and standstill',
      },
      printed(0.198, 0.02),
      ({ U, f }) => breakdown(c, U, f).slip,
    ),
  };
}
