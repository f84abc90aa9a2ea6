import { existingMotor, motorOfCircuit, owedBreakdown, ratedTorque, type Motor } from '../../catalogue';
import type { Candidate, Choice, Result } from '../../case';
import { commonPractice, definition, type Source } from '../../contract';
import { assumed, field, prescribed, type Given, reaches } from '../../law';
import { motorOfPlate, noLoadShare, plateAt } from '../../nameplate';
import {
  breakdownAtVoltage,
  currentAtLoad,
  drivenSpeed,
  fedLoss,
  fedMotorLoss,
  insulationLife,
  leastFedLoss,
  leastFluxLoss,
  loading,
  operatingSpeed,
  partLoadLosses,
  powerAtPoint,
  reserveOver,
  speedOnDrive,
  twoLosses,
  usualConstantLoss,
  windingTemperature,
  type LossCurve,
} from '../../physics';
import {
  factsOf,
  atRating,
  classLimit,
  insulationSource,
  loudDistance,
  loudFrom,
  loudSource,
  soundOfLoad,
  soundOfLoadSource,
  soundPressure,
  to8Poles,
} from '../../practice';
import { q, writeQuantity, writeAmount } from '../../quantity';
import { methodNames, type Method } from '../../contract';
import { explain, type Judged, outcomeOf } from '../../judge';
import {
  catalogueSource,
  connectionFor,
  leftOf,
  type Needs,
  percent,
  pinnedCircuit,
  type PlateFacts,
  type Walk,
} from '../../needs';

export interface Chosen {
  readonly motor: Motor;
  readonly entry: number;
  readonly candidate: Candidate;
}

/** The best entry of each motor, best first, at most `limit`. */
export const bestOfEach = (judged: Judged, limit: number): number[] => [...judged.order.subarray(0, limit)];

export function countMotors(judged: Judged): Result['counts'] {
  const counts = { motors: judged.columns.motors.length, pass: 0, caution: 0, fail: 0 };
  for (const entry of judged.order) counts[outcomeOf(judged.worst[entry] ?? 2)]++;
  return counts;
}

/** Narrates the motor chosen or pinned: rated values, where it meets the load, how it is loaded. */
export function tellChoice(walk: Walk, needs: Needs, motor: Motor): void {
  const { w } = walk;
  w.enter('choice');
  const source = catalogueSource(motor);
  const connection = connectionFor(motor, needs.supply.voltage);
  w.stated('choice.ratedPower', 'W', q(motor.power, 'W'), source, { symbol: 'P_r' });
  w.stated('choice.ratedSpeed', 'rpm', q(motor.speed, 'rpm'), source, { symbol: 'n_r' });
  w.stated('choice.ratedCurrent', 'A', q(connection.current, 'A'), source, { symbol: 'I_n' });
}

/** Where the subject and the load meet with its method. */
export function tellPoint(
  walk: Walk,
  needs: Needs,
  judged: Judged,
  i: number,
  method: Chosen['candidate']['method'],
): void {
  const { input, w } = walk;
  w.enter('choice');
  const motor = judged.columns.motors[i];
  if (!motor) return;
  const source = catalogueSource(motor);
  const ratio: Given<'1'> = { field: 'load.train.ratio', value: q(needs.load.ratio, '1') };
  if (method === 'drive') {
    const max = input.speed?.max;
    w.figure('point.motorSpeed', speedOnDrive, {
      n_m: 'load.motorSpeed',
      k:
        max === undefined
          ? assumed('speed.max', q(1, '1'), 'no highest speed given: that of the demand')
          : field('speed.max', q(needs.speed.max, '1')),
    });
  } else {
    w.figure('point.motorSpeed', operatingSpeed(needs.load.shape), {
      n_s: prescribed(q(judged.columns.synchronous[i] ?? 0, 'rpm'), source),
      n_r: 'choice.ratedSpeed',
      T_r: prescribed(q(judged.columns.ratedTorque[i] ?? 0, 'N.m'), source),
      n: 'load.motorSpeed',
      T: 'load.motorTorque',
    });
  }
  w.figure('point.drivenSpeed', drivenSpeed, { n_m: 'point.motorSpeed', i: ratio });
  w.figure('point.shaftPower', powerAtPoint(needs.load.shape), {
    T: 'load.motorTorque',
    n: 'load.motorSpeed',
    n_op: 'point.motorSpeed',
  });
  const left = leftOf(needs, motor.serviceFactor, method === 'drive');
  w.figure('choice.loading', loading, {
    P: 'point.shaftPower',
    P_r: 'choice.ratedPower',
    d: left.source ? prescribed(q(left.share, '1'), left.source) : 'place.motorDerating',
  });
}

