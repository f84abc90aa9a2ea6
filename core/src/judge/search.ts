import type { Needs } from '../needs';
import { placeOf, type Judged, type Tie } from './asked';
import { code } from './code';
import { before, bestOf, judge, simulateEntry } from './judge';

/**
 * Finds the first choice. Closed forms never rule out what a simulated start would pass, and a simulated start never
 * costs less than
 * they say: so the starts of the best are simulated in order, until the best there is has been. Then those that cost
 * the same within
 * the house rule count as equal, and cautions, likeness to the old motor and size decide between them. Puts it first
 * in the order.
 */
export function findFirst(judged: Judged): void {
  settleHead(judged);
  const cheapest = judged.order[0];
  if (cheapest === undefined || judged.worst[cheapest] === code.fail) return;
  const winner = amongEquals(judged, cheapest);
  excuseDrive(judged, winner);
  toFront(judged, winner);
}

/** A drive that only starts a machine of fixed speed is money wasted, but not where nothing else starts that motor. */
function excuseDrive(judged: Judged, winner: number): void {
  const { bench, methods, worst, open, outcomes } = judged;
  const M = methods.length;
  if (bench.needs.speed.variable || methods[winner % M] !== 'drive' || !bench.simulates || M === 1) return;
  if (bench.needs.waived.has('speed-control')) return;
  if (othersStart(judged, winner)) return;
  const column = placeOf(judged, winner, 'speed-control');
  if (outcomes[column] !== code.caution) return;
  outcomes[column] = code.pass;
  open[winner] = (open[winner] ?? 1) - 1;
  if (open[winner] === 0) worst[winner] = code.pass;
}

/**
 * Whether anything but a drive starts a motor of this size or the next: before one two sizes larger, a drive, or its
 * maker's word. Looked for among so many of the best as are worth it.
 */
function othersStart(judged: Judged, winner: number): boolean {
  const { methods, worst, simulated, columns, bench } = judged;
  const M = methods.length;
  const power = (e: number): number => columns.power[Math.floor(e / M)] ?? 0;
  const own = power(winner);
  const most = (bench.needs.practice.ratings.find((r) => r > own * 1.02) ?? own) * 1.02;
  const others = [...worst.keys()].filter(
    (e) => methods[e % M] !== 'drive' && worst[e] !== code.fail && power(e) <= most,
  );
  others.sort((a, b) => before(judged, a, b));
  for (const e of others.slice(0, patience)) {
    if (!simulated[e]) simulateEntry(judged, e);
    if (worst[e] !== code.fail) return true;
  }
  return false;
}

/** Simulates the best until the best has been simulated. */
function settleHead(judged: Judged): void {
  const M = judged.methods.length;
  for (;;) {
    const head = judged.order[0];
    if (head === undefined || judged.worst[head] === code.fail || judged.simulated[head] || !judged.bench.simulates)
      return;
    simulateEntry(judged, head);
    reinsertHead(judged, bestOf(judged, Math.floor(head / M)));
  }
}

function reinsertHead(judged: Judged, entry: number): void {
  const { order } = judged;
  let [low, high] = [1, order.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (before(judged, order[middle] ?? 0, entry) < 0) low = middle + 1;
    else high = middle;
  }
  order.copyWithin(0, 1, low);
  order[low - 1] = entry;
}

/** The best of those that count as equal to the cheapest. */
function amongEquals(judged: Judged, cheapest: number): number {
  const { bench, rank, worst, simulated } = judged;
  const limit = equalUpTo(bench.needs, rank[cheapest] ?? 0);
  const likeness = likenessOf(judged);
  let members: number[] = [];
  for (let e = 0; e < rank.length; e++) if (worst[e] !== code.fail && (rank[e] ?? Infinity) <= limit) members.push(e);
  members = members.sort((a, b) => likeness(a, b).order);
  for (;;) {
    const [best] = members;
    if (best === undefined) return cheapest;
    if (simulated[best] || !bench.simulates) {
      judged.tie = members.length > 1 ? tieOf(cheapest, best, members, likeness) : undefined;
      return best;
    }
    simulateEntry(judged, best);
    members.shift();
    if (worst[best] === code.fail || (rank[best] ?? Infinity) > limit) continue;
    const place = members.findIndex((other) => likeness(best, other).order < 0);
    members.splice(place < 0 ? members.length : place, 0, best);
  }
}

