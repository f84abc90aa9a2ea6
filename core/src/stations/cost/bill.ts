import { commonPractice, definition } from '../../contract';
import { assumed, field, prescribed, type Given } from '../../law';
import { noLoadShare, usualPowerFactor } from '../../nameplate';
import {
  numberOf,
  tariffOf,
  weekPrice,
  type Needs,
  type PlateFacts,
  type Subject,
  type Walk,
  type YearRow,
} from '../../needs';
import {
  billedDemand,
  currentAtLoad,
  meanPaid,
  powerFactorOf,
  ratchetLoss,
  savedByBills,
  savedMoney,
} from '../../physics';
import { q } from '../../quantity';

/** Input in W at a row of the year, now and new. */
export interface Inputs {
  readonly old: (row: YearRow) => number;
  readonly new: (row: YearRow) => number;
}

/** Price of a kWh as it is typed, the tariff's mean over the week, or nothing. */
export function priceGiven({ input }: Pick<Walk, 'input'>): Given<'1/kWh'> {
  const price = weekPrice(input.money);
  const path = input.money?.tariff ? 'money.tariff' : 'money.energyPrice';
  return field(path, price === undefined ? undefined : q(price, '1/kWh'));
}

export const demandPriceGiven = ({ input }: Pick<Walk, 'input'>): Given<'1/kW'> =>
  input.money?.demandPrice === undefined
    ? assumed('money.demandPrice', q(0, '1/kW'), 'no demand price given')
    : field('money.demandPrice', q(input.money.demandPrice, '1/kW'));

/** Price paid on the new way's energy: the tariff's by time where there is one. */
export const newPrice = (walk: Walk): Given<'1/kWh'> | 'cost.newPrice' =>
  walk.w.figures.has('cost.newPrice') ? 'cost.newPrice' : priceGiven(walk);
export const newDemand = ({ w }: Pick<Walk, 'w'>): 'cost.newDemand' | 'cost.newPeak' =>
  w.figures.has('cost.newDemand') ? 'cost.newDemand' : 'cost.newPeak';

/** What a year saves by the bills: energy by time, demand by what it is billed on, what a ratchet keeps. */
export function tellBills(walk: Walk, needs: Needs, subject: Subject, plate: PlateFacts, inputs: Inputs): void {
  const { input, w } = walk;
  const m = input.money;
  const timed = m?.tariff !== undefined;
  const byPower = m?.demandPrice !== undefined && (m.demandBasis === 'kVA' || m.leastPowerFactor !== undefined);
  if (timed) tellPrices(walk, needs, inputs);
  if (byPower) tellDemands(walk, needs, subject, plate);
  const d = demandPriceGiven(walk);
  if (timed || byPower)
    w.figure('cost.savedMoney', savedByBills, {
      ...{ E_old: 'cost.oldEnergy', E_new: 'cost.newEnergy', d },
      c_old: timed ? 'cost.oldPrice' : priceGiven(walk),
      c_new: newPrice(walk),
      D_old: byPower ? 'cost.oldDemand' : 'cost.oldPeak',
      D_new: newDemand(walk),
    });
  else
    w.figure('cost.savedMoney', savedMoney, {
      ...{ dE: 'cost.savedEnergy', c: priceGiven(walk), d },
      ...{ P_old: 'cost.oldPeak', P_new: 'cost.newPeak' },
    });
  if (m?.ratchet !== undefined && m.demandPrice !== undefined)
    w.figure('cost.ratchetLoss', ratchetLoss, {
      ...{ r: field('money.ratchet', q(m.ratchet, '1')), d },
      D_old: byPower ? 'cost.oldDemand' : 'cost.oldPeak',
      D_new: newDemand(walk),
    });
}