/** Heat, peaks and current of the chosen motor at its operating point. */
export function tellReserve(walk: Walk, needs: Needs, motor: Motor, method: Method): void {
  const { input, w } = walk;
  w.enter('choice');
  const source = catalogueSource(motor);
  const connection = connectionFor(motor, needs.supply.voltage);
  const supply = input.supply?.voltage;
  const left = leftOf(needs, motor.serviceFactor, method === 'drive');
  const owed = owedBreakdown(motor, needs.load.promised);
  w.figure('choice.breakdownTorque', breakdownAtVoltage, {
    t:
      needs.load.promised !== undefined && owed === needs.load.promised
        ? field('load.overload.breakdown', q(owed, '1'))
        : prescribed(q(owed, '1'), source),
    T_r: prescribed(q(ratedTorque(motor), 'N.m'), source),
    U: supply
      ? field('supply.voltage', supply.value, supply.text)
      : assumed('supply.voltage', q(connection.voltage, 'V'), 'no supply given: the motor’s own voltage'),
    U_r: prescribed(q(connection.voltage, 'V'), source),
  });
  w.figure('choice.peakReserve', reserveOver, {
    T_b: 'choice.breakdownTorque',
    T_pk: w.figures.has('load.peakTorque') ? 'load.peakTorque' : 'load.motorTorque',
  });
  w.figure('choice.current', currentAtLoad, {
    I_n: 'choice.ratedCurrent',
    k: prescribed(q(noLoadShare(motor.poles), '1'), commonPractice('No-load current ÷ rated current by poles')),
    P: 'point.shaftPower',
    P_r: 'choice.ratedPower',
  });
  // Class F and above is commonly used to the rise of class B: 80 K.
  const rise = motor.insulation === 'A' ? 60 : motor.insulation === 'E' ? 75 : 80;
  const sized = left.by === 'service-factor' && left.source ? motor.serviceFactor : 1;
  const x = (w.value('choice.loading') ?? 1) * sized;
  const curve = { eta: motor.efficiency, constant: motor.constantLoss ?? usualConstantLoss };
  w.figure('choice.windingTemperature', windingTemperature, {
    theta: input.place?.ambient
      ? field('place.ambient', input.place.ambient.value, input.place.ambient.text)
      : assumed('place.ambient', q(40, 'degC'), 'no ambient given: 40 °C'),
    dT: assumed('motor', q(rise, 'K'), 'rise of class B, to which motors of class F are commonly used'),
    // Whoever sizes into the service factor has the heat of it too.
    x: left.by === 'service-factor' && left.source ? prescribed(q(x, '1'), left.source) : 'choice.loading',
    c: prescribed(q(curve.constant, '1'), twoLosses),
    k: heatOfFeed(needs, method, x, curve, motor.power),
  });
  w.figure('choice.insulationLife', insulationLife, {
    theta_lim: prescribed(q(classLimit[motor.insulation], 'degC'), insulationSource),
    theta_w: 'choice.windingTemperature',
  });
  askFor(walk, needs);
  openMotor(walk, needs, motor);
  uncertain(walk, needs, motor.power * left.share);
  sound(walk, motor, source);
}

/** Losses of the motor as it is fed ÷ those on the line at the same load. */
function heatOfFeed({ fed }: Needs, method: Method, x: number, curve: LossCurve, rated: number): Given<'1'> {
  if (method !== 'drive') return prescribed(q(1, '1'), definition('On the line', 'no more than at its rating'));
  const on = partLoadLosses(x, curve);
  return fed.leastFlux
    ? prescribed(q(leastFedLoss(x, 1, curve, rated) / on, '1'), leastFluxLoss.source)
    : prescribed(q(fedLoss(x, 1, curve, rated) / on, '1'), fedMotorLoss.source);
}

/** What such a machine's motor is asked for beside its rating. */
function askFor({ input, w }: Walk, needs: Needs): void {
  const machine = input.load?.machine;
  const { ask } = factsOf(machine);
  if (machine === undefined || ask === undefined) return;
  // What must hang or stand in the water is no detail of an order, until somebody says how it is built.
  const built = machine !== 'deep-well-pump' || needs.stays || needs.place.conditions.mounting.startsWith('shaft-');
  w.finding('choice.ask-for', built ? 'note' : 'caution', ask, {
    fields: built ? ['load.machine'] : ['place.mounting', 'load.machine'],
    source: askSource,
  });
}