/** The highest rank that counts as equal to the best: only money is known so roughly. */
function equalUpTo({ rules }: Needs, best: number): number {
  return rules.ranking === 'life-cycle' ? best * (1 + rules.costTie) : best;
}

/** Every motor with every method simulated: what the pruned search must agree with. */
export function judgeWhole(...args: Parameters<typeof judge>): Judged {
  const judged = judge(...args);
  const M = judged.methods.length;
  for (let entry = 0; entry < judged.worst.length; entry++) simulateEntry(judged, entry);
  judged.order = Int32Array.from(judged.columns.motors, (_, i) => bestOf(judged, i)).sort((a, b) =>
    before(judged, a, b),
  );
  judged.runs = judged.worst.length / M;
  return judged;
}

interface Compared {
  readonly order: number;
  readonly by: string;
}

function tieOf(cheapest: number, best: number, members: readonly number[], likeness: Likeness): Tie {
  const other = best === cheapest ? members[1] : cheapest;
  return { cheapest, count: members.length, by: other === undefined ? '' : likeness(best, other).by };
}

type Likeness = (a: number, b: number) => Compared;

/** Which of two that cost the same is taken: least of each of these in turn. */
function likenessOf(judged: Judged): Likeness {
  const { bench, methods, columns } = judged;
  const { old } = bench.needs;
  const M = methods.length;
  const motor = (e: number) => bench.motors[Math.floor(e / M)];
  const unlike = (is: boolean | undefined): number => (is === true ? 0 : 1);
  const criteria: readonly (readonly [string, (e: number) => number])[] = [
    ['fewer open cautions', (e) => judged.open[e] ?? 0],
    ['the old enclosure', (e) => (old.enclosure === undefined ? 0 : unlike(motor(e)?.enclosure === old.enclosure))],
    ['the old number of poles', (e) => (old.poles === undefined ? 0 : unlike(motor(e)?.poles === old.poles))],
    [
      'the old voltage',
      (e) =>
        old.voltage === undefined
          ? 0
          : unlike(motor(e)?.connections.some((c) => Math.abs(c.voltage / (old.voltage ?? 1) - 1) < 0.01)),
    ],
    ['the smaller rating', (e) => Math.round(columns.power[Math.floor(e / M)] ?? 0)],
    ['the old frame', (e) => (bench.frame === undefined ? 0 : unlike(bench.frame[Math.floor(e / M)] === 1))],
    [
      'the old service factor',
      (e) =>
        old.serviceFactor === undefined ? 0 : unlike((motor(e)?.serviceFactor ?? 1) >= old.serviceFactor - 0.005),
    ],
    ['life-cycle cost', (e) => judged.rank[e] ?? 0],
  ];
  return (a, b) => {
    for (const [by, of] of criteria) {
      const order = of(a) - of(b);
      if (order !== 0) return { order, by };
    }
    return { order: before(judged, a, b), by: 'the order of the list' };
  };
}

function toFront(judged: Judged, winner: number): void {
  const M = judged.methods.length;
  const i = Math.floor(winner / M);
  const rest = [...judged.order].filter((e) => Math.floor(e / M) !== i);
  judged.order = Int32Array.from([winner, ...rest]);
}

/** So many starts more are simulated at most to find one with neither open caution nor condition. */
const patience = 24;

/** The best entry with neither open caution nor condition; undefined where none is found. */
export function closedOf(judged: Judged): number | undefined {
  const { worst, open, conditions } = judged;
  return bestWhere(judged, (e) => worst[e] === code.pass && open[e] === 0 && conditions[e] === 0);
}

/** The best entry whose motor lies on the own shelf; undefined where none there will do. */
export function inStockOf(judged: Judged): number | undefined {
  const { worst, methods, bench } = judged;
  return bestWhere(judged, (e) => bench.build.inStock[Math.floor(e / methods.length)] === 1 && worst[e] !== code.fail);
}

/** The best of some, its start simulated; undefined where none of the first that come into question holds. */
function bestWhere(judged: Judged, keeps: (entry: number) => boolean): number | undefined {
  const { rank, simulated, bench } = judged;
  for (let tries = 0; tries < patience; tries++) {
    let best = -1;
    for (let e = 0; e < rank.length; e++) if (keeps(e) && (best < 0 || before(judged, e, best) < 0)) best = e;
    if (best < 0) return undefined;
    if (simulated[best] || !bench.simulates) return best;
    simulateEntry(judged, best);
  }
  return undefined;
}
