import { starterPriceIndex } from '../../catalogue';
import type { CostView, Curves, ProfilePoint, Verdict } from '../../case';
import { definition, methodNames, type Assumed, type Method } from '../../contract';
import { noLoadShare } from '../../nameplate';
import { assumed, field, prescribed, type Given, isUpTo } from '../../law';
import {
  annualEnergy,
  installedCost,
  meanInputRatio,
  payback,
  peakInput,
  savedCarbon,
  savedEnergy,
  type FlowPoint,
  type Worth,
  usualConstantLoss,
} from '../../physics';
import { tellBand } from './band';
import { tellBills } from './bill';
import { drawMachine } from './drawing';
import { noEven, tellWorth, type Even, type WorthTold, type YearParts } from './worth';
import { accountOf, besideMoney, lossNames, partsAt, yearOf, type LossKind, type Runner, type Wire } from './year';
import {
  bulkOf,
  cablePrice,
  controlCurves,
  filterRemedy,
  indexSpread,
  remedyPrice,
  remedySource,
  usualYears,
} from '../../practice';
import { q, writeNumber } from '../../quantity';
import {
  bySpeed,
  type Needs,
  numberOf,
  pointOf,
  filterLossFor,
  starterThere,
  woundOf,
  type PlateFacts,
  type Subject,
  usualEfficiency,
  type Walk,
} from '../../needs';

export type CostCurves = Pick<Curves, 'flow' | 'money' | 'machine'>;
/** What was told, and what other ways are compared by: how it runs now and new, and the sums' frame. */
export interface CostTold {
  readonly curves: CostCurves;
  readonly before: Runner;
  readonly after: Runner;
  readonly worth: Worth | undefined;
  /** Price index of all that is bought of the subject; 0 where nothing is. */
  readonly points: number;
  /** Price index of the cable that a way with this method lays anew. */
  readonly cable: (method: Method) => number;
  readonly even: Even;
  /** Where the year's energy goes, kWh now and new. */
  readonly account: CostView['account'];
}

