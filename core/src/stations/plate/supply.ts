import type { Case } from '../../case';
import { commonPractice, definition, remembered } from '../../contract';
import { field, prescribed, type Given } from '../../law';
import { connectionKind, isNear, serviceFactorOf, valueAt, wiringFor, type Block } from '../../nameplate';
import {
  currentAtVoltage,
  fluxRatio,
  scaledCurrent,
  scaledPower,
  scaledSpeed,
  scaledVoltage,
  serviceFactorCurrent,
  serviceFactorPower,
  slipAtVoltage,
  torqueAtVoltage,
  windingVoltage,
} from '../../physics';
import type { Practice } from '../../practice';
import { q, writeQuantity, type Q } from '../../quantity';
import { percent, type Walk } from '../../needs';

type OldPlate = NonNullable<Case['plate']>;

/** The pair of the plate that this supply is connected to. */
export interface Connected {
  readonly voltage?: Q<'V'>;
  readonly current?: Q<'A'>;
  /** Which slash group was connected. */
  readonly index: number;
}

export function tableCurrent({ input, practice, w }: Walk): void {
  const [power, voltage, current] = (
    ['plate.ratedPower', 'plate.connectedVoltage', 'plate.connectedCurrent'] as const
  ).map((id) => w.value(id));
  if (power === undefined || voltage === undefined || practice.conductorBasis !== 'table') return;
  const table = practice.tableCurrent(power, voltage, current ?? 0, input.supply?.voltage?.value);
  if (table) w.stated('plate.tableCurrent', 'A', q(table.value, 'A'), table.source, { symbol: 'I_t' });
}

export function connection({ w, input }: Walk, block: Block, pair: Connected, plate: OldPlate, made: Practice): void {
  const groups = block.voltage?.groups;
  if (!groups || pair.voltage === undefined) return;
  const kind = connectionKind(groups);
  const wiring = wiringFor(kind, pair.index, plate.leads, made.leadMarks);
  const where = input.supply?.voltage ? `On ${input.supply.voltage.text}` : `At ${writeQuantity(pair.voltage, 'V')}`;
  w.fact(
    'plate.connection',
    'Connection',
    `${where}: ${wiring.words}. The diagram in the lid decides.`,
    wiring.source,
    {
      fields: ['plate.voltage', 'plate.leads', 'supply.voltage'],
      figures: ['plate.connectedVoltage'],
    },
  );
  if (kind === 'series-parallel' || kind === 'delta-star')
    w.figure('plate.windingVoltage', windingVoltage, {
      k: { ...prescribed(q(wiring.windingShare, '1'), wiring.source), field: 'plate.voltage' },
      U: 'plate.connectedVoltage',
    });
}

const serviceFactorSource = remembered('standard', 'NEMA MG 1', '2016', '1.42 and 14.37 (service factor)');

/** Service factor here: it holds at rated voltage and frequency in usual conditions only. */
export function serviceFactor(
  { w, input }: Walk,
  plate: OldPlate,
  pair: Connected,
  frequency: number | undefined,
): void {
  const { value: sf, path } = serviceFactorOf(plate, input.supply?.frequency?.value);
  if (sf === undefined) return;
  const off = w.findings.some((f) => f.id === 'plate.voltage-mismatch');
  const usable =
    plate.usableAt?.voltage !== undefined && isNear(plate.usableAt.voltage.value, input.supply?.voltage?.value);
  const otherFrequency =
    input.supply?.frequency !== undefined &&
    frequency !== undefined &&
    !isNear(frequency, input.supply.frequency.value);
  const lost = off || usable || otherFrequency;
  w.stated(
    'plate.serviceFactorHere',
    '1',
    q(lost ? 1 : sf, '1'),
    lost ? commonPractice('Off rated voltage or frequency the service factor counts as 1.0') : serviceFactorSource,
    {
      field: path,
      symbol: 'SF',
    },
  );
  if (sf <= 1 || lost) return;
  w.figure('plate.serviceFactorPower', serviceFactorPower, { k: 'plate.serviceFactorHere', P: 'plate.ratedPower' });
  const stamped = plate.serviceFactorCurrent;
  const matched = stamped?.groups.length === plate.voltage?.groups.length || stamped?.groups.flat().length === 1;
  if (stamped && matched)
    w.given('plate.serviceFactorCurrent', 'A', 'plate.serviceFactorCurrent', valueAt(stamped.groups, pair.index));
  else
    w.figure('plate.serviceFactorCurrent', serviceFactorCurrent, {
      k: 'plate.serviceFactorHere',
      I: 'plate.connectedCurrent',
    });
}

