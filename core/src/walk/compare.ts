import type { CostOption, CostView } from '../case';
import { modelPrice, ratedTorque, starterPriceIndex, type Motor } from '../catalogue';
import { methodNames, type Method } from '../contract';
import { noLoadShare } from '../nameplate';
import {
  bySpeed,
  connectionFor,
  filterLossOfMotor,
  pointOf,
  settledSpeed,
  starterThere,
  type Needs,
  type Subject,
  type Walk,
} from '../needs';
import {
  growingPresentValue,
  meetingSpeed,
  shaftPower,
  spendings,
  type FlowWay,
  type Worth,
  usualConstantLoss,
} from '../physics';
import { writeAmount } from '../quantity';
import { indexSpread, lowSpeedEfficiency, rewinding, twoSpeedPrice, usualLowSpeed } from '../practice';
import { yearOf, type CostTold, type Runner } from '../stations';
import { keptAsIs, option, waysOf, withoutDrive } from './options';
import { inStar } from './star';

type Kind = CostOption['kind'];

/** One way before its sums: how it runs, what is bought for it, and how it was judged. */
interface Way extends Pick<CostOption, 'kind' | 'name' | 'motor' | 'method' | 'outcome' | 'text'> {
  readonly runner: Runner;
  readonly cost: number;
  readonly index: boolean;
  readonly life: number;
  /** Spent once besides, less what is given: known of what the case chose. */
  readonly once?: number;
}

const names: Readonly<Record<Kind, string>> = {
  keep: 'Keep all as it is',
  star: 'Keep it, connected in star',
  rewind: 'Rewind the motor that is there',
  'like-for-like': 'Another of the same size',
  premium: 'The same size, most efficient',
  'right-size': 'A motor of the size the load asks',
  'two-speed': 'Two speeds',
  drive: 'A drive on the motor that is there',
  'replace-drive': 'Another motor on a drive',
};

/** Share within which two ratings are the same size. */
const sameSize = 0.03;

/**
 * What may be done, side by side: each judged as it would run, its year's bill, what is spent, and its net present
 * value against the first. Null without a price, a year, or a load.
 */
export function compareWays(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  offered: readonly Motor[],
  told: CostTold,
): CostView | null {
  const { worth } = told;
  const m = walk.input.money;
  const { account } = told;
  if (needs.speed.assumedHours) return null;
  if (!worth || walk.w.value('cost.savedMoney') === undefined) return { account, options: [], breakEven: null };
  const factor = growingPresentValue(needs.discountRate, worth.years, worth.inflation);
  const ways = waysFor(walk, needs, subject, offered, told);
  const sums = ways.map((way) => {
    const { energy, money, demand } = yearOf(needs, way.runner);
    const carbon = m?.carbon === undefined ? null : energy * m.carbon;
    const upkeep = way.kind !== 'keep' && way.method === subject.method ? (m?.maintenance ?? 0) : 0;
    const bill = money + 12 * (m?.demandPrice ?? 0) * demand + ((m?.carbonPrice ?? 0) / 1000) * (carbon ?? 0) + upkeep;
    const spent = way.cost * spendings(needs.discountRate, worth.years, worth.inflation, way.life);
    return { way, energy, carbon, demand, bill, spent, lifeCycle: bill * factor + spent };
  });
  const [base] = sums;
  if (!base) return { account, options: [], breakEven: null };
  const options = sums.map(({ way, energy, carbon, demand, bill, spent, lifeCycle }): CostOption => {
    const [more, saved] = [way.cost - base.way.cost, base.bill - bill];
    const { runner: _, life, once = 0, ...said } = way;
    const back = more > 0 && saved > 0 ? more / saved : null;
    return {
      ...said,
      ...{ energy, carbon, demand, bill, spent, lifeCycle },
      life: Number.isFinite(life) ? life : null,
      netPresentValue: base.lifeCycle - lifeCycle - once,
      payback: back,
      band: way.index ? { cost: banded(way.cost), payback: back === null ? null : banded(back) } : null,
    };
  });
  tellOtherWay(walk, subject, options, worth);
  return { account, options, breakEven: breakEvens(walk, needs, told, worth) };
}

