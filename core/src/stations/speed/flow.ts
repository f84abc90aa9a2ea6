import { commonPractice, definition } from '../../contract';
import { field, prescribed } from '../../law';
import { percent, wayOf, type FlowNeeds, type Walk, type YearRow } from '../../needs';
import { curvedMachine, keptShare, leastLiftSpeed, typicalMachine, type CurvePoint } from '../../physics';
import { factsOf, usualFlowEfficiency, usualLowSpeed } from '../../practice';
import { monotone, q, writeQuantity } from '../../quantity';

const gravity = 9.80665;
/** Shares within which a curve and a duty count as one (common practice). */
const about = { short: 0.97, large: 1.15, efficiency: 0.06 } as const;

/** What the demand says of full flow: m³/s, Pa, and the machine's efficiency; undefined where it does not. */
interface Duty {
  readonly flow: number | undefined;
  readonly pressure: number | undefined;
  readonly efficiency: number | undefined;
  readonly density: number;
}

function dutyOf({ input, w }: Walk): Duty {
  const demand = input.load?.demand;
  if (demand?.kind === 'pump') {
    const density = demand.density?.value ?? 1000;
    const head = demand.head?.value;
    return {
      ...{ flow: demand.flow?.value, density, efficiency: demand.efficiency },
      pressure: head === undefined ? undefined : head * density * gravity,
    };
  }
  if (demand?.kind === 'fan')
    return {
      ...{ flow: demand.flow?.value, efficiency: demand.efficiency, density: w.value('load.gasDensity') ?? 1.2 },
      pressure: w.value('load.fanPressure') ?? demand.pressure?.value,
    };
  return { flow: undefined, pressure: undefined, efficiency: undefined, density: 1000 };
}

/** Typed points in m³/s and Pa, heads by the density of what is moved. */
const pointsOf = ({ input }: Walk, density: number): CurvePoint[] =>
  (input.speed?.curve ?? []).map((p) => ({
    flow: p.flow.value,
    head: p.pressure?.value ?? (p.head?.value ?? 0) * density * gravity,
    efficiency: p.efficiency,
  }));

/** Flow of a curve's best point. */
const bestFlow = (points: readonly CurvePoint[]): number =>
  points.reduce((best, p) => (p.efficiency > best.efficiency ? p : best), { flow: 1, head: 0, efficiency: 0 }).flow;

const along = (points: readonly CurvePoint[], key: 'head' | 'efficiency', flow: number): number =>
  monotone(points.map((p) => [p.flow, p[key]]))(flow);

/** How the year's flows are made, and what machine and system say against each other. */
export function askFlow(walk: Walk, rows: readonly YearRow[]): FlowNeeds {
  const { input, w } = walk;
  const speed = input.speed;
  const duty = dutyOf(walk);
  const points = pointsOf(walk, duty.density);
  const typed = points.length > 0;
  const flow = duty.flow ?? bestFlow(points);
  const head = duty.pressure ?? (typed ? along(points, 'head', flow) : undefined);
  const own = typed ? along(points, 'efficiency', flow) : undefined;
  const loads = input.load?.machine;
  const shape = input.load?.shape ?? factsOf(loads).shape;
  // What moves no flow against a head has no such efficiency: all it takes is its work.
  const moves = shape === 'quadratic' || loads === 'displacement-pump';
  const efficiency = duty.efficiency ?? own ?? (moves ? usualFlowEfficiency.value : 1);
  const machine =
    typed && head !== undefined && head > 0
      ? curvedMachine(points, { flow, head, efficiency })
      : typicalMachine(efficiency);
  const kept = keptOf(walk, head);
  // Given here, or by the static head of the pump's demand.
  const still = speed?.staticFraction ?? Math.min(1, w.value('load.staticFraction') ?? 0);
  const held = Math.max(kept, still);
  const machines = speed?.machines ?? 1;
  if (typed && head !== undefined) judgeCurve(walk, points, { flow, head, own: own ?? 0, duty }, rows);
  const lifts = held > 0 && shape === 'quadratic';
  if (lifts) {
    const least = w.figure('speed.leastLift', leastLiftSpeed, {
      s: { value: q(held, '1'), text: 'share of the head that is there without flow' },
      h_0: typed
        ? { value: q(machine.head(0), '1'), text: 'the curve at no flow' }
        : prescribed(q(machine.head(0), '1'), commonPractice('Shut-off head of usual centrifugal machines, 1.25')),
    });
    if (least !== undefined && speed?.min !== undefined && speed.min < least && speed.need === 'variable')
      w.finding(
        'speed.below-lift',
        'caution',
        `At its lowest speed, ${percent(speed.min)}, it moves nothing: the head that is there without flow asks ` +
          `${percent(least)}. Below that it only churns and heats what stands in it.`,
        { fields: ['speed.min', 'speed.staticFraction'], figures: ['speed.leastLift'] },
      );
  }
  const least = speed?.lowSpeed ?? usualLowSpeed;
  return {
    ...{ machine, typed: typed && head !== undefined },
    system: { held, machines },
    present: wayOf(speed?.control ?? 'none', typed, least),
  };
}

