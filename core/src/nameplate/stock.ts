import {
  heightOf,
  modelBreakdownTorque,
  modelInertia,
  modelLockedRotorCurrent,
  modelMass,
  modelPowerFactor,
  modelPrice,
  modelSound,
  turndowns,
  usualConstruction,
  type Rated,
  type EnclosureClass,
  type Motor,
  type Stock,
} from '../catalogue';
import type { Plate } from '../case';
import { horsepower, practices, type EfficiencyClass, type Practice } from '../practice';
import { enclosureOf, enclosureText } from './enclosure';
import { saysInverterDuty } from './kinds';
import { constantLossSaid, isUsualConstantLoss } from './losses';
import { pairsOf } from './pairs';
import { polesOf, traditionOf } from './readings';

export interface StockOptions {
  readonly id: string;
  readonly name?: string;
  readonly stock?: Omit<Stock, 'assumed'>;
  /** Its own price, where the list gives one. */
  readonly price?: number;
}

export type MadeMotor =
  { readonly ok: true; readonly motor: Motor } | { readonly ok: false; readonly missing: readonly string[] };

const enclosureClasses: readonly EnclosureClass[] = ['open', 'enclosed', 'severe-duty', 'washdown'];

/**
 * What of power, voltage, current, speed and frequency a plate does not say, so that it cannot be judged; none where
 * it can.
 */
export function missingOf(plate: Plate): string[] {
  const speed = plate.speed?.groups.flat().at(-1);
  const missing = [
    plate.power === undefined && 'power',
    speed === undefined && 'speed',
    plate.frequency === undefined && 'frequency',
    plate.voltage === undefined && 'voltage',
    !pairsOf(plate).some((p) => p.current !== undefined) && 'current',
  ].filter((x) => typeof x === 'string');
  return missing.length === 0 && polesOf(plate.frequency?.value, speed) === undefined ? ['speed'] : missing;
}

/**
 * A motor to judge from what its plate says. Power, voltage, current, speed and frequency must be there; what else is
 * missing is taken
 * as usual for the rating by the standards of its tradition, and named in `stock.assumed`.
 */
