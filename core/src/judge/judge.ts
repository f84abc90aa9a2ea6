import { genericMotors, motorColumns, type Motor } from '../catalogue';
import type { Method } from '../contract';
import {
  bySpeed,
  directSpeed,
  driveOverload,
  inputOf,
  pointOf,
  presentPoint,
  runUpLoad,
  settledSpeed,
  type Needs,
} from '../needs';
import {
  isVariableTorque,
  methodShares,
  presentValue,
  shaftPower,
  torqueRatio,
  usualConstantLoss,
  type FlowPoint,
} from '../physics';
import { remedyKinds } from '../practice';
import { triedOf, type Tried } from '../runs';
import { answer, columnOf, firstOnLine, placesOf, R, type Judged } from './asked';
import { buildColumns, sameFrames, starterPrices, supplyColumns } from './columns';
import { code } from './code';
import { problemCode, whenSimulated, type Bench, type Entry, type Requirement } from './requirement';
import { asked } from './requirements';

/**
 * Judges every motor with every method against the needs: closed forms and one bracketed root each. Simulates nothing.
 */
export function judge(needs: Needs, motors: readonly Motor[], methods: readonly Method[], pinned = false): Judged {
  const columns = motorColumns(motors);
  const M = methods.length;
  const entries = motors.length * M;
  const places = placesOf(needs, methods);
  const verdicts = motors.length * places.stride;
  const bench: Bench = {
    needs,
    motors,
    c: columns,
    build: buildColumns(needs.practice, motors),
    supply: supplyColumns(needs.practice, motors, needs.supply.voltage),
    frame: needs.oldFrame === undefined ? undefined : sameFrames(needs.practice, motors, needs.oldFrame),
    runUp: runUpRatio(needs),
    overload: driveOverload(needs),
    variableTorque: isVariableTorque(needs.load.shape),
    simulates: needs.supply.voltage !== undefined && needs.load.startKnown,
    smallest: smallestOf(needs.practice.id),
    pinned,
  };
  const judged: Judged = {
    bench,
    columns,
    methods,
    places,
    outcomes: new Int8Array(verdicts).fill(code.none),
    margins: new Float64Array(verdicts),
    answers: new Int8Array(verdicts),
    worst: new Int8Array(entries),
    open: new Int8Array(entries),
    conditions: new Int8Array(entries),
    price: new Float64Array(entries),
    lifeCycle: new Float64Array(entries),
    rank: new Float64Array(entries),
    simulated: new Uint8Array(entries),
    order: new Int32Array(motors.length),
    runs: 0,
    tie: undefined,
  };
  const assess = assessor(judged);
  for (let i = 0; i < motors.length; i++) {
    const direct = directSpeed(needs, columns, i);
    for (let m = 0; m < M; m++) assess(i, m, direct, undefined);
    judged.order[i] = bestOf(judged, i);
  }
  judged.order.sort((a, b) => before(judged, a, b));
  return judged;
}

/** A requirement that these needs ask, its judge taken out: objects of one shape, as the innermost loop reads them. */
interface Asked {
  readonly of: Requirement;
  readonly judge: Requirement['judge'];
  readonly column: number;
  readonly counts: boolean;
}

/** Requirements that stand together, and what they come to for the entry last judged. */
interface Part {
  readonly those: readonly Asked[];
  worst: number;
  shortfall: number;
  open: number;
  conditions: number;
  remedies: number;
  /** What the energy of the years comes to, of the parts that decide it. */
  energy: number;
}

type Assess = (i: number, m: number, direct: number, tried: Tried | undefined) => void;
const assessors = new WeakMap<Judged, Assess>();

