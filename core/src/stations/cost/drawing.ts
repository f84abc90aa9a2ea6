import type { MachineCurves } from '../../case';
import type { Needs } from '../../needs';
import { systemHead, type FlowMachine, type FlowPoint } from '../../physics';

const short = (x: number): number => Number(x.toPrecision(4));
const pieces = 24;

/** Machine and system on one drawing, the year's flows on them; null for what no such curve describes. */
export function drawMachine(
  needs: Needs,
  oldPoint: (flow: number) => FlowPoint,
  newPoint: (flow: number) => FlowPoint,
): MachineCurves | null {
  if (needs.load.shape.kind !== 'quadratic') return null;
  const { machine, system, typed } = needs.speed.flow;
  const points = needs.speed.assumedHours
    ? []
    : needs.speed.rows.slice(0, 60).map(({ hours, flow }) => {
        const [now, next] = [oldPoint(flow), newPoint(flow)];
        const needed = systemHead(system.held, flow);
        return {
          ...{ hours, flow: short(flow), needed: short(needed) },
          ...{ old: short(now.head), new: short(next.head), speed: short(next.speed) },
        };
      });
  const asked = [...new Set(points.map((p) => Number(p.speed.toFixed(2))))].filter((n) => n > 0.05 && n < 0.995);
  const some = asked.toSorted((a, b) => b - a).filter((_, i, all) => i % Math.ceil(all.length / 4) === 0);
  const most = Math.max(1, machine.most, ...points.map((p) => p.flow));
  return {
    speeds: [1, ...some].map((speed) => ({ speed, points: lineOf(machine, speed) })),
    system: Array.from({ length: pieces + 1 }, (_, i) => {
      const x = (most * i) / pieces;
      return [short(x), short(systemHead(system.held, x))];
    }),
    points,
    typed,
  };
}

const lineOf = (machine: FlowMachine, speed: number): [number, number][] =>
  Array.from({ length: pieces + 1 }, (_, i) => {
    const x = (machine.most * i) / pieces;
    return [short(x * speed), short(speed * speed * machine.head(x))];
  });
