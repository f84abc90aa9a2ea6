import { monotone } from '../../quantity';

/**
 * A pump or fan at its full speed, all ÷ the demand at full flow: flow, head (or pressure) and shaft power. Other
 * speeds follow by similarity: flow with speed, head with its square, power with its cube.
 */
export interface FlowMachine {
  /** Head it gives at a flow of x ≥ 0. */
  readonly head: (x: number) => number;
  /** Shaft power it takes at a flow of x ≥ 0; 1 is the demand's. */
  readonly power: (x: number) => number;
  /** Flow at which it runs out. */
  readonly most: number;
  /** Share of the demand's shaft power that is flow work at full flow and the head asked. */
  readonly efficiency: number;
}

/** One typed point of a machine's curve at its full speed, in one unit each. */
export interface CurvePoint {
  readonly flow: number;
  readonly head: number;
  readonly efficiency: number;
}

/**
 * Usual centrifugal machine: head rises by a quarter to shut-off along a parabola, efficiency is a parabola through
 * zero with its peak at full flow, and it runs out at 1.2 of it.
 */
export const typicalMachine = (efficiency: number): FlowMachine => ({
  head: (x) => 1.25 - 0.25 * Math.min(x, 1.2) ** 2,
  power: (x) => (1.25 - 0.25 * Math.min(x, 1.2) ** 2) / (2 - Math.min(x, 1.2)),
  ...{ most: 1.2, efficiency },
});

/**
 * A machine by its own curve: at least three points, flow rising, with the demand's flow and head in the same units
 * (above 0) and the efficiency its shaft power was computed with. Head and efficiency are joined without overshoot,
 * efficiency from zero at no flow; beyond the last point it runs out.
 */
export function curvedMachine(
  points: readonly CurvePoint[],
  full: { readonly flow: number; readonly head: number; readonly efficiency: number },
): FlowMachine {
  const running = points.filter((p) => p.flow > 0 && p.efficiency > 0);
  const head = monotone(points.map((p) => [p.flow / full.flow, p.head / full.head]));
  const efficiency = monotone([[0, 0], ...running.map((p): [number, number] => [p.flow / full.flow, p.efficiency])]);
  const most = (points.at(-1)?.flow ?? full.flow) / full.flow;
  // At no flow the two go to zero together: what it takes there is their limit.
  const power = (x: number): number => {
    const at = Math.min(Math.max(x, 1e-6 * most), most);
    return (head(at) * at * full.efficiency) / efficiency(at);
  };
  return { head, power, most, efficiency: full.efficiency };
}

/** Head the system asks at a flow of x: a share that is there without flow, and the rest with its square. */
export const systemHead = (held: number, x: number): number => held + (1 - held) * x * x;

/** Speed ÷ full at which a machine gives a flow of x ≥ 0 at a head above 0: where its curve meets the point. */
export function speedFor({ head }: FlowMachine, x: number, wanted: number): number {
  let [low, high] = [0, 1];
  const gives = (n: number): number => n * n * head(x / n);
  while (gives(high) < wanted && high < 16) high *= 2;
  for (let i = 0; i < 44; i++) {
    const mid = (low + high) / 2;
    if (gives(mid) < wanted) low = mid;
    else high = mid;
  }
  return high;
}

/**
 * Where machine and system meet for one flow. Speed ÷ full; flow of one machine and the head it gives; shaft power ÷
 * the demand's and what becomes of it: flow work, what the way of control loses, what the machine itself loses. With
 * several machines shaft power and its shares are their mean.
 */
export interface FlowPoint {
  readonly speed: number;
  readonly flow: number;
  readonly head: number;
  readonly shaft: number;
  readonly work: number;
  readonly control: number;
  readonly machine: number;
  /** Machines that run ÷ all; 1 where one is switched on for a part of the time. */
  readonly share: number;
}

/** A system: the share of its head that is there without flow, and how many like machines give its full flow. */
export interface FlowSystem {
  readonly held: number;
  readonly machines: number;
}

/**
 * Ways to hold flow below full. `share`: of full shaft power at a flow, as published; `behind`: whether what holds it
 * stands behind the machine (a damper), and not in its inlet, where the machine itself then gives less.
 */
export type FlowWay =
  | { readonly kind: 'full' | 'throttle' | 'bypass' | 'on-off' | 'speed' }
  | { readonly kind: 'published'; readonly share: (x: number) => number; readonly behind: boolean }
  | { readonly kind: 'two-speed'; readonly low: number };

/** What one machine takes at a flow x ≥ 0 of its own against a head, at a speed of its own choice. */
function one(
  machine: FlowMachine,
  way: FlowWay,
  x: number,
  wanted: number,
): Pick<FlowPoint, 'speed' | 'head' | 'shaft'> {
  const at = (speed: number): Pick<FlowPoint, 'speed' | 'head' | 'shaft'> => ({
    speed,
    head: speed * speed * machine.head(x / speed),
    shaft: speed ** 3 * machine.power(x / speed),
  });
  switch (way.kind) {
    case 'full':
    case 'bypass':
      return { speed: 1, head: machine.head(1), shaft: machine.power(1) };
    case 'on-off':
      return { speed: 1, head: machine.head(1), shaft: x * machine.power(1) };
    case 'throttle':
      return at(1);
    case 'published':
      return {
        speed: 1,
        head: way.behind ? Math.max(wanted, machine.head(x)) : wanted,
        shaft: way.share(x) * machine.power(1),
      };
    case 'two-speed': {
      const low = at(way.low);
      return low.head >= wanted && x / way.low <= machine.most ? low : at(1);
    }
    case 'speed':
      return at(speedFor(machine, x, wanted));
  }
}

/**
 * The point for a share q ≥ 0 of full flow. Of several machines as many run as take least, of those that give the head;
 * a way that lets all run at full flow runs all.
 */
export function flowPoint(machine: FlowMachine, { held, machines }: FlowSystem, way: FlowWay, q: number): FlowPoint {
  const wanted = systemHead(held, q);
  const staged = way.kind !== 'full' && way.kind !== 'bypass' && way.kind !== 'on-off';
  let best: FlowPoint | undefined;
  for (let running = staged ? 1 : machines; running <= machines; running++) {
    const x = (q * machines) / running;
    const alone = running < machines;
    if (alone && way.kind !== 'speed' && machine.head(x) < wanted) continue;
    const found = one(machine, way, x, wanted);
    if (alone && (found.speed > 1.0001 || x / found.speed > machine.most)) continue;
    const shaft = (found.shaft * running) / machines;
    if (best && best.shaft <= shaft) continue;
    const work = machine.efficiency * q * wanted;
    // What leaves the machine as flow at its own head; a machine that idles between fillings works at full head.
    const passed = way.kind === 'full' || way.kind === 'bypass' ? 1 : q;
    const control = Math.max(0, machine.efficiency * passed * found.head - work);
    best = { ...found, flow: x, shaft, share: running / machines, work, control, machine: shaft - work - control };
  }
  return best ?? { speed: 1, flow: q, head: 0, shaft: 0, work: 0, control: 0, machine: 0, share: 1 };
}
