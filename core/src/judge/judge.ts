import { motorColumns, type Motor, type MotorColumns } from '../catalogue';
import type { Method } from '../contract';
import { lacking } from '../nameplate';
import {
  isVariableTorque,
  methodShares,
  presentRatio,
  presentValue,
  shaftPower,
  speedRatio,
  torqueRatio,
} from '../physics';
import { code, col, columnOf, lines, R, requirements, Slate, type Judged } from './asked';
import { directSpeed, driveOverload, inputOf, type Needs, settledSpeed, unfilteredLength } from '../needs';
import { judgeLesson } from './lessons';
import { buildColumns, starterPrices, supplyColumns, type BuildColumns, type SupplyColumns } from './columns';

/** What judging reads, all of it found before the first motor: columns, and numbers that no motor changes. */
interface Bench {
  readonly needs: Needs;
  readonly motors: readonly Motor[];
  readonly c: MotorColumns;
  readonly build: BuildColumns;
  readonly supply: SupplyColumns;
  /** 1 where a motor has the old one's frame. */
  readonly frame: Uint8Array | undefined;
  /** Torque asked while running up ÷ steady torque. */
  readonly runUp: number;
  readonly overload: number;
  readonly variableTorque: boolean;
  readonly ratios: readonly YearRatio[];
  readonly annuity: number;
}

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
  const bests = new Int32Array(motors.length);
  const slate = new Slate(outcomes, margins);
  const prices = starterPrices(needs.practice, motors, methods);
  const counted = requirements.map((r, i) => (needs.waived.has(r) ? -1 : i)).filter((i) => i >= 0);
  const bench: Bench = {
    needs,
    motors,
    c: columns,
    build: buildColumns(needs.practice, motors),
    supply: supplyColumns(needs.practice, motors, needs.supply.voltage),
    frame: sameFrames(needs.oldFrame, motors),
    runUp: runUpRatio(needs),
    overload: driveOverload(needs),
    variableTorque: isVariableTorque(needs.load.shape),
    ratios: yearRatios(needs),
    annuity: presentValue(needs.discountRate, needs.years),
  };
  for (let i = 0; i < motors.length; i++) {
    const direct = directSpeed(needs, columns, i);
    let best = i * M;
    for (let m = 0; m < M; m++) {
      const entry = i * M + m;
      const method = methods[m] ?? 'direct';
      slate.offset = entry * R;
      judgeOne(bench, i, method, direct, slate);
      let bad: number = code.pass;
      let shortfall = 0;
      for (const r of counted) {
        const outcome = outcomes[entry * R + r] ?? code.none;
        if (outcome > bad) bad = outcome;
        if (outcome === code.fail) shortfall += 1 + Math.min(10, Math.max(0, -(margins[entry * R + r] ?? 0)));
      }
      worst[entry] = bad;
      const price = (columns.priceIndex[i] ?? 0) + (prices[entry] ?? 0);
      const cost = price + energyCost(bench, i, method, direct);
      lifeCycle[entry] = cost;
      rank[entry] =
        bad === code.fail ? shortfall : rankValue(bench, i, cost, price, margins[entry * R + col.power] ?? 0);
      if (before(entry, best) < 0) best = entry;
    }
    bests[i] = best;
  }
  function before(a: number, b: number): number {
    return (
      (worst[a] ?? 0) - (worst[b] ?? 0) ||
      (rank[a] ?? 0) - (rank[b] ?? 0) ||
      (lifeCycle[a] ?? 0) - (lifeCycle[b] ?? 0) ||
      a - b
    );
  }
  return { columns, methods, outcomes, margins, worst, lifeCycle, rank, order: bests.sort(before) };
}

