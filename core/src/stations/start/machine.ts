import type { MachineView } from '../../case';
import { model } from '../../contract';
import { field, prescribed, type Given } from '../../law';
import {
  circuitLaws,
  currentAt,
  deviation,
  isMet,
  leakageLeft,
  lossShares,
  pointAt,
  pointForTorque,
  ratedTorqueOf,
  type Circuit,
  type Fitted,
  type Met,
} from '../../physics';
import { q, writeNumber, writeQuantity } from '../../quantity';
import { pinnedCircuit, type Walk } from '../../needs';

interface At {
  readonly U: Given<'V'>;
  readonly f: Given<'Hz'>;
  readonly n: Given<'rpm'>;
}

/** What the pinned circuit gives at rated speed, at standstill and at breakdown, at its own voltage and frequency. */
export function tellMachine(walk: Walk): void {
  const { input, w } = walk;
  const given = input.motor?.circuit;
  const circuit = pinnedCircuit(walk);
  if (!given || !circuit) return;
  w.enter('choice');
  tellCircuit(walk, circuit, {
    U: field('motor.circuit.voltage', given.voltage.value, given.voltage.text),
    f: field('motor.circuit.frequency', given.frequency.value, given.frequency.text),
    n: field('motor.circuit.ratedSpeed', given.ratedSpeed?.value, given.ratedSpeed?.text),
  });
}

/** The same of a circuit fitted to the subject's data. */
export function tellFitted(walk: Walk, fitted: Fitted, name: string): void {
  const { w } = walk;
  const c = fitted.circuit;
  const source = model('Circuit fitted to the motor’s data', name);
  tellCircuit(walk, c, {
    U: prescribed(q(c.voltage, 'V'), source),
    f: prescribed(q(c.frequency, 'Hz'), source),
    n: prescribed(q(c.ratedSpeed, 'rpm'), source),
  });
  if (fitted.reason)
    w.finding('motor.inconsistent', 'caution', `No one machine has all of this motor’s values. ${fitted.reason}`, {
      fields: ['motor', 'plate.codeLetter', 'plate.speed'],
    });
}

function tellCircuit({ w }: Walk, circuit: Circuit, { U, f, n }: At): void {
  const laws = circuitLaws(circuit);
  const rated = { U, f, n };
  w.figure('motor.current', laws.current, rated);
  w.figure('motor.powerFactor', laws.powerFactor, rated);
  w.figure('motor.inputPower', laws.inputPower, rated);
  w.figure('motor.airGapPower', laws.airGapPower, rated);
  w.figure('motor.torque', laws.torque, rated);
  w.figure('motor.outputPower', laws.outputPower, rated);
  w.figure('motor.shaftTorque', laws.shaftTorque, rated);
  w.figure('motor.efficiency', laws.efficiency, rated);
  const still: Given<'rpm'> = { value: q(0, 'rpm'), text: 'standstill' };
  w.figure('motor.startingCurrent', laws.current, { U, f, n: still });
  w.figure('motor.startingTorque', laws.torque, { U, f, n: still });
  w.figure('motor.breakdownTorque', laws.breakdownTorque, { U, f });
  w.figure('motor.breakdownSlip', laws.breakdownSlip, { U, f });
}

const metLabels: Readonly<Record<Met['what'], readonly [string, string]>> = {
  power: ['Rated power', 'W'],
  current: ['Rated current', 'A'],
  powerFactor: ['Power factor', '1'],
  efficiency: ['Efficiency', '1'],
  halfEfficiency: ['Efficiency at half load', '1'],
  lockedRotorCurrent: ['Locked-rotor current', 'A'],
  lockedRotorTorque: ['Locked-rotor torque ÷ rated', '1'],
  breakdownTorque: ['Breakdown torque ÷ rated', '1'],
};

/** The machine as a screen shows it: its circuit, how well it meets the data, losses at rating, part load. */
export function machineView(
  name: string,
  c: Circuit,
  fitted: Fitted | undefined,
  assumed: readonly string[],
): MachineView {
  const slip = 1 - (c.ratedSpeed * c.poles) / (120 * c.frequency);
  const rated = pointAt(c, c.voltage, c.frequency, slip);
  const torque = ratedTorqueOf(c);
  const ohm = (x: number): string => `${writeNumber(x)} Ω`;
  const parameter = (symbol: string, label: string, text: string) => ({ symbol, label, text });
  return {
    name,
    origin: fitted ? 'fitted' : 'given',
    voltage: c.voltage,
    frequency: c.frequency,
    parameters: [
      parameter('R1', 'stator resistance', ohm(c.statorResistance)),
      parameter('X1', 'stator leakage', ohm(c.statorReactance)),
      parameter('R2', c.cage2 ? 'first cage’s resistance' : 'rotor resistance', ohm(c.rotorResistance)),
      parameter('X2', c.cage2 ? 'first cage’s leakage' : 'rotor leakage', ohm(c.rotorReactance)),
      ...(c.cage2
        ? [
            parameter('R3', 'second cage’s resistance', ohm(c.cage2.resistance)),
            parameter('X3', 'second cage’s leakage', ohm(c.cage2.reactance)),
          ]
        : []),
      ...(c.saturation
        ? [
            parameter(
              'X(I)',
              'leakage left at locked-rotor current',
              `${Math.round(100 * leakageLeft(c.saturation, currentAt(c, c.voltage, c.frequency, 1)))} % ` +
                `(whole up to ${writeQuantity(c.saturation.from, 'A')})`,
            ),
          ]
        : []),
      parameter('Xm', 'magnetising reactance', ohm(c.magnetisingReactance)),
      parameter('Pc', 'core loss at rated voltage', writeQuantity(c.coreLoss, 'W', 'si')),
      parameter('Pf', 'friction and windage', writeQuantity(c.frictionLoss, 'W', 'si')),
      ...(c.strayResistance ? [parameter('Rs', 'stands for stray loss', ohm(c.strayResistance))] : []),
    ],
    met: (fitted?.met ?? []).map((m) => {
      const [label, unit] = metLabels[m.what];
      const off = deviation(m);
      return { label, wanted: m.wanted, got: m.got, unit, deviation: off, met: isMet(m) };
    }),
    reason: fitted?.reason ?? null,
    assumed: [
      ...assumed,
      ...(fitted
        ? [`losses beside the rotor’s shared ${shareText} (common practice), for nobody measured them apart`]
        : []),
      ...(c.saturation
        ? ['leakage that saturates: breakdown torque and locked-rotor current ask for it, nobody measured it']
        : []),
    ],
    partLoad: [0.25, 0.5, 0.75, 1, 1.25].flatMap((load) => {
      const p = pointForTorque(c, c.voltage, c.frequency, load * torque);
      if (!p) return [];
      const { speed, current, powerFactor, efficiency, input } = p;
      return [{ load, speed, current, powerFactor, efficiency, input }];
    }),
    losses: [
      { label: 'stator copper', value: rated.losses.stator },
      { label: 'rotor copper', value: rated.losses.rotor },
      { label: 'core', value: rated.losses.core },
      { label: 'stray', value: rated.losses.stray },
      { label: 'friction and windage', value: rated.losses.friction },
    ],
  };
}

const shareText =
  `${Math.round(lossShares.stator * 100)} % stator copper, ${Math.round(lossShares.core * 100)} % core, ` +
  `${Math.round(lossShares.stray * 100)} % stray, ${Math.round(lossShares.friction * 100)} % friction`;