/** Judges one entry, by closed forms or by its simulated start, and writes its columns. */
function assessor(judged: Judged): Assess {
  const known = assessors.get(judged);
  if (known) return known;
  const { bench, columns, methods, outcomes, margins, answers } = judged;
  const { needs } = bench;
  const { stride, of: places } = judged.places;
  const M = methods.length;
  const starters = starterPrices(needs.practice, bench.motors, methods);
  const list = asked.flatMap((of: Requirement, column): Asked[] =>
    of.applies(needs) ? [{ of, judge: of.judge, column, counts: !needs.waived.has(of.id) }] : [],
  );
  const partOf = (those: Part['those']): Part => ({
    ...{ those, worst: code.pass, shortfall: 0, open: 0, conditions: 0, remedies: 0, energy: 0 },
  });
  const on = (part: Requirement['of']) => list.filter(({ of }) => of.of === part);
  const [ofMotor, ofLine, ofDrive] = [partOf(on('motor')), partOf(on('line')), partOf(on('line'))];
  const ofMethod = partOf(on('method'));
  // What only a run can say stands at none until there is one.
  const closed = partOf(ofMethod.those.filter(({ judge }) => judge !== whenSimulated));
  const year: Year = { ratios: yearRatios(needs), annuity: presentValue(needs.discountRate, needs.years) };
  const shares = methods.map((method) => methodShares(method, needs.starter));
  const powerAt = methods.map((_, m) => places[m * R + columnOf('power')] ?? 0);
  const first = firstOnLine(methods);
  const at = newEntry();
  const { remedyPrices } = bench.build;
  const K = remedyKinds.length;
  const asksPerson = !bench.pinned && !needs.waived.has('spare');
  /** One requirement of the entry stood at, by closed form or by its run, into the columns. */
  const judgeOne = ({ of, judge }: Asked, index: number, tried: Tried | undefined): void => {
    at.remedy = undefined;
    at.condition = false;
    let outcome = judge(bench, at);
    if (tried && of.problems.length > 0) {
      at.margin = of.marginOf(bench, at, tried);
      outcome = problemCode(tried, of.problems, at);
    }
    if (outcome === code.none) {
      outcomes[index] = code.none;
      return;
    }
    margins[index] = bounded(at.margin);
    answers[index] = answer.none;
    if (outcome === code.caution && at.remedy !== undefined) {
      outcome = code.pass;
      answers[index] = answer.remedy + remedyKinds.indexOf(at.remedy);
    } else if (outcome === code.caution && at.condition) {
      outcome = code.pass;
      answers[index] = answer.condition;
    }
    outcomes[index] = outcome;
  };
  /** Judges a part of the list into the columns of an entry, and sums it up. */
  const judgePart = (part: Part, i: number, m: number, tried: Tried | undefined): void => {
    part.worst = code.pass;
    part.shortfall = part.open = part.conditions = part.remedies = 0;
    for (const one of part.those) {
      const index = i * stride + (places[m * R + one.column] ?? 0);
      judgeOne(one, index, tried);
      const outcome = outcomes[index] ?? code.none;
      if (outcome === code.none || !one.counts) continue;
      const answered = answers[index] ?? answer.none;
      if (answered >= answer.remedy) part.remedies += remedyPrices[i * K + answered - answer.remedy] ?? 0;
      else if (answered === answer.condition) part.conditions++;
      if (outcome > part.worst) part.worst = outcome;
      if (outcome === code.caution) part.open++;
      else if (outcome === code.fail) part.shortfall += 1 + Math.min(10, Math.max(0, -(margins[index] ?? 0)));
    }
  };
  const assess: Assess = (i, m, direct, tried) => {
    const entry = i * M + m;
    const method = methods[m] ?? 'direct';
    moveTo(at, bench, i, method, shares[m], direct);
    // What is the same by several methods is judged for the first of them; where it stands, `placesOf` says.
    if (tried || m === 0) judgePart(ofMotor, i, m, tried);
    const line = at.drive ? ofDrive : ofLine;
    const counted = tried !== undefined || at.drive || m === first;
    if (counted) judgePart(line, i, m, tried);
    const own = tried ? ofMethod : closed;
    judgePart(own, i, m, tried);
    // After the winding was judged: what stands between drive and motor loses too.
    if (counted) line.energy = energyCost(bench, year, i, at, direct);
    const bad = Math.max(ofMotor.worst, line.worst, own.worst);
    const open = ofMotor.open + line.open + own.open;
    const conditions = ofMotor.conditions + line.conditions + own.conditions;
    const remedies = ofMotor.remedies + line.remedies + own.remedies;
    const shortfall = ofMotor.shortfall + line.shortfall + own.shortfall;
    const powerMargin = margins[i * stride + (powerAt[m] ?? 0)] ?? 0;
    judged.worst[entry] = bad;
    judged.open[entry] = open;
    judged.conditions[entry] = conditions;
    const price = (columns.priceIndex[i] ?? 0) + (starters[entry] ?? 0) + remedies;
    const cost = price + line.energy;
    judged.price[entry] = price;
    judged.lifeCycle[entry] = cost;
    judged.simulated[entry] = Number(tried !== undefined);
    judged.rank[entry] =
      bad === code.fail
        ? shortfall
        : rankValue(bench, i, cost + unearned(bench, at, direct, line.energy), price, powerMargin) +
          weightOf(needs, price, open) +
          (bench.build.reserved[i] && asksPerson ? reserved : 0);
  };
  assessors.set(judged, assess);
  return assess;
}