/** An open motor is never chosen in silence: what it rests on, and what would be safe. */
function openMotor({ w }: Walk, { place }: Needs, motor: Motor): void {
  if (motor.enclosure !== 'open') return;
  w.finding(
    'choice.open',
    'note',
    `${motor.enclosureText} is open: air of the room goes through the winding. It rests on the place being clean and ` +
      `${place.conditions.water === 'dry' ? 'dry' : 'no wetter than drips'}, for as long as it stands; an enclosed ` +
      `motor costs little more and asks nothing of it.`,
    { fields: ['place.dirt', 'place.water'], source: openSource },
  );
}

const openSource = commonPractice('Open motors stand only where the air stays clean and dry');
const askSource = commonPractice('What is asked for beside the rating, by the machine');

/** How loud it is beside the running motor, and from where on ears are protected. */
function sound({ practice, w }: Walk, motor: Motor, source: Source): void {
  const height = motor.frame === null ? undefined : practice.frame(motor.frame)?.shaftHeight;
  if (height === undefined) return;
  const rise = atRating(soundOfLoad, height, to8Poles(motor.poles));
  const level = w.figure('choice.soundPressure', soundPressure, {
    L_W: prescribed(q(motor.sound, 'dB'), source),
    dL: prescribed(q(rise ?? 0, 'dB'), soundOfLoadSource),
    r: prescribed(q(1, 'm'), loudDistance),
  });
  if (level === undefined || level < loudFrom) return;
  w.finding(
    'choice.loud',
    'note',
    `Up to ${writeQuantity(level, 'dB')} one metre from it at full load, and more in a room that throws it ` +
      `back: from ${loudFrom} dB(A) over a working day offer ear protection, ` +
      `from 85 dB(A) require it. Local rules decide.`,
    { fields: ['place.noiseLimit'], figures: ['choice.soundPressure'], source: loudSource },
  );
}

/** A load known no better than this is rough: a tight margin over it is none (common practice). */
const roughly = 0.1;

/** What is left of the rating, and what load and margin ask. */
const powerAsked = ({ load }: Needs, left: number): { readonly rated: number; readonly asked: number } => ({
  rated: left,
  asked: load.power * load.thermal * load.margin,
});

/** Whether the choice would still carry the load at the top of its uncertainty. */
function uncertain({ w }: Walk, needs: Needs, left: number): void {
  const loading = w.value('choice.loading');
  if (loading === undefined) return;
  const high = left * loading * (1 + needs.load.uncertainty) * needs.load.thermal;
  const { rated, asked } = powerAsked(needs, left);
  // What only just misses the margin is no margin for a load that is known so roughly.
  const rough = needs.load.basis === 'load' && !reaches(rated, asked) && needs.load.uncertainty >= roughly;
  if (needs.load.uncertainty === 0 || (high <= left && !rough)) return;
  w.finding(
    'choice.uncertain-load',
    'caution',
    `The load is known to ± ${percent(needs.load.uncertainty)}: ` +
      (high > left
        ? `at the top of that this motor would be loaded to ${percent(high / left)}. `
        : `this motor misses the margin that is asked by ${percent(1 - rated / asked, 1)}. `) +
      `Measure the load better, or take the next size.`,
    { fields: ['load.demand.uncertainty'], figures: ['load.powerHigh', 'choice.loading'] },
  );
}

/**
 * Why this one, why not the next size down, why not the next cheaper, why started this way: one paragraph, then the
 * cautions.
 */