/** The year before and after: energy, money, carbon and simple payback of the subject against what is there now. */
export function tellCost(
  walk: Walk,
  needs: Needs,
  subject: Subject,
  plate: PlateFacts,
  verdicts: readonly Verdict[] = [],
): CostTold {
  const { input, w } = walk;
  w.enter('cost');
  const rows = needs.speed.rows;
  const rated = numberOf(w, subject.power) ?? needs.load.power;
  const eta = subject.efficiency.value;
  const method = subject.method ?? 'direct';
  const oldEta = oldEfficiency(walk, plate, subject);
  // Without an old plate the new motor's losses stand for it, part load and all.
  const isOwn = plate.power === undefined && !w.figures.has('plate.efficiency');
  w.stated(
    'cost.newEfficiency',
    '1',
    q(eta, '1'),
    subject.efficiency.source ?? { kind: 'given', title: 'The plate', fromMemory: false },
    { field: subject.efficiency.field, symbol: 'eta_new' },
  );
  const full = w.value('point.shaftPower') ?? needs.load.power;

  const oldRated = plate.power ?? rated;
  const present = needs.speed.flow.present;
  const way = method === 'drive' ? bySpeed : present;
  const presentWay = starterThere(input) === 'drive' ? bySpeed : present;
  tellStarter(walk, plate);
  const poles = subject.motor?.poles ?? plate.poles ?? 4;
  const cable = subject.motor && needs.start.cableOf(subject.motor, method ?? 'direct');
  const wired = (current: number | undefined, poles: number): Wire | undefined =>
    current === undefined
      ? undefined
      : {
          ...{ cable: cable?.resistance ?? 0, transformer: needs.supply.copper, current },
          magnetising: noLoadShare(poles),
          line: {
            voltage: needs.supply.voltage ?? Infinity,
            powerFactor: w.value('drive.truePowerFactor') ?? 1,
          },
        };
  const current = numberOf(w, subject.current);
  const before = {
    ...{ full: needs.load.power, rated: oldRated, eta: oldEta, way: presentWay },
    constant: w.value('plate.constantLoss') ?? (isOwn ? subject.constantLoss : usualConstantLoss),
    wire: wired(plate.current ?? current, plate.poles ?? poles),
  };
  const output = method === 'drive' ? filterLossAt(walk, needs, subject) : 0;
  const after = {
    ...{ full, rated, eta, way, constant: subject.constantLoss, filter: output },
    wire: wired(current, poles),
  };
  const billed = (of: 'old' | 'new'): number =>
    (w.value(`cost.${of}Demand`) ?? 1) / (w.figures.has(`cost.${of}Demand`) ? (w.value(`cost.${of}Peak`) ?? 1) : 1);
  const bought = priceOf(walk, needs, { subject, plate, verdicts });
  const by = (): Pick<CostTold, 'before' | 'after' | 'cable' | 'points'> => ({
    points: bought ? bought.motor + bought.starter + bought.beside + bought.cable.value : 0,
    cable: (m) => cableIndex(walk, m).value,
    before: { ...before, billed: billed('old') },
    after: { ...after, billed: billed('new') },
  });
  const oldInput = (flow: number): number => partsAt(needs, before, flow).all;
  const oldShare = (flow: number): number => oldInput(flow) / needs.load.power;
  const newPoint = (flow: number): FlowPoint => pointOf(needs, way, flow);
  const newInput = (flow: number): number => partsAt(needs, after, flow).all;
  const curves: CostCurves['flow'] = {
    old: flows.map((x) => [x, (needs.load.power * oldShare(x)) / 1000]),
    new: flows.map((x) => [x, newInput(x) / 1000]),
    rows: rows.map(({ hours, flow }): ProfilePoint => ({
      hours,
      flow,
      oldInput: (needs.load.power * oldShare(flow)) / 1000,
      newInput: newInput(flow) / 1000,
    })),
  };
  const machine = drawMachine(needs, (flow) => pointOf(needs, presentWay, flow), newPoint);
  if (needs.speed.assumedHours) {
    w.want('speed.profile');
    return { curves: { flow: curves, money: null, machine }, ...by(), worth: undefined, even: noEven, account: [] };
  }
  const H = 'speed.hours';
  const { typed } = needs.speed.flow;
  const curve = typed && needs.speed.control !== 'inlet-vane' ? undefined : controlCurves[needs.speed.control];
  for (const flow of [Math.min(...rows.map((r) => r.flow)), Math.max(...rows.map((r) => r.flow))].map((x) => q(x, '1')))
    if (curve) w.noteOutside(curve, { q: flow }, { q: field('speed.profile', flow) });
  w.figure(
    'cost.oldRatio',
    meanInputRatio(rows.map((r) => newRow(r.hours, oldShare(r.flow)))),
    { H },
    {
      source: typed ? ownCurve : curve?.source,
      estimate: needs.speed.control === 'throttle-valve' && !typed,
      assumed: unsaidOld(walk),
    },
  );
  w.figure(
    'cost.shaftRatio',
    meanInputRatio(rows.map((r) => newRow(r.hours, newPoint(r.flow).shaft))),
    { H },
    { source: typed ? ownCurve : undefined, estimate: !typed, assumed: unsaidNew(walk, needs) },
  );
  w.figure(
    'cost.newRatio',
    meanInputRatio(rows.map((r) => newRow(r.hours, newInput(r.flow) / full))),
    { H },
    { estimate: true, assumed: unsaidNew(walk, needs) },
  );
  const newPower: Given<'W'> | 'point.shaftPower' = w.figures.has('point.shaftPower')
    ? 'point.shaftPower'
    : { value: q(full, 'W'), text: 'shaft power of the demand' };
  w.figure('cost.oldEnergy', annualEnergy, { P: 'load.motorPower', H, r: 'cost.oldRatio' });
  w.figure('cost.newEnergy', annualEnergy, { P: newPower, H, r: 'cost.newRatio' });
  w.figure('cost.oldPeak', peakInput, {
    P: 'load.motorPower',
    r_max: { value: q(Math.max(...rows.map((r) => oldShare(r.flow))), '1'), text: 'highest share over the profile' },
  });
  w.figure('cost.newPeak', peakInput, {
    P: newPower,
    r_max: {
      value: q(Math.max(...rows.map((r) => newInput(r.flow) / full)), '1'),
      text: 'highest share over the profile',
    },
  });
  const saved = w.figure('cost.savedEnergy', savedEnergy, { E_old: 'cost.oldEnergy', E_new: 'cost.newEnergy' });
  tellBills(walk, needs, subject, plate, { old: (r) => oldInput(r.flow), new: (r) => newInput(r.flow) });
  const compared = isCompared(needs, subject, plate);
  const carbon = ((input.money?.carbonPrice ?? 0) / 1000) * (input.money?.carbon ?? 0);
  const { worth, even } = money(walk, needs, { compared, bought }, () => {
    const [old, next] = [yearOf(needs, by().before), yearOf(needs, by().after)];
    const energy = old.money - next.money;
    return { energy, hourly: energy + carbon * (old.energy - next.energy) };
  });
  const told =
    worth && compared && w.figures.has('cost.netPresentValue')
      ? tellBand(walk, {
          ...{ worth, load: needs.load.uncertainty, rate: needs.discountRate },
          old: (k, l) => yearOf(needs, by().before, k, l),
          new: (k, l) => yearOf(needs, by().after, k, l),
          demandPrice: input.money?.demandPrice ?? 0,
          carbon,
          maintenance: input.money?.maintenance ?? 0,
          index: w.figures.get('cost.investment')?.assumed.some((a) => a.field === 'money.installedCost') === true,
        })
      : null;
  if (saved !== undefined && saved <= 0 && compared) {
    w.finding(
      'cost.no-saving',
      'caution',
      (
        `The new way uses ${saved === 0 ? 'as much' : 'more'} energy than the old one: nothing comes back. ` +
        `${method === 'drive' ? 'The drive’s own losses eat what speed control gains.' : ''}`
      ).trim(),
      {
        fields: ['speed.profile', 'speed.control'],
        figures: ['cost.oldEnergy', 'cost.newEnergy'],
      },
    );
  }
  const train = w.value('load.trainEfficiency') ?? 1;
  const [now, next] = [accountOf(needs, by().before, train), accountOf(needs, by().after, train)];
  const account = (Object.keys(lossNames) as LossKind[])
    .filter((kind) => now[kind] > telling * now.work || next[kind] > telling * now.work)
    .map((kind) => ({ kind, name: lossNames[kind], old: now[kind], new: next[kind] }))
    .map((row) => (besideMoney.has(row.kind) ? { ...row, beside: true } : row));
  return { curves: { flow: curves, money: told, machine }, ...by(), worth, even, account };
}