/** More than any cost, and than what must be ordered: what another position relies on comes after all else. */
const reserved = 2e15;

/** More than any efficiency or margin of power. */
const beyondAny = 1e6;

/**
 * What open cautions weigh: a share of the purchase where the ranking is by money; else each comes before any margin
 * or efficiency.
 */
function weightOf({ rules }: Needs, price: number, open: number): number {
  const money = rules.ranking === 'life-cycle' || rules.ranking === 'price' || rules.ranking === 'shelf';
  return money ? rules.cautionWeight * price * open : beyondAny * open;
}

/** Simulates an entry's start, unless it has been, and judges it anew. */
export function simulateEntry(judged: Judged, entry: number): void {
  const { bench, methods, columns } = judged;
  if (judged.simulated[entry] || !bench.simulates) return;
  const M = methods.length;
  const [i, m] = [Math.floor(entry / M), entry % M];
  const [motor, method] = [bench.motors[i], methods[m]];
  if (!motor || !method) return;
  const tried = triedOf(bench.needs, motor, method);
  judged.runs++;
  if (tried) assessor(judged)(i, m, directSpeed(bench.needs, columns, i), tried);
  judged.simulated[entry] = 1;
}

/** The best entry of a motor. */
export function bestOf(judged: Judged, i: number): number {
  const M = judged.methods.length;
  let best = i * M;
  for (let entry = best + 1; entry < (i + 1) * M; entry++) if (before(judged, entry, best) < 0) best = entry;
  return best;
}

/** Order of two entries: what fails after all else, then by rank, life-cycle cost, and the order of the list. */
export function before({ worst, rank, lifeCycle }: Judged, a: number, b: number): number {
  return (
    Number(worst[a] === code.fail) - Number(worst[b] === code.fail) ||
    (rank[a] ?? 0) - (rank[b] ?? 0) ||
    (lifeCycle[a] ?? 0) - (lifeCycle[b] ?? 0) ||
    a - b
  );
}

/** The smallest rating made with each number of poles, W: of the catalogue, whatever is pinned or lies on the shelf. */
function smallestOf(practice: string): ReadonlyMap<number, number> {
  const known = smallest.get(practice);
  if (known) return known;
  const found = new Map<number, number>();
  for (const m of genericMotors())
    if (m.practice === practice) found.set(m.poles, Math.min(m.power, found.get(m.poles) ?? Infinity));
  smallest.set(practice, found);
  return found;
}
const smallest = new Map<string, ReadonlyMap<number, number>>();

/**
 * A margin is a share left over: beyond a millionfold it says no more, and where it is none the sums have overflowed.
 */
const bounded = (margin: number): number => (margin > most ? most : margin >= -most ? margin : -most);
const most = 1e6;

const newEntry = (): Entry => ({
  i: 0,
  method: 'direct',
  drive: false,
  n: 0,
  own: 1,
  line: 1,
  dip: NaN,
  torque: 0,
  share: 0,
  current: 0,
  margin: 0,
  filterLoss: 0,
  remedy: undefined,
  condition: false,
});

/**
 * What several requirements read of one motor with one method: where it settles, its voltages, and its standstill by
 * the laws that Start narrates.
 */