export function reasonsFor(needs: Needs, judged: Judged, chosen: Chosen): Choice['reasons'] {
  const { motor, candidate } = chosen;
  const counted = candidate.verdicts.filter((v) => v.waived === null);
  const cautions = counted.filter((v) => v.outcome !== 'pass').map((v) => v.text);
  const remedies = counted.flatMap((v) => (v.remedy ? [`With ${v.remedy.text}: ${v.text}`] : []));
  const conditions = counted.flatMap((v) => (v.condition ? [v.condition.text] : []));
  const waived = candidate.verdicts
    .filter((v) => v.outcome !== 'pass' && v.waived !== null)
    .map((v) => `Not counted: ${v.text} (${v.waived})`);
  const how = candidate.verdicts.find(
    (v) => v.requirement === (candidate.method === 'drive' ? 'speed-control' : 'run-up'),
  );
  const paragraph = [
    rankedFirst(needs, judged, chosen),
    notSmaller(needs, judged, chosen),
    notCheaper(needs, judged, chosen),
    motor.stock
      ? `It lies on the own shelf: ${motor.stock.quantity} at ${motor.stock.place || 'a place not said'}.`
      : '',
    `${methodNames[candidate.method]}: ` +
      `${
        how?.text ??
        (needs.load.startKnown
          ? 'the simplest that starts it'
          : 'the machine is not described, so its start is taken as before')
      }`,
  ];
  return [paragraph.filter((s) => s !== '').join(' '), ...cautions, ...conditions, ...remedies, ...waived];
}

const rankWords: Readonly<Record<Needs['rules']['ranking'], string>> = {
  'life-cycle': 'life-cycle cost',
  price: 'price',
  efficiency: 'efficiency',
  shelf: 'delivery, own shelf first, then life-cycle cost',
  margin: 'margin',
};

function rankedFirst(needs: Needs, judged: Judged, { candidate }: Chosen): string {
  const count = judged.columns.motors.length;
  const weighed = candidate.verdicts.some((v) => v.outcome === 'caution' && v.waived === null)
    ? ', its open cautions weighed'
    : '';
  const first =
    `First of ${count} motors by ` +
    `${rankWords[needs.rules.ranking]}${weighed}${candidate.outcome === 'pass' ? '' : ': it passes with cautions'}.`;
  const { tie } = judged;
  if (!tie || tie.by === '') return first;
  return `${first} ${tie.count} cost the same within ${percent(needs.rules.costTie)}; ${tie.by} decides between them.`;
}

function notSmaller(needs: Needs, judged: Judged, { motor, candidate }: Chosen): string {
  // The same motor a size smaller: of its own series, or for one of the shelf any of its kind that can be bought.
  const alike = (m: Motor): boolean =>
    motor.stock !== undefined ||
    (m.enclosureText === motor.enclosureText &&
      m.efficiencyClass === motor.efficiencyClass &&
      m.voltageText === motor.voltageText);
  const smaller = judged.columns.motors
    .map((m, i) => ({ m, i }))
    .filter(
      ({ m }) =>
        !m.stock &&
        m.poles === motor.poles &&
        m.enclosure === motor.enclosure &&
        m.designLetter === motor.designLetter &&
        m.power < motor.power * 0.99 &&
        alike(m),
    )
    .reduce<{ m: Motor; i: number } | undefined>((a, b) => (a && a.m.power >= b.m.power ? a : b), undefined);
  if (!smaller) return '';
  const entry = smaller.i * judged.methods.length + judged.methods.indexOf(candidate.method);
  const { verdicts } = explain(needs, judged, entry);
  const verdict = verdicts.find((v) => v.outcome === 'fail' && v.waived === null);
  if (verdict) return `Not the next size down, ${smaller.m.powerText}: ${verdict.text}`;
  const caution = verdicts.find((v) => v.outcome === 'caution' && v.waived === null);
  if (caution) return `The next size down, ${smaller.m.powerText}, has a caution that weighs more: ${caution.text}`;
  return judged.simulated[entry] || !judged.bench.simulates
    ? `The next size down, ${smaller.m.powerText}, would pass but costs more over ${needs.years} years.`
    : `The next size down, ${smaller.m.powerText}, costs more over ${needs.years} years.`;
}

/** The dearest of those cheaper to buy than the choice, and what it fails or costs. */
function notCheaper(needs: Needs, judged: Judged, { entry, candidate }: Chosen): string {
  const priceOf = (e: number): number => judged.price[e] ?? Infinity;
  const own = priceOf(entry);
  let next = -1;
  let dearest = -1;
  for (const e of judged.order) {
    if (e === entry || (judged.worst[e] ?? 2) > (judged.worst[entry] ?? 2)) continue;
    const price = priceOf(e);
    if (price < own && price > dearest) [next, dearest] = [e, price];
  }
  if (next < 0) return 'None that passes as well is cheaper to buy.';
  const other = explain(needs, judged, next);
  const more = other.cost.lifeCycle - candidate.cost.lifeCycle;
  const name = `${other.motor.name}, ${methodNames[other.method].toLowerCase()}`;
  if (more > 0)
    return (
      `Not the next cheaper, ${name}: it costs ${writeAmount(more, needs.currency)} ` +
      `more over ${needs.years} years.`
    );
  return needs.rules.ranking === 'life-cycle'
    ? `The next cheaper to buy, ${name}, costs no more over ${needs.years} years, but ` +
        `${judged.tie ? `counts as equal: ${judged.tie.by} decides` : 'its open cautions weigh more'}.`
    : `The next cheaper to buy, ${name}, also costs less over ${needs.years} years; ` +
        `the ranking by ${rankWords[needs.rules.ranking]} puts it behind.`;
}

