import {
  answerLength,
  at,
  breakdown,
  constantLossShare,
  currentAt,
  pointForTorque,
  solveAt,
  torqueAt,
  type Circuit,
} from '../physics';
import type { Practice } from '../practice';
import { q } from '../quantity';
import { modelInertia, modelMass, modelPrice, modelSound, heightOf, turndowns } from './models';
import type { Motor } from './motor';

/** A motor given by its circuit, with what its solution says: everything the circuit fixes is exact, the rest usual. */
export function motorOfCircuit(c: Circuit, practice: Practice, inertia: number | undefined): Motor | undefined {
  const synchronous = (120 * c.frequency) / c.poles;
  const out = new Float64Array(answerLength);
  solveAt(c, c.voltage, c.frequency, 1 - c.ratedSpeed / synchronous, out);
  const power = out[at.output] ?? 0;
  const torque = out[at.shaftTorque] ?? 0;
  const current = out[at.current] ?? 0;
  const efficiency = power / (out[at.input] ?? 1);
  if (!(c.ratedSpeed < synchronous) || !(power > 0) || !(efficiency > 0) || efficiency >= 1) return undefined;
  const unit = practice.words.powerUnit;
  const powerText = `${(power / (unit === 'hp' ? 745.6998715822702 : 1000)).toPrecision(3)} ${unit}`;
  const locked = torqueAt(c, c.voltage, c.frequency, 1) / torque;
  const half = pointForTorque(c, c.voltage, c.frequency, torque / 2);
  let pullUp = Infinity;
  for (let s = 1; s > 0.2; s -= 0.02) pullUp = Math.min(pullUp, torqueAt(c, c.voltage, c.frequency, s) / torque);
  return {
    id: 'pinned-circuit',
    name: `${powerText} ${c.poles}-pole motor by its circuit`,
    practice: practice.id,
    power,
    powerText,
    poles: c.poles,
    frequency: c.frequency,
    speed: c.ratedSpeed,
    voltageText: `${c.voltage} V`,
    connections: [{ voltage: c.voltage, current }],
    efficiency,
    efficiencyMinimum: efficiency,
    ...(half && half.efficiency < 1 && { constantLoss: constantOf(efficiency, half.efficiency) }),
    efficiencyClass: 'by its circuit',
    powerFactor: out[at.powerFactor] ?? 0,
    frame: null,
    enclosure: 'enclosed',
    enclosureText: 'enclosure not said',
    enclosureUnsaid: true,
    cooling: 'shaft-fan',
    construction: 'cast-iron',
    serviceFactor: 1,
    designLetter: 'by its circuit',
    insulation: 'F',
    leads: 3,
    deltaVoltage: null,
    lockedRotorCurrent: currentAt(c, c.voltage, c.frequency, 1),
    lockedRotorTorque: locked,
    pullUpTorque: pullUp,
    breakdownTorque: breakdown(c, c.voltage, c.frequency).torque / torque,
    inertia: inertia ?? modelInertia(power, synchronous),
    mass: modelMass(power, c.poles, 'enclosed', 'cast-iron'),
    sound: modelSound(heightOf(null, practice.frameSystem, power), c.poles, c.frequency, 'shaft-fan'),
    turndown: turndowns.usual,
    inverterDuty: false,
    pulseRating: practice.ordinaryPulse.value,
    made: null,
    maxSpeed: practice.safeSpeed(power, c.poles).value,
    priceIndex: modelPrice(power, c.poles, 1),
  };
}

const constantOf = (eta: number, half: number): number =>
  Math.max(0, Math.min(1, constantLossShare.of({ eta: q(eta, '1'), x: q(0.5, '1'), eta_x: q(half, '1') })));