/** Current, torque and slip on a supply off the plate's voltage, at the plate's frequency. */
export function atThisVoltage({ w, input }: Walk, block: Block, plate: OldPlate, frequency: number | undefined): void {
  const supply = input.supply?.voltage;
  const rated = w.value('plate.connectedVoltage');
  const sameFrequency =
    input.supply?.frequency === undefined || frequency === undefined || isNear(frequency, input.supply.frequency.value);
  if (!supply || rated === undefined || !sameFrequency) return;
  const usable = plate.usableAt;
  if (usable?.current && usable.voltage && isNear(usable.voltage.value, supply.value))
    w.given('plate.currentHere', 'A', 'plate.usableAt.current', usable.current.value);
  if (isNear(rated, supply.value)) return;
  const U_s = field('supply.voltage', supply.value, supply.text);
  if (!w.figures.has('plate.currentHere'))
    w.figure('plate.currentHere', currentAtVoltage, { I: 'plate.connectedCurrent', U: 'plate.connectedVoltage', U_s });
  w.figure('plate.torqueHere', torqueAtVoltage, { U_s, U: 'plate.connectedVoltage' });
  w.figure('plate.slipHere', slipAtVoltage, { s: 'plate.slip', U: 'plate.connectedVoltage', U_s });
  const low = supply.value >= 200 && supply.value <= 210 && rated >= 220 && rated <= 240;
  if (low && !(block.voltage?.groups.flat().some((v) => isNear(v, supply.value)) ?? false)) {
    const says = usable?.voltage && isNear(usable.voltage.value, supply.value);
    w.finding(
      'plate.208-on-230',
      'caution',
      says
        ? `Usable at ${supply.text} by its plate: more current, torque ` +
            `${percent((supply.value / rated) ** 2)} of rated, service factor 1.0.`
        : `A motor for ${writeQuantity(rated, 'V')} that does not say it is usable on ${supply.text}: torque ` +
            `falls to ${percent((supply.value / rated) ** 2)}, current rises to ${w.text('plate.currentHere')} ` +
            `at the same power, and the network may sag further. Take one for 200 V, or one whose plate says so.`,
      {
        fields: ['plate.voltage', 'plate.usableAt.voltage', 'supply.voltage'],
        figures: ['plate.currentHere', 'plate.torqueHere'],
        source: remembered('standard', 'NEMA MG 1', '2016', '14.35 (operation on 208-volt network systems)'),
      },
    );
  }
}

/**
 * What the other frequency makes of this motor at the same volts per hertz: the supply's, else the other of 50 and 60.
 */
export function atOtherFrequency({ w, input }: Walk, block: Block, path: string, frequency: number | undefined): void {
  const own = block.frequency?.value;
  const supply = input.supply;
  if (own === undefined || frequency === undefined) return;
  const differs = supply?.frequency !== undefined && !isNear(own, supply.frequency.value);
  // A second block says it better than any sum.
  if (!differs && (input.plate?.alternate?.frequency !== undefined || (own !== 50 && own !== 60))) return;
  const f_2: Given<'Hz'> = differs
    ? field('supply.frequency', supply?.frequency?.value, supply?.frequency?.text)
    : prescribed(q(110 - own, 'Hz'), definition('The other usual frequency'));
  const f = field(`${path}.frequency`, q(own, 'Hz'));
  w.figure('plate.scaledVoltage', scaledVoltage, { U: 'plate.connectedVoltage', f, f_2 });
  w.figure('plate.scaledSpeed', scaledSpeed, { n: 'plate.ratedSpeed', n_s: 'plate.synchronousSpeed', f, f_2 });
  w.figure('plate.scaledPower', scaledPower, {
    P: 'plate.ratedPower',
    n: 'plate.ratedSpeed',
    n_2: 'plate.scaledSpeed',
  });
  w.figure('plate.scaledCurrent', scaledCurrent, { I: 'plate.connectedCurrent' });
  if (!differs) return;
  const flux = supply?.voltage
    ? w.figure('plate.fluxRatio', fluxRatio, {
        U_s: field('supply.voltage', supply.voltage.value, supply.voltage.text),
        f_s: f_2,
        U: 'plate.connectedVoltage',
        f,
      })
    : undefined;
  const says =
    flux === undefined
      ? ''
      : ` This supply gives ${percent(flux)} of its flux` +
        (flux > 1.05
          ? ': more magnetising current and heat.'
          : flux < 0.95
            ? ': torque by the square of it.'
            : ', as it should.');
  const there = w.figures.has('plate.scaledPower')
    ? ` At the same volts per hertz it is a motor of ${w.text('plate.scaledPower')} at ` +
      `${w.text('plate.scaledSpeed')} and ${w.text('plate.scaledVoltage')}, with the same torque and current.`
    : '';
  w.finding(
    'plate.frequency-mismatch',
    'caution',
    `The plate is for ${block.frequency?.text}, the supply is ${supply?.frequency?.text}. Speed and torque ` +
      `change with frequency, and only the same volts per hertz keep the flux.${there}${says}`,
    {
      fields: ['plate.frequency', 'supply.frequency'],
      figures: ['plate.scaledVoltage', 'plate.scaledPower', 'plate.scaledSpeed', 'plate.fluxRatio'],
    },
  );
}