/** What is known by an index alone lies between these. */
const banded = (x: number): [number, number] => [indexSpread.least * x, indexSpread.most * x];

/** Of two ways within this of each other neither is cheaper: prices here are an index. */
const asCheap = 0.02;

/** Where another way costs less than what stands chosen, one sentence says so, and what speaks against it. */
function tellOtherWay({ w }: Walk, subject: Subject, options: readonly CostOption[], worth: Worth): void {
  const mine = options.find(
    (o) => o.kind !== 'rewind' && o.motor === subject.motor?.name && o.method === subject.method,
  );
  const open = options.filter((o) => o.outcome !== 'fail' && o.kind !== 'keep');
  const best = open.toSorted((a, b) => b.netPresentValue - a.netPresentValue)[0];
  if (!mine || !best || best === mine || best.netPresentValue <= mine.netPresentValue + asCheap * mine.lifeCycle)
    return;
  const indexed = mine?.index || best?.index ? ', by the price index' : '';
  const less = writeAmount(Number((best.netPresentValue - mine.netPresentValue).toPrecision(2)), w.currency);
  w.enter('cost');
  w.finding(
    'cost.other-way',
    'note',
    `${best.name} (${best.motor}, ${methodNames[best.method].toLowerCase()}) costs ${less} less over ` +
      `${worth.years} years ` +
      `than what stands chosen${indexed}: ${best.outcome === 'pass' ? 'it meets what is asked too.' : best.text}`,
    { fields: ['motor', 'method'], figures: ['cost.netPresentValue'] },
  );
}

/** Ends between which a break-even is looked for, in how many steps, and how often the one it lies in is halved. */
const sought = { load: [0.3, 1.5], head: [0, 0.95] } as const;
const [soughtSteps, halvings] = [12, 16];

function breakEvens(
  { input }: Walk,
  needs: Needs,
  { before, after, even }: CostTold,
  worth: Worth,
): CostView['breakEven'] {
  const m = input.money;
  const factor = growingPresentValue(needs.discountRate, worth.years, worth.inflation);
  const spent = worth.cost * spendings(needs.discountRate, worth.years, worth.inflation, worth.life) + worth.once;
  const perCarbon = ((m?.carbonPrice ?? 0) / 1000) * (m?.carbon ?? 0);
  /** Net present value with the load so many times, and the static share of the head. */
  const net = ({ load = 1, head = needs.speed.flow.system.held }): number => {
    const flow = { ...needs.speed.flow, system: { ...needs.speed.flow.system, held: head } };
    const moved = { ...needs, speed: { ...needs.speed, flow } };
    const [old, new_] = [yearOf(moved, before, load), yearOf(moved, after, load)];
    const energy = old.money - new_.money + perCarbon * (old.energy - new_.energy);
    const demand = 12 * (m?.demandPrice ?? 0) * (old.demand - new_.demand);
    return (energy + demand - (m?.maintenance ?? 0)) * factor - spent;
  };
  const searched = (key: keyof typeof sought): number | null => {
    const [least, most]: readonly [number, number] = sought[key];
    const step = (most - least) / soughtSteps;
    let before = net({ [key]: least });
    for (let low = least; low < most - step / 2; low += step) {
      const beyond = net({ [key]: low + step });
      if (before * beyond > 0) {
        before = beyond;
        continue;
      }
      let [a, b] = [low, low + step];
      for (let k = 0; k < halvings; k++) {
        const mid = (a + b) / 2;
        if (before * net({ [key]: mid }) <= 0) b = mid;
        else a = mid;
      }
      return (a + b) / 2;
    }
    return null;
  };
  return {
    ...even,
    load: searched('load'),
    head: needs.load.shape.kind === 'quadratic' ? searched('head') : null,
  };
}