export function motorOfPlate(plate: Plate, asked: Practice, options: StockOptions): MadeMotor {
  const missing = missingOf(plate);
  const power = plate.power?.groups.at(-1)?.at(-1);
  const speed = plate.speed?.groups.flat().at(-1);
  const frequency = plate.frequency?.value;
  const connections = pairsOf(plate).flatMap(({ voltage, current }) =>
    current === undefined ? [] : [{ voltage, current }],
  );
  const poles = polesOf(frequency, speed);
  const top = connections.at(-1);
  if (power === undefined || speed === undefined || frequency === undefined || !top || poles === undefined)
    return { ok: false, missing };
  const practice = traditionOf(plate, practices, asked);

  const assumed: string[] = [];
  const usual = <T>(name: string, stamped: T | undefined, otherwise: () => T): T => {
    if (stamped !== undefined) return stamped;
    assumed.push(name);
    return otherwise();
  };
  const apparent = Math.sqrt(3) * top.voltage * top.current;
  const open = enclosureOf(plate, practice) === 'open';
  const classed = classEfficiency(plate, practice, power, poles, open);
  const efficiency = usual('efficiency', plate.efficiency, () =>
    plate.powerFactor === undefined
      ? (classed?.efficiency ?? practice.usualEfficiency(power, poles, plate.year).value)
      : Math.min(0.98, power / (apparent * plate.powerFactor)),
  );
  const lossSaid = constantLossSaid(plate);
  const powerFactor = usual('powerFactor', plate.powerFactor, () => {
    const worked = power / (apparent * efficiency);
    return worked > 0.4 && worked < 0.97 ? worked : modelPowerFactor(practice.id, power, poles);
  });
  const words = enclosureText(plate) ?? '';
  const enclosure = usual<EnclosureClass>(
    'enclosure',
    enclosureClasses.find((kind) => kind === enclosureOf(plate, practice)),
    () => 'open',
  );
  const frame = usual<string | null>(
    'frame',
    plate.frame,
    () => practice.standardFrame(power, poles, { open: enclosure === 'open' })?.value ?? null,
  );
  const letter = usual('designLetter', plate.designLetter?.toUpperCase(), () => practice.usualDesign);
  const design = practice.design(letter, power, poles);
  const code = plate.codeLetter === undefined ? undefined : practice.codeLetter(plate.codeLetter)?.value;
  const kva = code && (code.high ?? code.low);
  const synchronous = (120 * frequency) / poles;
  const start = practice.usualStart?.(power, poles, practice.readEfficiencyClass(plate.efficiencyClass ?? ''))?.value;
  const lockedRotorTorque = Math.max(
    design?.lockedRotorTorque ?? practice.lockedRotorTorque(power, poles).value,
    start?.torque ?? 0,
  );
  const rated: Rated = {
    current: top.current,
    slip: 1 - speed / synchronous,
    powerFactor,
    efficiency,
    lockedRotorTorque,
  };
  const lockedRotorCurrent = usual(
    'codeLetter',
    kva === undefined ? undefined : (1000 * kva * (power / horsepower)) / (Math.sqrt(3) * top.voltage),
    () =>
      modelLockedRotorCurrent(
        start ? start.current * top.current : practice.lockedRotorCurrent(power, top.voltage, frequency).value,
        rated,
      ),
  );
  const owed = design?.breakdownTorque ?? practice.breakdownTorque(power, poles).value;
  const stamped = plate.breakdownTorque;
  const duty = plate.inverterDuty;
  // Words give what the winding bears; only a stamped ratio says how slowly it may run.
  const inverterDuty = duty !== undefined || saysInverterDuty(plate);
  const blower = /TEBC|IC\s*416/i.test(`${words} ${plate.cooling ?? ''}`);
  const cooling = enclosure === 'open' ? 'open' : blower ? 'blower' : 'shaft-fan';
  const construction = usualConstruction(power, enclosure, inverterDuty);
  const usualTurndown = blower ? turndowns.blower : duty ? turndowns.inverter : turndowns.usual;
  const low = connections[0]?.voltage ?? top.voltage;
  const rootThree = Math.abs(top.voltage / low / Math.sqrt(3) - 1) < 0.02;
  const leads =
    plate.leads === 9 || plate.leads === 12 || plate.leads === 3 ? plate.leads : rootThree || plate.leads === 6 ? 6 : 3;
  const classes = practice.efficiencyClasses(power, poles, enclosure === 'open');
  // Motors of the classes of today are wound in class F; of an older one the lesser is taken.
  const insulation = usual('insulation', plate.insulation, () => (start ? ('F' as const) : ('B' as const)));
  const powerText = plate.power?.text ?? '';
  const rating = `${powerText} ${poles}-pole ${words || 'motor'}`;
  return {
    ok: true,
    motor: {
      id: options.id,
      name: options.name === undefined ? rating : `${rating}, ${options.name}`,
      practice: practice.id,
      power,
      powerText,
      poles,
      frequency,
      speed,
      voltageText: plate.voltage?.text ?? '',
      connections,
      efficiency,
      efficiencyMinimum: plate.efficiencyMinimum ?? practice.minimumEfficiency(efficiency, power)?.value ?? efficiency,
      ...(lossSaid && isUsualConstantLoss(lossSaid.share) && { constantLoss: lossSaid.share }),
      efficiencyClass: plate.efficiencyClass ?? 'not said',
      powerFactor,
      frame,
      enclosure,
      enclosureText: words || 'enclosure not said',
      ...(words ? {} : { enclosureUnsaid: true }),
      cooling,
      construction,
      serviceFactor: plate.serviceFactor ?? 1,
      designLetter: letter,
      insulation,
      leads,
      deltaVoltage: rootThree ? low : null,
      lockedRotorCurrent,
      lockedRotorTorque,
      pullUpTorque: practice.pullUpTorque(power, poles).value,
      ...(stamped === undefined && { leastBreakdown: owed }),
      breakdownTorque: stamped ?? modelBreakdownTorque(owed, lockedRotorCurrent, /^[CH]/.test(letter), rated),
      inertia: modelInertia(power, synchronous),
      mass: plate.weight?.value ?? modelMass(power, poles, enclosure, construction),
      sound: modelSound(heightOf(frame, practice.frameSystem, power), poles, frequency, cooling),
      turndown: {
        variableTorque: duty?.variableTorque ?? duty?.constantTorque ?? usualTurndown.variableTorque,
        constantTorque: duty?.constantTorque ?? usualTurndown.constantTorque,
      },
      inverterDuty,
      ...(inverterDuty && !duty ? { turndownUnsaid: true } : {}),
      // Nobody promised an old winding anything; one of the classes of today is made to the standard of today.
      pulseRating: inverterDuty
        ? practice.drivePulse(top.voltage).value
        : start
          ? practice.ordinaryPulse.value
          : leastPulse,
      made: plate.year ?? null,
      maxSpeed: plate.maxSpeed?.value ?? practice.safeSpeed(power, poles).value,
      priceIndex:
        options.price ?? modelPrice(power, poles, seriesPrice(enclosure, inverterDuty, blower, classes, efficiency)),
      assumed,
      ...(options.stock ? { stock: { ...options.stock, assumed } } : {}),
    },
  };
}

/** What the class stamped on a plate asks of its rating, where the plate names one that the practice has a table of. */
export function classEfficiency(
  plate: Pick<Plate, 'efficiencyClass'>,
  practice: Practice,
  power: number,
  poles: number,
  open: boolean,
): EfficiencyClass | undefined {
  const name = practice.readEfficiencyClass(plate.efficiencyClass ?? '');
  return practice.efficiencyClasses(power, poles, open).find((c) => c.name === name);
}

/** Crest in V taken for a winding of which nothing is known (common practice). */
const leastPulse = 1000;

/** Invented price factor of what the catalogue would call its series. */
function seriesPrice(
  enclosure: EnclosureClass,
  inverterDuty: boolean,
  blower: boolean,
  classes: readonly EfficiencyClass[],
  efficiency: number,
): number {
  const byBuild = { open: 0.87, enclosed: 1, 'severe-duty': 1.22, washdown: 1.8 }[enclosure];
  const best = classes.find((c) => c.name === 'IE4');
  return (
    byBuild * (blower ? 1.5 : inverterDuty ? 1.18 : 1) * (best && efficiency >= best.efficiency - 0.0005 ? 1.16 : 1)
  );
}