function judgeOne(bench: Bench, i: number, method: Method, direct: number, slate: Slate): void {
  const { needs, c, build, supply } = bench;
  const { load, place, speed, rules } = needs;
  const drive = method === 'drive';
  const n = settledSpeed(needs, method, direct);
  const own = supply.voltage[i] ?? 1;
  const line = needs.supply.voltage ?? own;

  const rated = (c.power[i] ?? 0) * place.motorDerating;
  const asked = neededRating(needs, c, i, n, drive) * load.margin * load.thermal;
  slate.set(col.power, rated >= asked ? code.pass : code.fail, rated / asked - 1);
  if (load.peak > 1) {
    const reserve = ((c.breakdownTorque[i] ?? 0) * (line / own) ** 2) / (load.torque * load.peak) - 1;
    slate.set(col.peakTorque, withReserve(reserve, lines.peakReserve), reserve);
  }
  if (needs.supply.voltage !== undefined) slate.set(col.voltage, supply.fit[i] ?? code.none, supply.fitMargin[i] ?? 0);
  const offFrequency = Math.abs((build.frequency[i] ?? 0) / needs.supply.frequency - 1);
  const fits = offFrequency < 0.01;
  slate.set(col.frequency, fits ? code.pass : drive ? code.caution : code.fail, 0.01 - offFrequency);
  judgeSpeed(bench, i, n, drive, slate);
  judgeBuild(bench, i, slate);

  if (speed.variable) slate.set(col.speedControl, drive ? code.pass : code.fail, 0);
  else if (drive) slate.set(col.speedControl, code.caution, 0);
  judgeStart(bench, i, method, line, own, slate);
  if (method === 'star-delta') slate.set(col.leads, supply.deltaFits[i] ? code.pass : code.fail, 0);
  if (drive) {
    if (speed.variable) {
      const ratio = (bench.variableTorque ? build.turndownVariable[i] : build.turndownConstant[i]) ?? 1;
      const margin = (speed.min * load.speed * ratio) / (c.speed[i] ?? 1) - 1;
      slate.set(col.turndown, margin < 0 ? code.fail : code.pass, margin);
    }
    judgeWinding(bench, i, line, rules.inverterDuty, slate);
    slate.set(col.insulation, build.hotWinding[i] ? code.pass : code.caution, 0);
    const wanted = needs.practice.driveServiceFactor;
    if (wanted !== undefined)
      slate.set(col.serviceFactor, (build.serviceFactor[i] ?? 1) >= wanted ? code.pass : code.caution, 0);
  }
  for (const lesson of needs.lessons) {
    const motor = bench.motors[i];
    if (!motor) continue;
    const { outcome, margin } = judgeLesson(needs, lesson.requirement, motor, method);
    slate.set(columnOf(lesson.requirement), code[outcome], margin);
  }
}

const withReserve = (reserve: number, wanted: number): number =>
  reserve < 0 ? code.fail : reserve < wanted ? code.caution : code.pass;

/**
 * Rating that carries the load: on a drive by torque below rated speed, by power above it; on the line by the power where motor and
 * load meet, and never less than the demand as stated, which a slower motor only seems to be spared.
 */
function neededRating(needs: Needs, c: MotorColumns, i: number, n: number, drive: boolean): number {
  const power = shaftPower(needs.load.torque, needs.load.speed, n, needs.load.shape);
  const rated = c.speed[i] ?? 0;
  if (drive) return n < rated ? (power * rated) / n : power;
  return Math.max(power, needs.load.power);
}

function judgeSpeed({ needs, c, build }: Bench, i: number, n: number, drive: boolean, slate: Slate): void {
  if (!drive) {
    const off = Math.abs(n / needs.load.speed - 1);
    const outcome = off <= lines.speedOff ? code.pass : off <= lines.speedOffCaution ? code.caution : code.fail;
    slate.set(col.speed, outcome, 1 - off / lines.speedOffCaution);
    return;
  }
  const share = n / (c.speed[i] ?? 0);
  const most = build.maxSpeed[i] ?? 0;
  const near = share <= lines.driveTo && share >= lines.driveFrom;
  slate.set(
    col.speed,
    n > most || share > lines.driveNever ? code.fail : near ? code.pass : code.caution,
    most / n - 1,
  );
}

/** What asks the motor's build alone: enclosure, frame, shaft, bearings, efficiency, noise. */
function judgeBuild({ needs, c, build, frame }: Bench, i: number, slate: Slate): void {
  const { load, place } = needs;
  slate.set(col.enclosure, place.enclosures.includes(build.enclosures[i] ?? '') ? code.pass : code.fail, 0);
  if (place.vibration) slate.set(col.construction, build.rugged[i] ? code.pass : code.caution, 0);
  const special = needs.old.special ?? [];
  if (special.length > 0)
    slate.set(col.interchange, lacking(special, build.special[i] ?? []).length > 0 ? code.fail : code.pass, 0);
  if (frame) slate.set(col.frame, frame[i] ? code.pass : code.caution, 0);
  if (load.belt) {
    const least = build.leastSheave[i] ?? NaN;
    const margin = Number.isNaN(least) || load.sheave === undefined ? 0 : load.sheave / least - 1;
    slate.set(col.shaft, build.shortShaft[i] ? code.fail : margin < -0.005 ? code.caution : code.pass, margin);
    slate.set(col.bearings, (c.power[i] ?? 0) > lines.rollerBearing ? code.caution : code.pass, 0);
  }
  const floor = build.floor[i] ?? NaN;
  if (!Number.isNaN(floor)) {
    // What lies on the own shelf was put on the market before: the floor asks new motors only.
    const over = (c.efficiency[i] ?? 0) - floor;
    slate.set(col.efficiencyFloor, build.onShelf[i] || over >= -0.0005 ? code.pass : code.caution, over);
  }
  if (place.noiseLimit !== undefined) {
    const margin = (place.noiseLimit - (build.sound[i] ?? 0)) / place.noiseLimit;
    slate.set(col.noise, margin >= 0 ? code.pass : code.fail, margin);
  }
}