const ownCurve = definition('The machine’s own curve', 'as typed; other speeds by similarity');

/** Share of the flow work below which a loss is none. */
const telling = 1e-6;

const flows: readonly number[] = Array.from({ length: 17 }, (_, i) => 0.2 + i * 0.05);

const newRow = (
  hours: number,
  ratio: number,
): { readonly hours: number; readonly ratio: number; readonly efficiency: number } => ({
  hours,
  ratio,
  efficiency: 1,
});

/** Whether a saving is expected at all: of an old motor, a present control, or a drive that must earn its keep. */
const isCompared = (needs: Needs, subject: Subject, plate: PlateFacts): boolean =>
  plate.power !== undefined || needs.speed.control !== 'none' || subject.method === 'drive';

/** The present way of control, where nobody said it. */
function unsaidOld({ input }: Walk): Assumed[] {
  if (input.speed?.control !== undefined || starterThere(input) === 'drive') return [];
  return [{ field: 'speed.control', value: 'none', why: 'not said: full input at every flow' }];
}

/** What starts the motor that is there, against which everything is counted. */
function tellStarter({ input, w }: Walk, plate: PlateFacts): void {
  if (plate.power === undefined) return;
  const said = input.starter !== undefined || input.history?.method !== undefined;
  const name = methodNames[starterThere(input)].toLowerCase();
  w.fact('cost.starter', 'Started or fed today', said ? name : `${name}: assumed, nobody said`, asNow, {
    fields: ['starter'],
  });
}
const asNow = definition('What is there', 'the base of every comparison');