function moveTo(
  e: Entry,
  { needs, c, supply, overload }: Bench,
  i: number,
  method: Method,
  shares: ReturnType<typeof methodShares>,
  direct: number,
): void {
  e.i = i;
  e.method = method;
  e.drive = method === 'drive';
  e.filterLoss = 0;
  e.n = settledSpeed(needs, method, direct);
  e.own = supply.voltage[i] ?? 1;
  e.line = needs.supply.voltage ?? e.own;
  // A generator dips by its transient reactance before its regulator moves.
  const zs = needs.supply.generator?.transientReactance ?? needs.supply.impedance;
  const locked = supply.locked[i] ?? 0;
  const z = e.own / (Math.sqrt(3) * locked);
  const lockedTorque = c.lockedRotorTorque[i] ?? 0;
  const rated = supply.current[i] ?? 0;
  const current = e.drive
    ? overload * rated
    : shares
      ? e.line / (Math.sqrt(3) * ((zs ?? 0) + z / shares.current))
      : Math.min(needs.starter.softLimit * rated, e.line / (Math.sqrt(3) * ((zs ?? 0) + z)));
  e.current = current;
  e.dip = zs === undefined ? NaN : (Math.sqrt(3) * current * zs) / e.line;
  const terminal = (e.line * (1 - (zs === undefined ? 0 : e.dip))) / e.own;
  e.torque = e.drive
    ? overload * (c.ratedTorque[i] ?? 0)
    : lockedTorque * (shares ? shares.torque * terminal * terminal : (current / locked) ** 2);
  e.share = e.torque / (lockedTorque || 1e-9);
}

/**
 * Highest torque the load's shape asks between standstill and 70 % speed, ÷ steady torque; less where it starts
 * unloaded.
 */
function runUpRatio({ load }: Needs): number {
  let most = 0;
  const { shape, startRatio } = runUpLoad(load);
  for (let x = 0.1; x < 0.75; x += 0.1) most = Math.max(most, torqueRatio(shape, x));
  return most * startRatio;
}

interface YearRatio {
  /** Hours, and the price of their energy ÷ the mean price. */
  readonly hours: number;
  readonly price: number;
  /** Where machine and system meet under speed control, and under the present control. */
  readonly driven: FlowPoint;
  readonly present: FlowPoint;
}

/** The year's rows, and the present value of one a year. */
interface Year {
  readonly ratios: readonly YearRatio[];
  readonly annuity: number;
}

function yearRatios(needs: Needs): readonly YearRatio[] {
  return needs.speed.rows.map(({ hours, flow, price }) => ({
    ...{ hours, price },
    driven: pointOf(needs, bySpeed, flow),
    present: presentPoint(needs, flow),
  }));
}

/**
 * What a drive that only starts a machine seems to save by the few turns it holds back: trimming does that without one,
 * so it ranks no drive. Told in no cost.
 */
function unearned({ needs: { load, speed } }: Bench, { drive, n }: Entry, direct: number, energy: number): number {
  if (!drive || speed.variable || speed.throttled || direct <= n) return 0;
  const at = (rpm: number): number => shaftPower(load.torque, load.speed, rpm, load.shape);
  return energy * (at(direct) / at(n) - 1);
}

/** Present value of the energy over the years. */
function energyCost(
  { needs, c }: Bench,
  { ratios, annuity }: Year,
  i: number,
  { method, filterLoss }: Entry,
  direct: number,
): number {
  const rated = c.power[i] ?? 0;
  const eta = (needs.rules.efficiencyBasis === 'minimum' ? c.efficiencyMinimum[i] : c.efficiency[i]) ?? 0.9;
  const motor = {
    rated,
    eta,
    constant: c.constantLoss[i] ?? usualConstantLoss,
    filter: filterLoss,
  };
  const n = settledSpeed(needs, method, direct);
  const full = shaftPower(needs.load.torque, needs.load.speed, n, needs.load.shape);
  let energy = 0;
  const now = needs.speed.flow.present;
  for (const { hours, price, driven, present } of ratios)
    energy +=
      hours *
      price *
      (method === 'drive' ? inputOf(full, motor, driven, bySpeed, needs.fed) : inputOf(full, motor, present, now));
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