function tellPrices({ input, w }: Walk, needs: Needs, inputs: Inputs): void {
  const tariff = tariffOf(input.money);
  const whole = needs.energyPrice;
  const { rows } = needs.speed;
  const timeless = (input.speed?.profile ?? []).every((r) => (r.from ?? r.to ?? r.days) === undefined);
  const prices = new Set(tariff.map((r) => r.price));
  const why = 'no times given: spread evenly over the week';
  const spread = timeless && prices.size > 1 ? [{ field: 'speed.profile', value: 'any time', why }] : [];
  for (const [id, of] of [
    ['cost.oldPrice', inputs.old],
    ['cost.newPrice', inputs.new],
  ] as const)
    w.figure(
      id,
      meanPaid(rows.map((r) => ({ energy: (r.hours * of(r)) / 1000, price: whole * r.price }))),
      {},
      { assumed: spread },
    );
}

/** Demand as it is billed: apparent power, or real power raised where the power factor is below the least. */
function tellDemands(walk: Walk, needs: Needs, subject: Subject, plate: PlateFacts): void {
  const { input, w } = walk;
  const least = input.money?.leastPowerFactor ?? 1;
  const voltage = input.supply?.voltage?.value ?? plate.voltage ?? 400;
  const usual = (power: number, poles: number): number => usualPowerFactor(power, poles).value;
  const tell = (
    id: 'cost.oldPowerFactor' | 'cost.newPowerFactor',
    peak: 'cost.oldPeak' | 'cost.newPeak',
    of: Rated,
  ) => {
    const current = of.current === undefined ? undefined : currentAt(of, of.load);
    const drawn = w.value(peak);
    if (current !== undefined && drawn !== undefined)
      w.figure(id, powerFactorOf, {
        P_in: { value: q(1000 * drawn, 'W'), text: 'highest input over the profile' },
        U: { value: q(of.voltage, 'V'), text: 'its voltage' },
        I: { value: q(current, 'A'), text: 'its current at that load' },
      });
    else
      w.stated(id, '1', q(usual(of.power, of.poles), '1'), commonPractice('Usual power factor by size and poles'), {
        symbol: 'lambda',
        field: 'plate.powerFactor',
        assumed: 'no current known: usual for the rating',
      });
  };
  const share = Math.max(...needs.speed.rows.map((r) => Math.min(1, r.flow)));
  const poles = plate.poles ?? subject.motor?.poles ?? 4;
  const rated = numberOf(w, subject.power) ?? needs.load.power;
  tell('cost.oldPowerFactor', 'cost.oldPeak', {
    ...{ power: plate.power ?? rated, poles, load: needs.load.power * share },
    ...{ current: plate.current ?? numberOf(w, subject.current), voltage: plate.voltage ?? voltage },
  });
  const drive = subject.method === 'drive' ? w.figures.get('drive.truePowerFactor') : undefined;
  if (drive)
    w.stated('cost.newPowerFactor', '1', q(drive.value, '1'), definition('The drive’s input'), {
      symbol: 'lambda',
      text: drive.text,
    });
  else
    tell('cost.newPowerFactor', 'cost.newPeak', {
      ...{
        power: rated,
        poles: subject.motor?.poles ?? poles,
        load: (w.value('point.shaftPower') ?? needs.load.power) * share,
      },
      ...{ current: numberOf(w, subject.current), voltage: numberOf(w, subject.voltage) ?? voltage },
    });
  for (const when of ['old', 'new'] as const) {
    const lambda = w.value(`cost.${when}PowerFactor`) ?? 1;
    const billed = input.money?.demandBasis === 'kVA' ? lambda : Math.min(1, lambda / least);
    w.figure(`cost.${when}Demand`, billedDemand, {
      P: `cost.${when}Peak`,
      lambda:
        input.money?.demandBasis === 'kVA'
          ? `cost.${when}PowerFactor`
          : prescribed(q(billed, '1'), definition('Power factor clause', 'power factor ÷ the least, at most 1')),
    });
  }
}

/** A motor at the highest load of the year. W, V, A. */
interface Rated {
  readonly power: number;
  readonly poles: number;
  readonly load: number;
  readonly current: number | undefined;
  readonly voltage: number;
}

const currentAt = ({ current = 0, poles, power }: Rated, load: number): number =>
  currentAtLoad.of({ I_n: q(current, 'A'), k: q(noLoadShare(poles), '1'), P: q(load, 'W'), P_r: q(power, 'W') });
