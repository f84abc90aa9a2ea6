import { motorColumns, starterPriceIndex, type Motor, type MotorColumns } from '../catalogue';
import type { Outcome } from '../case';
import type { Method } from '../law';
import {
  driveShare,
  isVariableTorque,
  meetingSpeed,
  methodShares,
  partLoad,
  presentRatio,
  presentValue,
  shaftPower,
  softLimit,
  speedRatio,
} from '../physics';
import type { Needs } from './walk';

/** What is asked of a motor with its starter. The first six ask the motor, the rest how it is started. */
export const requirements = [
  'power',
  'voltage',
  'frequency',
  'speed',
  'enclosure',
  'frame',
  'speed-control',
  'supply',
  'starting-torque',
  'leads',
  'turndown',
  'winding',
] as const;
export type Requirement = (typeof requirements)[number];

/** Methods compared unless the case pins one. */
export const comparedMethods = ['direct', 'star-delta', 'soft-starter', 'drive'] as const satisfies readonly Method[];

/** Outcome codes in the columns; `none` where a requirement does not apply. */
export const code = { none: -1, pass: 0, caution: 1, fail: 2 } as const;

const R = requirements.length;
const at: Readonly<Record<Requirement, number>> = {
  power: 0, voltage: 1, frequency: 2, speed: 3, enclosure: 4, frame: 5, 'speed-control': 6, supply: 7,
  'starting-torque': 8, leads: 9, turndown: 10, winding: 11,
}; // prettier-ignore

/** All outcomes and margins as columns: entry (motor × methods + method) × requirements + requirement. */
export interface Judged {
  readonly columns: MotorColumns;
  readonly methods: readonly Method[];
  readonly outcomes: Int8Array;
  readonly margins: Float64Array;
  /** Worst outcome of each motor × method. */
  readonly worst: Int8Array;
  readonly lifeCycle: Float64Array;
  /** Entries (motor × methods + method), best first. */
  readonly order: Int32Array;
}

/** Where no standard draws a line: common practice, written in docs/decisions.md. */
const lines = {
  /** Speed off the wanted one on the line: passes within, cautioned within. */
  speedOff: 0.05,
  speedOffCaution: 0.1,
  /** Starting torque over breakaway below which a pass is only a caution. */
  startReserve: 0.1,
  /** Speed on a drive as a share of rated, outside which motor and frequency hardly fit each other. */
  driveFrom: 0.7,
  driveTo: 1.06,
  driveNever: 2,
  /** Some suppliers limit starting current from about here, W. */
  unlimitedStart: 4000,
  /** At and above this line voltage an unknown pulse rating is never assumed good, V. */
  pulsesNeverAssumed: 550,
} as const;

/** Judges every motor with every method against the needs. Records nothing; closed forms and one bracketed root each. */
export function judge(needs: Needs, motors: readonly Motor[], methods: readonly Method[]): Judged {
  const columns = motorColumns(motors);
  const M = methods.length;
  const entries = motors.length * M;
  const outcomes = new Int8Array(entries * R).fill(code.none);
  const margins = new Float64Array(entries * R);
  const worst = new Int8Array(entries);
  const lifeCycle = new Float64Array(entries);
  const rank = new Float64Array(entries);
  const ratios = yearRatios(needs);
  for (const [i, motor] of motors.entries()) {
    const direct = directSpeed(needs, columns, i);
    for (const [m, method] of methods.entries()) {
      const entry = i * M + m;
      judgeOne(needs, columns, i, motor, method, direct, outcomes, margins, entry * R);
      let bad: number = code.pass;
      let shortfall = 0;
      for (let r = entry * R; r < entry * R + R; r++) {
        const outcome = outcomes[r] ?? code.none;
        if (outcome > bad) bad = outcome;
        if (outcome === code.fail) shortfall += 1 + Math.min(10, Math.max(0, -(margins[r] ?? 0)));
      }
      worst[entry] = bad;
      lifeCycle[entry] = lifeCycleCost(needs, columns, i, method, direct, ratios);
      rank[entry] =
        bad === code.fail ? shortfall : rankValue(needs, motor, method, lifeCycle[entry] ?? 0, margins[entry * R] ?? 0);
    }
  }
  const order = Int32Array.from({ length: entries }, (_, e) => e).sort(
    (a, b) =>
      (worst[a] ?? 0) - (worst[b] ?? 0) ||
      (rank[a] ?? 0) - (rank[b] ?? 0) ||
      (lifeCycle[a] ?? 0) - (lifeCycle[b] ?? 0) ||
      a - b,
  );
  return { columns, methods, outcomes, margins, worst, lifeCycle, order };
}

