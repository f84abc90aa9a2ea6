import type { Motor } from '../catalogue';
import { commonPractice, comparedMethods } from '../contract';
import { explain, findFirst, judge } from '../judge';
import type { Needs, Walk } from '../needs';
import { usualTrainEfficiency } from '../stations';
import { trainPrice } from '../practice';
import { writeNumber, writeQuantity } from '../quantity';

/** No motor is made for a speed further than this from its own, as a share. */
const near = 0.06;
/** Share of the slowest motor's speed below which a machine is geared on a drive too (common practice). */
const leastOnDrive = 0.5;
/** A belt reduces to about 4 : 1, a gearbox any more (common practice). */
const mostOfBelt = 4;
const source = commonPractice(
  'Poles and ratio are chosen together: a faster motor is cheaper, a smaller ratio loses less',
);

/**
 * Proposes poles and ratio together where the machine is coupled directly and no motor turns at its speed, each with
 * the motor it takes, what it costs and what the train loses; the cheaper first. On a drive that was asked the
 * speed is the drive's matter.
 */
export function proposeTrain({ input, w }: Walk, needs: Needs, motors: readonly Motor[]): void {
  const { speed } = needs.load;
  if (input.load?.train !== undefined || needs.load.basis !== 'load' || !(speed > 0)) return;
  const slowest = motors.reduce((a, m) => Math.min(a, m.speed), Infinity);
  // A drive follows the speed, down to where a slower motor would only be a larger one.
  if ((needs.speed.variable || input.method === 'drive') && speed >= slowest * leastOnDrive) return;
  if (motors.some((m) => Math.abs(m.speed / speed - 1) < near)) return;
  const proposals = [4, 6]
    .flatMap(
      (poles) =>
        proposal(
          needs,
          motors.filter((m) => m.poles === poles && !m.stock),
        ) ?? [],
    )
    .toSorted((a, b) => a.price - b.price);
  const [first] = proposals;
  if (!first) return;
  w.enter('load');
  w.finding(
    'load.no-train',
    'caution',
    `No motor turns at ${writeQuantity(speed, 'rpm')}: gear it. ${proposals.map((p) => p.text).join(' ')}`,
    {
      fields: ['load.train.kind', 'load.train.ratio'],
      source,
      suggestions: [
        { field: 'load.train.kind', value: first.kind, why: `a ${first.kind} with ${first.poles} poles` },
        { field: 'load.train.ratio', value: first.ratio, why: `${first.ratio} : 1 with ${first.poles} poles` },
      ],
    },
  );
  w.enter('choice');
}

interface Proposal {
  readonly kind: 'belt' | 'gearbox';
  readonly poles: number;
  readonly ratio: number;
  readonly price: number;
  readonly text: string;
}

/** The first choice of these motors through the ratio to the machine's speed; undefined without one. */
function proposal(needs: Needs, motors: readonly Motor[]): Proposal | undefined {
  const [any] = motors;
  if (!any) return undefined;
  const usual = motors.reduce(
    (a, m) => (Math.abs(m.power - needs.load.power) < Math.abs(a.power - needs.load.power) ? m : a),
    any,
  );
  const ratio = Number((usual.speed / needs.load.speed).toPrecision(3));
  const kind = ratio > mostOfBelt ? 'gearbox' : 'belt';
  const eta = usualTrainEfficiency[kind];
  const { load, start } = needs;
  const geared: Needs = {
    ...needs,
    load: {
      ...load,
      torque: load.torque / (ratio * eta),
      speed: load.speed * ratio,
      power: load.power / eta,
      ratio,
      belt: kind === 'belt',
    },
    start: { ...start, loadInertia: start.loadInertia && start.loadInertia / ratio ** 2, sizeInertia: usual.inertia },
  };
  const judged = judge(geared, motors, needs.supply.phases === 1 ? ['drive'] : comparedMethods);
  findFirst(judged);
  const entry = judged.order[0];
  const found = entry === undefined ? undefined : explain(geared, judged, entry);
  if (!found || found.outcome === 'fail') return undefined;
  const lost = writeQuantity(load.power * (1 / eta - 1), 'W', needs.practice.words.units);
  const price = found.cost.priceIndex + trainPrice(kind, load.power, load.torque);
  const text =
    `With ${usual.poles} poles a ${kind} of ${writeNumber(ratio)} : 1 and ${found.motor.name}, ` +
    `${found.method.replace('-', ' ')}, price index ${price} with the ${kind}; it loses about ${lost}.`;
  return { kind, poles: usual.poles, ratio, price, text };
}