/** The motor the case pins, from the catalogue, the shelf or a plate, with a finding where it cannot be. */
export function pinnedMotor(
  walk: Walk,
  shelf: readonly Motor[],
  byId: (id: string) => Motor | undefined,
): Motor | undefined {
  const { input, practice, w } = walk;
  if (!input.motor) return undefined;
  w.enter('choice');
  const { catalogue: id, existing } = input.motor;
  const plate = existing ? input.plate : input.motor.plate;
  const at = existing ? 'plate' : 'motor.plate';
  if (existing && !plate) {
    w.finding(
      'choice.pin-not-used',
      'caution',
      'The motor that is there is to stay, but its plate is not given. The choice is made among all.',
      { fields: ['motor.existing', 'plate.power'] },
    );
    return undefined;
  }
  if (plate) {
    const id = existing ? existingMotor : 'pinned-plate';
    const made = motorOfPlate(plateAt(plate, input.supply?.frequency?.value), practice, { id });
    if (made.ok) return made.motor;
    w.finding(
      'choice.pin-not-used',
      'caution',
      `The pinned plate is not complete: ${made.missing.join(', ')} missing. The choice is made among all.`,
      { fields: made.missing.map((key) => `${at}.${key}`) },
    );
    return undefined;
  }
  if (id === undefined) return byCircuit(walk);
  const motor = shelf.find((m) => m.id === id) ?? byId(id);
  if (!motor)
    w.finding('choice.unknown-motor', 'caution', `The catalogue has no motor "${id}"; the choice is made among all.`, {
      fields: ['motor.catalogue'],
    });
  return motor;
}

function byCircuit(walk: Walk): Motor | undefined {
  const { input, practice, w } = walk;
  const circuit = pinnedCircuit(walk);
  const motor = circuit && motorOfCircuit(circuit, practice, input.motor?.circuit?.inertia?.value);
  if (motor) return motor;
  w.finding(
    'choice.pin-not-used',
    'caution',
    circuit
      ? 'The pinned circuit gives no power at its rated speed: the speed must be below synchronous, ' +
          'and the losses below the input. The choice is made among all.'
      : 'The pinned circuit has no rated speed: without it it has no rating to judge. The choice is made among all.',
    { fields: ['motor.circuit.ratedSpeed'] },
  );
  return undefined;
}

/** Loads this small a share of the old motor’s rating are more often a slip than a fact (common practice). */
const seldomMeant = 0.2;

/** Over- and undersize of the old motor, said first. */
export function tellOldSize({ w, practice }: Walk, needs: Needs, plate: PlateFacts): void {
  const old = plate.power;
  if (old === undefined || needs.load.basis === 'plate') return;
  w.enter('choice');
  const text = (watts: number): string => writeQuantity(watts, 'W', practice.words.units);
  const share = (needs.load.power * needs.load.thermal) / (old * needs.place.motorDerating);
  const fields = ['plate.power', 'load.demand'];
  const figures = ['load.motorPower', 'plate.ratedPower'] as const;
  if (share < needs.rules.leastLoading)
    w.finding(
      'choice.oversize',
      share < seldomMeant ? 'caution' : 'note',
      `${text(needs.load.power)} of load on a ${text(old)} motor: it ran at ${percent(share)}. ` +
        (share < seldomMeant
          ? 'Seldom so little: is the plate or the load mistyped? If not, the new motor is sized by the load.'
          : 'The new motor is sized by the load.'),
      { fields, figures },
    );
  else if (share > 1.02)
    w.finding(
      'choice.oversize',
      'caution',
      `${text(needs.load.power)} of load on a ${text(old)} motor: it was overloaded to ` +
        `${percent(share)} in this place. The same motor would fail the same way.`,
      { fields, figures },
    );
}