function waysFor(walk: Walk, needs: Needs, subject: Subject, offered: readonly Motor[], told: CostTold): Way[] {
  const { input, w } = walk;
  const { old, fixed, variable } = waysOf(walk, needs);
  const there = old[0];
  const life = input.money?.life ?? Infinity;
  const present = needs.speed.flow.present;
  const own = (motor: Motor, method: Method): boolean => subject.motor?.id === motor.id && subject.method === method;
  const investment = w.value('cost.investment') ?? 0;
  /** Money of one point of the index: by what was typed for the subject, else one. */
  const { points } = told;
  const scale = input.money?.installedCost !== undefined && points > 0 ? input.money.installedCost / points : 1;
  const indexed = w.figures.get('cost.investment')?.assumed.some((a) => a.field === 'money.installedCost') === true;
  /** A way that buys: what was typed or told for the subject stands for it. */
  const bought = (
    kind: Kind,
    needs: Needs,
    motors: readonly Motor[],
    methods: readonly Method[],
    more: number,
  ): Way[] => {
    const found = option(kind === 'drive' ? 'drive' : 'replace', needs, motors, methods);
    const motor = found && motors.find((x) => x.id === found.motor.id);
    if (!found || !motor) return [];
    const { method, outcome, text } = found;
    const mine = own(motor, method);
    const starter = more > 0 ? starterPriceIndex(method, motor.power) : 0;
    const price = (kind === 'drive' ? starter : motor.priceIndex + starter) + found.beside + told.cable(method);
    return [
      {
        ...{ kind, name: names[kind], motor: found.motor.name, method, outcome, text, life },
        runner: mine ? told.after : runnerOf(needs, motor, method, method === 'drive' ? bySpeed : present, told),
        cost: mine ? investment : scale * price,
        index: mine ? indexed : true,
        ...(mine && { once: told.worth?.once ?? 0 }),
      },
    ];
  };
  const ways: Way[] = [];
  if (there) {
    const method = starterThere(input);
    const kept = keptAsIs({ fixed, variable }, old, method);
    const said = { motor: there.name, method, outcome: kept?.outcome ?? ('caution' as const), text: kept?.text ?? '' };
    if (input.errand !== 'failed')
      ways.push({
        kind: 'keep',
        name: names.keep,
        ...said,
        runner: told.before,
        cost: 0,
        index: false,
        life: Infinity,
      });
    const star = input.errand === 'failed' ? undefined : inStar(needs, there, told.before);
    if (star)
      ways.push({
        ...{ kind: 'star', name: names.star, motor: `${there.name}, in star`, method: 'direct' },
        ...{ cost: 0, index: false, life: Infinity },
        ...star,
      });
    const lost = there.power <= rewinding.smallTo ? rewinding.small : rewinding.large;
    ways.push({
      ...{ kind: 'rewind', name: names.rewind, ...said, index: true, life: Math.min(life, rewinding.life) },
      runner: { ...told.before, eta: told.before.eta - lost },
      cost: scale * rewinding.price * modelPrice(there.power, there.poles, 1),
    });
    const alike = offered
      .filter((x) => x.poles === there.poles && Math.abs(x.power / there.power - 1) < sameSize && !x.inverterDuty)
      .filter((x) =>
        needs.old.enclosure === undefined
          ? needs.place.enclosures.includes(x.enclosure)
          : x.enclosure === needs.old.enclosure,
      )
      .toSorted((a, b) => a.efficiency - b.efficiency || a.priceIndex - b.priceIndex);
    const [usual, finest] = [alike[0], alike.findLast((x) => x.efficiency > (alike[0]?.efficiency ?? 1))];
    // The starter that is there stays.
    if (usual) ways.push(...bought('like-for-like', fixed, [usual], withoutDrive(input), 0));
    if (finest) ways.push(...bought('premium', fixed, [finest], withoutDrive(input), 0));
  }
  const fits = subject.motor && subject.method && subject.kind !== 'plate' ? subject : undefined;
  /** What the case already chose, or the best there is. */
  const best = (kind: 'right-size' | 'replace-drive', by: Needs, methods: readonly Method[]): Way[] =>
    fits?.motor && fits.method && methods.includes(fits.method)
      ? bought(kind, by, [fits.motor], [fits.method], 1)
      : bought(kind, by, offered, methods, 1);
  // Straight on the line where that will do: four other methods need not be judged.
  const straight = best('right-size', fixed, withoutDrive(input).slice(0, 1));
  const right =
    straight[0] && straight[0].outcome !== 'fail' ? straight : best('right-size', fixed, withoutDrive(input));
  const same = right.some((r) => ways.some((way) => way.motor === r.motor && way.method === r.method));
  if (!same) ways.push(...right);
  ways.push(...twoSpeeds(needs, right[0], offered, told, scale));
  // A burnt motor is rewound before it runs on anything.
  if (input.errand !== 'failed' && starterThere(input) !== 'drive')
    ways.push(...bought('drive', variable, old, ['drive'], 1));
  ways.push(...best('replace-drive', variable, ['drive']));
  return ways;
}