/** Current, dip and torque at standstill, by the same laws that Start narrates; and whether the motor pulls up from there. */
function judgeStart(bench: Bench, i: number, method: Method, line: number, own: number, slate: Slate): void {
  const { needs, c, supply, overload } = bench;
  const { load, rules } = needs;
  const zs = needs.supply.impedance;
  const locked = supply.locked[i] ?? 0;
  const z = own / (Math.sqrt(3) * locked);
  const lockedTorque = c.lockedRotorTorque[i] ?? 0;
  const rated = supply.current[i] ?? 0;
  const shares = methodShares(method, needs.starter);
  const drive = method === 'drive';
  const current = drive
    ? overload * rated
    : shares
      ? line / (Math.sqrt(3) * ((zs ?? 0) + z / shares.current))
      : Math.min(needs.starter.softLimit * rated, line / (Math.sqrt(3) * ((zs ?? 0) + z)));
  const dip = zs === undefined ? undefined : (Math.sqrt(3) * current * zs) / line;
  const terminal = (line * (1 - (dip ?? 0))) / own;
  const torque = drive
    ? overload * (c.ratedTorque[i] ?? 0)
    : lockedTorque * (shares ? shares.torque * terminal * terminal : (current / locked) ** 2);

  if (dip !== undefined) slate.set(col.supply, dip <= rules.maxDip ? code.pass : code.fail, 1 - dip / rules.maxDip);
  else slate.set(col.supply, drive || (c.power[i] ?? 0) <= lines.unlimitedStart ? code.pass : code.caution, 0);
  const reserve = torque / (load.torque * load.breakaway || 1e-9) - 1;
  slate.set(col.startingTorque, withReserve(reserve, lines.startReserve), reserve);
  if (drive) return;
  // The standards' pull-up torque is the least they allow, so a shortage is a caution; one that no usual cage makes good, or not even
  // the breakdown torque, reduced as the method reduces torque at standstill, is a fail.
  const share = torque / (lockedTorque || 1e-9);
  const asked = load.torque * bench.runUp || 1e-9;
  const margin = ((c.pullUpTorque[i] ?? 0) * share) / asked - 1;
  const never = margin < lines.pullUpNever || (c.breakdownTorque[i] ?? 0) * share < asked;
  slate.set(col.runUp, never ? code.fail : margin < 0 ? code.caution : code.pass, margin);
}

function judgeWinding(
  { needs, build }: Bench,
  i: number,
  line: number,
  rule: Needs['rules']['inverterDuty'],
  slate: Slate,
): void {
  const margin = (build.pulseRating[i] ?? 0) / (2 * Math.SQRT2 * line) - 1;
  const { cable } = needs.place;
  const short = cable !== undefined && cable <= unfilteredLength(needs);
  const judged =
    margin >= 0 || (short && line < lines.pulsesNeverAssumed)
      ? code.pass
      : line >= lines.pulsesNeverAssumed
        ? code.fail
        : code.caution;
  const outcome = rule === 'judged' ? judged : rule === 'modern' || build.inverterDuty[i] ? code.pass : code.fail;
  slate.set(col.winding, outcome, margin);
}

/** Highest torque the load's shape asks between standstill and 70 % speed, ÷ steady torque; less where it starts unloaded. */
function runUpRatio({ load }: Needs): number {
  let most = 0;
  for (let x = 0.1; x < 0.75; x += 0.1) most = Math.max(most, torqueRatio(load.shape, x));
  return most * load.startRatio;
}

function sameFrames(old: string | undefined, motors: readonly Motor[]): Uint8Array | undefined {
  if (old === undefined) return undefined;
  const wanted = old.trim().toUpperCase();
  return Uint8Array.from(motors, (m) => Number(m.frame === wanted || m.frame?.toUpperCase() === wanted));
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

/** Present value of the energy over the years. */
function energyCost({ needs, c, ratios, annuity }: Bench, i: number, method: Method, direct: number): number {
  const rated = c.power[i] ?? 0;
  const eta = (needs.rules.efficiencyBasis === 'minimum' ? c.efficiencyMinimum[i] : c.efficiency[i]) ?? 0.9;
  const n = settledSpeed(needs, method, direct);
  const full = shaftPower(needs.load.torque, needs.load.speed, n, needs.load.shape);
  let energy = 0;
  for (const { hours, driven, present } of ratios) energy += hours * inputOf(full, rated, eta, method, driven, present);
  return (energy / 1000) * needs.energyPrice * annuity;
}

/** Puts every motor of the own shelf before every one that must be ordered. */
const offTheShelf = 1e15;

function rankValue(
  { needs, c, build }: Bench,
  i: number,
  lifeCycle: number,
  price: number,
  powerMargin: number,
): number {
  switch (needs.rules.ranking) {
    case 'price':
      return price;
    case 'efficiency':
      return -((needs.rules.efficiencyBasis === 'minimum' ? c.efficiencyMinimum[i] : c.efficiency[i]) ?? 0);
    case 'margin':
      return -powerMargin;
    case 'shelf':
      return lifeCycle + (build.inStock[i] ? 0 : offTheShelf);
    case 'life-cycle':
      return lifeCycle;
  }
}
