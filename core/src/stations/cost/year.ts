import { drawnOf, pointOf, type Drawn, type Needs, type Rating } from '../../needs';
import { currentAtLoad, type FlowPoint, type FlowWay } from '../../physics';
import { q } from '../../quantity';

/** What a year takes: money of its energy at today's prices, its energy in kWh, and the demand billed in kW. */
export interface YearSum {
  readonly money: number;
  readonly energy: number;
  readonly demand: number;
}

/**
 * Conductors that the motor's current passes: Ω a phase of its cable and of the transformer, A at full load and the
 * magnetising share of it. What a drive draws of the line goes by its power factor and the line's V.
 */
export interface Wire {
  readonly cable: number;
  readonly transformer: number;
  readonly current: number;
  readonly magnetising: number;
  readonly line: { readonly voltage: number; readonly powerFactor: number };
}

/** A motor over the year: W of full shaft power, its rating and losses, and how its flow is made. */
export interface Runner extends Rating {
  readonly full: number;
  readonly way: FlowWay;
  /** Demand billed ÷ highest input in kW. */
  readonly billed: number;
  /** Undefined where its current is not known. */
  readonly wire: Wire | undefined;
}

/**
 * What one flow draws, W: at the motor, lost in drive and filter, together; and what its current loses in cable and
 * transformer beside that, which no candidate is judged by: the sums of money leave it out.
 */
export interface Parts extends Drawn {
  readonly point: FlowPoint;
  readonly wire: number;
  readonly transformer: number;
  readonly all: number;
}

/** What a motor draws at a flow, part by part. */
export function partsAt(needs: Needs, { full, way, wire, ...motorOf }: Omit<Runner, 'billed'>, flow: number): Parts {
  const point = pointOf(needs, way, flow);
  const drawn = drawnOf(full, motorOf, point, way, needs.fed);
  const all = drawn.motor + drawn.drive + drawn.filter;
  // Torque asks the current, and a drive holds it as speed falls; on and off draws it in full while it is on.
  const switched = way.kind === 'on-off' ? point.shaft : 1;
  const torque = (full * point.shaft) / switched / point.share / Math.max(0.05, Math.min(1, point.speed));
  const amperes = wire ? currentOf(wire, torque, motorOf.rated) : 0;
  const running = point.share * switched;
  // Of several machines each has its cable, and all of them the one transformer.
  const line = wire && way.kind === 'speed' ? all / (rootThree * wire.line.voltage * wire.line.powerFactor) : 0;
  const [cable, transformer] = [wire?.cable ?? 0, wire?.transformer ?? 0];
  return {
    ...{ point, ...drawn, all },
    wire: 3 * cable * amperes ** 2 * running,
    transformer: 3 * transformer * (way.kind === 'speed' ? line ** 2 : (amperes * point.share) ** 2 * switched),
  };
}

const rootThree = Math.sqrt(3);

const currentOf = ({ current, magnetising }: Wire, load: number, rated: number): number =>
  currentAtLoad.of({ I_n: q(current, 'A'), k: q(magnetising, '1'), P: q(load, 'W'), P_r: q(rated, 'W') });

/** A year along its rows; load scaled by k, the motor's losses by l. */
export function yearOf(needs: Needs, runner: Runner, k = 1, l = 1): YearSum {
  const scaled = { ...runner, full: runner.full * k, eta: 1 / (1 + l * (1 / runner.eta - 1)) };
  let [money, energy, demand] = [0, 0, 0];
  for (const { hours, flow, price } of needs.speed.rows) {
    const drawn = partsAt(needs, scaled, flow).all / 1000;
    energy += hours * drawn;
    money += hours * drawn * needs.energyPrice * price;
    demand = Math.max(demand, drawn);
  }
  return { money, energy, demand: demand * runner.billed };
}

/** Where a year's energy goes, kWh; but for those of `besideMoney` they add up to what is paid for. */
export const lossNames = {
  work: 'flow work',
  control: 'held back by the way of control',
  machine: 'the machine itself',
  train: 'belt, gear or coupling',
  motor: 'the motor',
  drive: 'the drive',
  filter: 'its filter',
  wire: 'the cable',
  transformer: 'the transformer, by its current',
  standby: 'the drive while nothing runs',
} as const;
export type LossKind = keyof typeof lossNames;
export const besideMoney: ReadonlySet<LossKind> = new Set(['wire', 'transformer', 'standby']);

const hoursOfYear = 8760;

/** A year's account; `train` is the efficiency between motor and machine. */
export function accountOf(needs: Needs, runner: Runner, train: number): Readonly<Record<LossKind, number>> {
  const sum = {
    work: 0,
    control: 0,
    machine: 0,
    train: 0,
    motor: 0,
    drive: 0,
    filter: 0,
    wire: 0,
    transformer: 0,
    standby: 0,
  };
  for (const { hours, flow } of needs.speed.rows) {
    const { point, motor, drive, filter, wire, transformer } = partsAt(needs, runner, flow);
    const kilo = hours / 1000;
    const shaft = runner.full * point.shaft;
    const driven = runner.full * train * kilo;
    sum.work += driven * point.work;
    sum.control += driven * point.control;
    sum.machine += driven * point.machine;
    sum.train += shaft * (1 - train) * kilo;
    sum.motor += (motor - shaft) * kilo;
    sum.drive += drive * kilo;
    sum.filter += filter * kilo;
    sum.wire += wire * kilo;
    sum.transformer += transformer * kilo;
  }
  const hours = needs.speed.rows.reduce((all, row) => all + row.hours, 0);
  if (runner.way.kind === 'speed') sum.standby = (needs.fed.standby * Math.max(0, hoursOfYear - hours)) / 1000;
  return sum;
}