/** Where motor i would run straight on the line, r/min. */
export const directSpeed = (needs: Needs, c: MotorColumns, i: number): number =>
  meetingSpeed(
    c.synchronous[i] ?? 0,
    c.speed[i] ?? 0,
    c.ratedTorque[i] ?? 0,
    needs.load.speed,
    needs.load.torque,
    needs.load.shape,
  );

/** Speed the motor settles at with a method: a drive holds what is asked, everything else runs where motor and load meet. */
export const settledSpeed = (needs: Needs, method: Method, direct: number): number =>
  method === 'drive' ? needs.load.speed * Math.max(1, needs.speed.max) : direct;

function judgeOne(
  needs: Needs,
  c: MotorColumns,
  i: number,
  motor: Motor,
  method: Method,
  direct: number,
  outcomes: Int8Array,
  margins: Float64Array,
  offset: number,
): void {
  const set = (requirement: Requirement, outcome: number, margin: number): void => {
    outcomes[offset + at[requirement]] = outcome;
    margins[offset + at[requirement]] = margin;
  };
  const { load, place, speed, supply, practice, rules } = needs;
  const drive = method === 'drive';

  const n = settledSpeed(needs, method, direct);
  const rated = (c.power[i] ?? 0) * place.motorDerating;
  const asked = neededRating(needs, c, i, n, drive) * load.margin;
  set('power', rated >= asked ? code.pass : code.fail, rated / asked - 1);

  if (supply.voltage !== undefined) {
    const fit = practice.voltageFit(supply.voltage, connectionFor(motor, supply.voltage).voltage);
    set('voltage', code[fit.outcome], 1 - Math.abs(fit.deviation) / fit.limit);
  }
  const offFrequency = Math.abs(motor.frequency / supply.frequency - 1);
  set('frequency', offFrequency < 0.01 ? code.pass : drive ? code.caution : code.fail, 0.01 - offFrequency);
  judgeSpeed(needs, c, i, motor, n, drive, set);
  set('enclosure', place.enclosures.includes(motor.enclosure) ? code.pass : code.fail, 0);
  if (needs.oldFrame !== undefined) set('frame', sameFrame(needs.oldFrame, motor.frame) ? code.pass : code.caution, 0);

  if (speed.variable) set('speed-control', drive ? code.pass : code.fail, 0);
  const voltage = supply.voltage ?? connectionFor(motor, undefined).voltage;
  const start = startAtStandstill(needs, c, i, motor, method, voltage);
  if (start.dip !== undefined)
    set('supply', start.dip <= rules.maxDip ? code.pass : code.fail, 1 - start.dip / rules.maxDip);
  else set('supply', drive || motor.power <= lines.unlimitedStart ? code.pass : code.caution, 0);
  const reserve = start.torque / (load.torque * load.breakaway || 1e-9) - 1;
  set('starting-torque', reserve < 0 ? code.fail : reserve < lines.startReserve ? code.caution : code.pass, reserve);
  if (!speed.variable && drive) set('speed-control', code.caution, 0);

  if (method === 'star-delta') {
    const fits = motor.deltaVoltage !== null && practice.voltageFit(voltage, motor.deltaVoltage).outcome !== 'fail';
    set('leads', fits ? code.pass : code.fail, 0);
  }
  if (drive) {
    if (speed.variable) {
      const margin = (speed.min * load.speed) / turndownSpeedOf(needs, motor) - 1;
      set('turndown', margin < 0 ? code.fail : code.pass, margin);
    }
    judgeWinding(needs, motor, voltage, set);
  }
}