/** Share lost between drive and motor: by what was decided there. */
function filterLossAt({ w }: Walk, needs: Needs, subject: Subject): number {
  const wound = woundOf(w, subject, needs);
  return wound ? filterLossFor(needs, needs.supply.voltage ?? wound.voltage, wound) : 0;
}

/** The static head of a load that follows the square of speed, where nobody said it. */
function unsaidNew({ input }: Walk, needs: Needs): Assumed[] {
  const said = input.speed?.staticFraction !== undefined || needs.speed.flow.system.held > 0;
  if (needs.load.shape.kind !== 'quadratic' || !needs.speed.variable || said) return [];
  return [{ field: 'speed.staticFraction', value: 0, why: 'not said: no static head' }];
}

/** Efficiency of what is there now: the plate's by house rule, else usual for its rating, else the new motor's own. */
function oldEfficiency({ input, practice, rules, w }: Walk, plate: PlateFacts, subject: Subject): number {
  const first = rules.efficiencyBasis === 'minimum' ? w.figures.get('plate.efficiencyMinimum') : undefined;
  const stamped = first ?? w.figures.get('plate.efficiency');
  if (stamped) {
    w.stated('cost.oldEfficiency', '1', q(stamped.value, '1'), stamped.source, {
      field: 'plate.efficiency',
      symbol: 'eta_old',
    });
    return stamped.value;
  }
  const usual = plate.power === undefined ? undefined : usualEfficiency(input, practice, plate.power, plate.poles ?? 4);
  const value = usual?.value ?? subject.efficiency.value;
  w.stated(
    'cost.oldEfficiency',
    '1',
    q(value, '1'),
    usual?.source ?? subject.efficiency.source ?? { kind: 'model', title: 'New motor', fromMemory: false },
    {
      field: 'plate.efficiency',
      symbol: 'eta_old',
      assumed: usual
        ? `not on the plate: ${usual.why}`
        : 'no old plate: the new motor’s own, so only the control counts',
    },
  );
  return value;
}

/** What is bought beside motor and starter: what the choice counts on, and the filter that the case fits. */
function besideIndex({ drive }: Needs, subject: Subject, verdicts: readonly Verdict[]): number {
  const counted = verdicts.reduce((sum, v) => sum + (v.waived === null ? (v.remedy?.priceIndex ?? 0) : 0), 0);
  const typed = subject.method === 'drive' ? (drive?.filter ?? 'none') : 'none';
  return counted + remedyPrice(filterRemedy[typed], bulkOf(subject.motor?.power ?? 0));
}

/** What a cable costs that is laid anew: for a new machine, or where a drive comes to what was fed straight. */
function cableIndex({ input, w }: Walk, method: Method | null): { readonly value: number; readonly why: string } {
  const [area, length] = [w.value('guard.conductorArea'), input.place?.cable?.length];
  const anew = input.errand === 'new' || (method === 'drive' && starterThere(input) !== 'drive');
  if (!anew) return { value: 0, why: 'the cable that lies there stays' };
  if (area === undefined || length === undefined) return { value: 0, why: 'no length given: no cable is counted' };
  const count = input.guard?.cable?.parallel ?? 1;
  return {
    value: cablePrice(area, count, length.value, method === 'drive'),
    why: `${length.text} of cable, by the index`,
  };
}

/** Price index of what is bought, part by part. */
interface Bought {
  readonly name: string;
  readonly motor: number;
  readonly starter: number;
  /** The starter that is there stays. */
  readonly stays: boolean;
  readonly beside: number;
  readonly cable: ReturnType<typeof cableIndex>;
}