/** Share of the head at full flow that is kept for those who draw. */
function keptOf({ input, w }: Walk, head: number | undefined): number {
  const kept = input.speed?.keptPressure;
  if (!kept) return 0;
  if (head === undefined || head <= 0) {
    w.finding(
      'speed.kept-unknown',
      'caution',
      `${kept.text} is kept, but nobody said what the machine gives at full flow: bring its head or pressure on ` +
        'Load, or its curve. Until then nothing counts as kept, and the saving is told too large.',
      { fields: ['speed.keptPressure', 'load.demand'] },
    );
    return 0;
  }
  const share = w.figure('speed.keptShare', keptShare, {
    p_k: field('speed.keptPressure', kept.value, kept.text),
    p: { value: q(head, 'Pa'), text: 'what is asked at full flow' },
  });
  if (share !== undefined && share > 1)
    w.finding(
      'speed.kept-above',
      'caution',
      `${kept.text} is to be kept, more than the ${writeQuantity(q(head, 'Pa'), 'Pa')} asked at full flow: one of ` +
        'the two is misread. Where it is kept at the machine, they are the same.',
      { fields: ['speed.keptPressure', 'load.demand'], figures: ['speed.keptShare'] },
    );
  return Math.min(1, share ?? 0);
}

/** A curve against the duty: too little, too much, another efficiency, two flows at one head, flows it never gives. */
function judgeCurve(
  { w }: Walk,
  points: readonly CurvePoint[],
  {
    flow,
    head,
    own,
    duty,
  }: { readonly flow: number; readonly head: number; readonly own: number; readonly duty: Duty },
  rows: readonly YearRow[],
): void {
  const fields = ['speed.curve', 'load.demand'];
  const given = along(points, 'head', flow) / head;
  const pair = (value: number): string => writeQuantity(q(value, 'Pa'), 'Pa');
  w.stated('speed.curveHead', '1', q(given, '1'), definition('The machine’s own curve'), {
    field: 'speed.curve',
    symbol: 'h_d',
  });
  const figures = ['speed.curveHead'] as const;
  if (duty.pressure !== undefined && given < about.short)
    w.finding(
      'speed.curve-short',
      'caution',
      `At full flow the curve gives ${pair(given * head)}, ${pair(head)} are asked: it does not do the duty, ` +
        'or one of the two is misread.',
      { fields, figures },
    );
  if (duty.pressure !== undefined && given > about.large)
    w.finding(
      'speed.curve-large',
      'caution',
      `At full flow the curve gives ${percent(given - 1)} more than is asked: even then something holds it back. ` +
        'A trimmed impeller, another sheave or a lower fixed speed saves that part for less than a drive costs.',
      { fields, figures },
    );
  if (duty.efficiency !== undefined && Math.abs(own - duty.efficiency) > about.efficiency)
    w.finding(
      'speed.curve-differs',
      'caution',
      `The curve’s efficiency at full flow is ${percent(own)}, the demand’s ${percent(duty.efficiency)}: one of the ` +
        'two is not this machine. The curve is followed.',
      { fields: ['speed.curve', 'load.demand.efficiency'] },
    );
  if (points.some((p, i) => p.head > (points[i - 1]?.head ?? Infinity) * 1.001))
    w.finding(
      'speed.curve-hump',
      'caution',
      'The curve rises with flow at first: two flows at one head. At low flow it may hunt or surge; keep it on the ' +
        'falling side.',
      { fields: ['speed.curve'] },
    );
  const most = (points.at(-1)?.flow ?? flow) / flow;
  const beyond = rows.find((r) => r.flow > most * 1.001);
  if (beyond)
    w.finding(
      'speed.run-out',
      'caution',
      `The year asks ${percent(beyond.flow)} of full flow; the curve ends at ${percent(most)}. Beyond its end a ` +
        'pump runs out: mind the net suction head it needs there, most of all with warm liquid.',
      { fields: ['speed.curve', 'speed.profile'] },
    );
}