type Setter = (requirement: Requirement, outcome: number, margin: number) => void;

/** Rating that carries the load at n: by torque below rated speed (on a drive), by power above it. */
function neededRating(needs: Needs, c: MotorColumns, i: number, n: number, drive: boolean): number {
  const power = shaftPower(needs.load.torque, needs.load.speed, n, needs.load.shape);
  const rated = c.speed[i] ?? 0;
  return drive && n < rated ? (power * rated) / n : power;
}

function judgeSpeed(
  needs: Needs,
  c: MotorColumns,
  i: number,
  motor: Motor,
  n: number,
  drive: boolean,
  set: Setter,
): void {
  const rated = c.speed[i] ?? 0;
  if (!drive) {
    const off = Math.abs(n / needs.load.speed - 1);
    set(
      'speed',
      off <= lines.speedOff ? code.pass : off <= lines.speedOffCaution ? code.caution : code.fail,
      1 - off / lines.speedOffCaution,
    );
    return;
  }
  const share = n / rated;
  const within = n <= motor.maxSpeed;
  set(
    'speed',
    !within || share > lines.driveNever
      ? code.fail
      : share <= lines.driveTo && share >= lines.driveFrom
        ? code.pass
        : code.caution,
    motor.maxSpeed / n - 1,
  );
}

function judgeWinding(needs: Needs, motor: Motor, voltage: number, set: Setter): void {
  const pulse = 2 * Math.SQRT2 * voltage;
  const margin = motor.pulseRating / pulse - 1;
  switch (needs.rules.inverterDuty) {
    case 'plate':
      return set('winding', motor.inverterDuty ? code.pass : code.fail, margin);
    case 'modern':
      return set('winding', code.pass, margin);
    case 'judged': {
      if (margin >= 0) return set('winding', code.pass, margin);
      if (voltage >= lines.pulsesNeverAssumed) return set('winding', code.fail, margin);
      const short = needs.place.cable !== undefined && needs.place.cable <= unfilteredLength(needs);
      set('winding', short ? code.pass : code.caution, margin);
    }
  }
}

/** Cable length in m on which a general-purpose winding needs no filter; 15 m stands where rise time is not known. */
export const unfilteredLength = (needs: Needs): number => (needs.rules.leadLength === '30 m' ? 30 : 15);

export function turndownSpeedOf(needs: Needs, motor: Pick<Motor, 'speed' | 'turndown'>): number {
  const { variableTorque, constantTorque } = motor.turndown;
  return motor.speed / (isVariableTorque(needs.load.shape) ? variableTorque : constantTorque);
}

/** The connection whose voltage lies nearest the supply's; the last (highest) where no supply is known. */
export function connectionFor(
  motor: Motor,
  supply: number | undefined,
): { readonly voltage: number; readonly current: number } {
  const last = motor.connections.at(-1) ?? { voltage: 0, current: 0 };
  if (supply === undefined) return last;
  return motor.connections.reduce(
    (a, b) => (Math.abs(supply / b.voltage - 1) < Math.abs(supply / a.voltage - 1) ? b : a),
    last,
  );
}

export function sameFrame(old: string, frame: string | null): boolean {
  return frame !== null && old.trim().toUpperCase() === frame.toUpperCase();
}

/** Overload a drive must hold for a minute: 150 % for constant torque, 120 % for variable torque, more where the case asks. */
export const driveOverload = (needs: Needs): number =>
  Math.max(isVariableTorque(needs.load.shape) ? 1.2 : 1.5, needs.load.overload);

interface Standstill {
  readonly current: number;
  readonly torque: number;
  readonly dip: number | undefined;
}