function priceOf(
  walk: Walk,
  needs: Needs,
  {
    subject,
    plate,
    verdicts,
  }: { readonly subject: Subject; readonly plate: PlateFacts; readonly verdicts: readonly Verdict[] },
): Bought | undefined {
  const { motor, method } = subject;
  if (!motor || !method) return undefined;
  // Of its kind and no larger: only what somebody says is there is not bought again.
  const stays = walk.input.starter === method && isUpTo(motor.power, plate.power ?? 0);
  return {
    name: motor.name,
    motor: needs.stays ? 0 : motor.priceIndex,
    starter: stays ? 0 : starterPriceIndex(method, motor.power),
    stays,
    beside: besideIndex(needs, subject, verdicts),
    cable: cableIndex(walk, method),
  };
}

function money(
  walk: Walk,
  needs: Needs,
  { compared, bought }: { readonly compared: boolean; readonly bought: Bought | undefined },
  parts: () => YearParts,
): WorthTold {
  const { input, w } = walk;
  const m = input.money;
  w.figure('cost.savedCarbon', savedCarbon, {
    dE: 'cost.savedEnergy',
    g: field('money.carbon', m?.carbon === undefined ? undefined : q(m.carbon, 'kg/kWh')),
  });
  if (m?.installedCost !== undefined)
    w.given('cost.investment', 'money', 'money.installedCost', q(m.installedCost, 'money'));
  else if (bought) {
    w.figure('cost.investment', installedCost, {
      m: prescribed(q(bought.motor, '1'), {
        kind: 'catalogue',
        title: 'Generic catalogue, invented price index',
        part: needs.stays ? 'the motor that is there stays' : bought.name,
        fromMemory: false,
      }),
      s: assumed(
        'money.installedCost',
        q(bought.starter, '1'),
        'no installed cost given: the invented price index stands for money' +
          (bought.stays ? '; the starter that is there stays' : ''),
      ),
      f: {
        ...prescribed(q(bought.beside, '1'), remedySource),
        text: 'filters and whatever else the choice counts on',
      },
      c: { ...prescribed(q(bought.cable.value, '1'), remedySource), text: bought.cable.why },
    });
  }
  const told = tellWorth(walk, needs, compared, parts);
  // By what the year brings: energy, carbon at its price, maintenance.
  if ((w.value('cost.benefit') ?? 0) > 0 && w.value('cost.investment') !== undefined)
    w.figure('cost.payback', payback, {
      M:
        m?.incentive === undefined
          ? 'cost.investment'
          : {
              value: q((w.value('cost.investment') ?? 0) - m.incentive, 'money'),
              text: 'cost less what is given for it',
            },
      dM: 'cost.benefit',
    });
  return told;
}

export function costKey({ input, w }: Walk): string {
  const payback = w.figures.get('cost.payback');
  if (payback) {
    const years = input.money?.years ?? usualYears;
    if (payback.value > years) return `not back in ${years} year${years === 1 ? '' : 's'}`;
    // Where the price is an invented index, tenths of a year say nothing.
    const rough = payback.assumed.some((a) => a.field === 'money.installedCost');
    if (!rough) return `back in ${payback.text}`;
    const { least, most } = indexSpread;
    return most * payback.value < 1
      ? 'back within a year'
      : `back in ${Math.max(1, Math.round(least * payback.value))} to ${Math.ceil(most * payback.value)} years`;
  }
  if ((w.value('cost.benefit') ?? 1) <= 0 && (w.value('cost.savedMoney') ?? 0) > 0) return 'brings nothing a year';
  const saved = w.value('cost.savedEnergy');
  const energy = w.value('cost.newEnergy');
  if (saved === undefined || energy === undefined) return 'nothing to count yet';
  return saved > 0 ? `${writeNumber(saved / 1000)} MWh a year saved` : `${writeNumber(energy / 1000)} MWh a year`;
}
