import { motorColumns, type Motor } from '../catalogue';
import type { Method } from '../contract';
import { directSpeed, driveOverload, inputOf, settledSpeed, type Needs } from '../needs';
import { isVariableTorque, methodShares, presentValue, shaftPower, speedRatio, torqueRatio } from '../physics';
import { presentRatio } from '../practice';
import { columnOf, R, type Judged } from './asked';
import { buildColumns, starterPrices, supplyColumns } from './columns';
import { code } from './code';
import type { Bench, Entry } from './requirement';
import { asked } from './requirements';

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
  const prices = starterPrices(needs.practice, motors, methods);
  const judged = asked.flatMap((of, column) =>
    of.applies(needs) ? [{ of, column, counts: !needs.waived.has(of.id) }] : [],
  );
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
  };
  const year: Year = { ratios: yearRatios(needs), annuity: presentValue(needs.discountRate, needs.years) };
  const at = newEntry();
  const shares = methods.map((method) => methodShares(method, needs.starter));
  const power = columnOf('power');
  for (let i = 0; i < motors.length; i++) {
    const direct = directSpeed(needs, columns, i);
    let best = i * M;
    for (let m = 0; m < M; m++) {
      const entry = i * M + m;
      const method = methods[m] ?? 'direct';
      moveTo(at, bench, i, method, shares[m], direct);
      let bad: number = code.pass;
      let shortfall = 0;
      for (const { of, column, counts } of judged) {
        const outcome = of.judge(bench, at);
        if (outcome === code.none) continue;
        const margin = bounded(at.margin);
        outcomes[entry * R + column] = outcome;
        margins[entry * R + column] = margin;
        if (!counts) continue;
        if (outcome > bad) bad = outcome;
        if (outcome === code.fail) shortfall += 1 + Math.min(10, Math.max(0, -margin));
      }
      worst[entry] = bad;
      const price = (columns.priceIndex[i] ?? 0) + (prices[entry] ?? 0);
      const cost = price + energyCost(bench, year, i, method, direct);
      lifeCycle[entry] = cost;
      rank[entry] = bad === code.fail ? shortfall : rankValue(bench, i, cost, price, margins[entry * R + power] ?? 0);
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

/** A margin is a share left over: beyond a millionfold it says no more, and where it is none the sums have overflowed. */
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
  margin: 0,
});

/** What several requirements read of one motor with one method: where it settles, its voltages, and its standstill by the laws that Start narrates. */
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
  e.n = settledSpeed(needs, method, direct);
  e.own = supply.voltage[i] ?? 1;
  e.line = needs.supply.voltage ?? e.own;
  const zs = needs.supply.impedance;
  const locked = supply.locked[i] ?? 0;
  const z = e.own / (Math.sqrt(3) * locked);
  const lockedTorque = c.lockedRotorTorque[i] ?? 0;
  const rated = supply.current[i] ?? 0;
  const current = e.drive
    ? overload * rated
    : shares
      ? e.line / (Math.sqrt(3) * ((zs ?? 0) + z / shares.current))
      : Math.min(needs.starter.softLimit * rated, e.line / (Math.sqrt(3) * ((zs ?? 0) + z)));
  e.dip = zs === undefined ? NaN : (Math.sqrt(3) * current * zs) / e.line;
  const terminal = (e.line * (1 - (zs === undefined ? 0 : e.dip))) / e.own;
  e.torque = e.drive
    ? overload * (c.ratedTorque[i] ?? 0)
    : lockedTorque * (shares ? shares.torque * terminal * terminal : (current / locked) ** 2);
  e.share = e.torque / (lockedTorque || 1e-9);
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

/** The year's rows, and the present value of one a year. */
interface Year {
  readonly ratios: readonly YearRatio[];
  readonly annuity: number;
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
function energyCost({ needs, c }: Bench, { ratios, annuity }: Year, i: number, method: Method, direct: number): number {
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