/** Current, torque and dip at standstill, by the same laws that Start narrates. */
function startAtStandstill(
  needs: Needs,
  c: MotorColumns,
  i: number,
  motor: Motor,
  method: Method,
  voltage: number,
): Standstill {
  const connection = connectionFor(motor, voltage);
  const top = motor.connections.at(-1)?.voltage ?? connection.voltage;
  const locked = (motor.lockedRotorCurrent * top) / connection.voltage;
  const zs = needs.supply.impedance;
  const z = connection.voltage / (Math.sqrt(3) * locked);
  const lockedTorque = c.lockedRotorTorque[i] ?? 0;
  const dipOf = (current: number): number | undefined =>
    zs === undefined ? undefined : (Math.sqrt(3) * current * zs) / voltage;
  if (method === 'drive') {
    const k = driveOverload(needs);
    const current = k * connection.current;
    return { current, torque: k * (c.ratedTorque[i] ?? 0), dip: dipOf(current) };
  }
  const shares = methodShares(method);
  if (!shares) {
    const current = Math.min(softLimit * connection.current, voltage / (Math.sqrt(3) * ((zs ?? 0) + z)));
    return { current, torque: lockedTorque * (current / locked) ** 2, dip: dipOf(current) };
  }
  const current = voltage / (Math.sqrt(3) * ((zs ?? 0) + z / shares.current));
  const dip = dipOf(current);
  const terminal = (voltage * (1 - (dip ?? 0))) / connection.voltage;
  return { current, torque: lockedTorque * shares.torque * terminal * terminal, dip };
}

interface YearRatio {
  readonly hours: number;
  /** Share of full shaft power under speed control, and of full input under the present control. */
  readonly driven: number;
  readonly present: number;
}

function yearRatios(needs: Needs): readonly YearRatio[] {
  const { rows, control, staticFraction } = needs.speed;
  return rows.map(({ hours, flow }) => ({
    hours,
    driven: speedRatio(needs.load.shape, flow, staticFraction),
    present: presentRatio(control, flow),
  }));
}

/** Price index of motor and starter plus the present value of the energy over the years. */
function lifeCycleCost(
  needs: Needs,
  c: MotorColumns,
  i: number,
  method: Method,
  direct: number,
  ratios: readonly YearRatio[],
): number {
  const rated = c.power[i] ?? 0;
  const eta = (needs.rules.efficiencyBasis === 'minimum' ? c.efficiencyMinimum[i] : c.efficiency[i]) ?? 0.9;
  const n = settledSpeed(needs, method, direct);
  const full = shaftPower(needs.load.torque, needs.load.speed, n, needs.load.shape);
  let energy = 0;
  for (const { hours, driven, present } of ratios) energy += hours * inputOf(full, rated, eta, method, driven, present);
  const price = (c.priceIndex[i] ?? 0) + starterPriceIndex(method, rated);
  return price + (energy / 1000) * needs.energyPrice * presentValue(needs.discountRate, needs.years);
}

/** Electrical input in W at one row of the year: behind a drive by speed, else along the present control's curve. */
export function inputOf(
  full: number,
  rated: number,
  eta: number,
  method: Method,
  driven: number,
  present: number,
): number {
  if (method !== 'drive') return (full * present) / partLoad(full / rated, eta);
  const x = Math.max((full * driven) / rated, 1e-6);
  const motor = (x * rated) / partLoad(x, eta);
  return motor / driveShare((motor * eta) / rated);
}

function rankValue(needs: Needs, motor: Motor, method: Method, lifeCycle: number, powerMargin: number): number {
  switch (needs.rules.ranking) {
    case 'price':
      return motor.priceIndex + starterPriceIndex(method, motor.power);
    case 'efficiency':
      return -(needs.rules.efficiencyBasis === 'minimum' ? motor.efficiencyMinimum : motor.efficiency);
    case 'margin':
      return -powerMargin;
    case 'life-cycle':
    case 'shelf':
      return lifeCycle;
  }
}

export const outcomeOf = (n: number): Outcome => (n >= code.fail ? 'fail' : n === code.caution ? 'caution' : 'pass');

/** Outcome and margin of one requirement for an entry; undefined where it does not apply. */
export function entryVerdict(
  judged: Judged,
  entry: number,
  requirement: Requirement,
): { readonly outcome: Outcome; readonly margin: number } | undefined {
  const index = entry * R + at[requirement];
  const outcome = judged.outcomes[index] ?? code.none;
  return outcome === code.none ? undefined : { outcome: outcomeOf(outcome), margin: judged.margins[index] ?? 0 };
}