/** A motor as it would run over the year. */
function runnerOf(needs: Needs, motor: Motor, method: Method, way: FlowWay, { before, after }: CostTold): Runner {
  const { voltage } = needs.supply;
  const { torque, speed, shape } = needs.load;
  const synchronous = (120 * motor.frequency) / motor.poles;
  const direct = meetingSpeed(synchronous, motor.speed, ratedTorque(motor), speed, torque, shape);
  return {
    full: shaftPower(torque, speed, settledSpeed(needs, method, direct), shape),
    rated: motor.power,
    eta: needs.rules.efficiencyBasis === 'minimum' ? motor.efficiencyMinimum : motor.efficiency,
    constant: motor.constantLoss ?? usualConstantLoss,
    ...(method === 'drive' && { filter: filterLossOfMotor(needs, motor) }),
    way,
    billed: way.kind === after.way.kind ? after.billed : before.billed,
    wire: after.wire && {
      ...after.wire,
      current: connectionFor(motor, voltage).current,
      magnetising: noLoadShare(motor.poles),
    },
  };
}

/** Two fixed speeds instead of one, where a flow of the year lies low enough for the lower. */
function twoSpeeds(
  needs: Needs,
  like: Way | undefined,
  offered: readonly Motor[],
  told: CostTold,
  scale: number,
): Way[] {
  const low = usualLowSpeed;
  const lower = needs.speed.rows.filter((r) => r.flow > 0 && r.flow <= low);
  const motor = offered.find((x) => x.name === like?.motor);
  if (!like || !motor || needs.load.shape.kind !== 'quadratic' || lower.length === 0) return [];
  if (needs.speed.flow.present.kind === 'two-speed') return [];
  const way: FlowWay = { kind: 'two-speed', low };
  const runner = runnerOf(needs, motor, like.method, way, told);
  const lifts = lower.some((r) => pointOf(needs, way, r.flow).speed < 1);
  const share = Math.round(100 * lowSpeedEfficiency.value);
  return [
    {
      ...{ kind: 'two-speed', name: names['two-speed'], motor: `${motor.name}, two speeds`, method: like.method },
      ...{ outcome: lifts ? 'caution' : 'fail', index: true, life: like.life, runner },
      text: lifts
        ? `Full and half speed by one winding, throttled between; at half speed ${share} % of its efficiency. ` +
          'Made to order: ask for it.'
        : 'At half speed it does not give the head the lower flows ask: a valve alone would do as much.',
      cost:
        scale *
        (twoSpeedPrice.motor * motor.priceIndex + twoSpeedPrice.starter * starterPriceIndex('direct', motor.power)),
    },
  ];
}
