import type { Case } from '../case';
import { existingMotor, type Motor } from '../catalogue';
import type { Method, Source } from '../contract';
import { prescribed, type Given, type Input, type Workings } from '../law';
import { q, type Q, type UnitId } from '../quantity';
import { classEfficiency, enclosureOf, isNear, saysInverterDuty, serviceFactorOf } from '../nameplate';
import type { Practice } from '../practice';
import { connectionFor } from './candidate';
import { usualConstantLoss } from '../physics';
import type { Wound } from './pulses';
import type { Needs, PlateFacts, Walk } from './walk';

/** A given value that is certainly there. */
type Known<U extends UnitId> = Given<U> & { readonly value: Q<U> };

/** The motor that guard, drive and cost speak of, with each value in the form a law takes it. */
export interface Subject {
  readonly kind: 'pinned' | 'choice' | 'plate';
  readonly name: string;
  readonly method: Method | null;
  readonly motor: Motor | undefined;
  readonly power: Input<'W'>;
  readonly speed: Input<'rpm'>;
  readonly voltage: Input<'V'>;
  readonly current: Input<'A'>;
  readonly efficiency: Known<'1'>;
  /** Share of its full-load losses that does not go with load. */
  readonly constantLoss: number;
  readonly serviceFactor: Known<'1'>;
  /** Rise marked on the plate, K. */
  readonly temperatureRise: number | undefined;
  readonly lockedRotorCurrent: Known<'A'>;
  readonly lockedRotorTorque: Known<'1'>;
  readonly deltaVoltage: number | null;
  readonly turndown: { readonly variableTorque?: number; readonly constantTorque?: number };
  readonly maxSpeed: Q<'rpm'> | undefined;
  readonly pulseRating: number | undefined;
  readonly inverterDuty: boolean;
}

/** Source of what is read from the plate of the motor that stays. */
export const existingTitle = 'The motor that is there';

const pinnedTitles: Readonly<Record<string, string>> = {
  'pinned-plate': 'Pinned plate',
  existing: existingTitle,
  'pinned-circuit': 'Pinned circuit, solved',
};

export const catalogueSource = (motor: Motor): Source => ({
  kind: 'catalogue',
  title: motor.stock ? 'Own shelf' : (pinnedTitles[motor.id] ?? 'Generic catalogue'),
  part: motor.name,
  fromMemory: false,
});

const known = <U extends UnitId>(value: Q<U>, source: Source): Known<U> => ({ value, source });

/** A catalogue motor as subject; its rated values are the choice's figures where it is the choice. */
export function subjectOf(walk: Walk, motor: Motor, method: Method | null, kind: 'pinned' | 'choice'): Subject {
  const { input, rules } = walk;
  const source = catalogueSource(motor);
  const supply = input.supply?.voltage?.value;
  const connection = connectionFor(motor, supply);
  const top = motor.connections.at(-1)?.voltage ?? connection.voltage;
  return {
    kind,
    name: motor.name,
    method,
    motor,
    power: 'choice.ratedPower',
    speed: 'choice.ratedSpeed',
    voltage: prescribed(q(connection.voltage, 'V'), source),
    current: 'choice.ratedCurrent',
    efficiency: known(q(rules.efficiencyBasis === 'minimum' ? motor.efficiencyMinimum : motor.efficiency, '1'), source),
    constantLoss: motor.constantLoss ?? usualConstantLoss,
    serviceFactor: known(q(motor.serviceFactor, '1'), source),
    temperatureRise: (motor.id === existingMotor ? input.plate : input.motor?.plate)?.temperatureRise?.value,
    lockedRotorCurrent: known(q((motor.lockedRotorCurrent * top) / connection.voltage, 'A'), source),
    lockedRotorTorque: known(q(motor.lockedRotorTorque, '1'), source),
    deltaVoltage: motor.deltaVoltage,
    turndown: motor.turndown,
    maxSpeed: q(motor.maxSpeed, 'rpm'),
    pulseRating: motor.pulseRating,
    inverterDuty: motor.inverterDuty,
  };
}

/** The plate's own motor as subject, where no other was chosen. */
export function subjectFromPlate({ input, practice, w }: Walk, plate: PlateFacts): Subject | undefined {
  const { power, voltage, current } = plate;
  if (power === undefined || voltage === undefined || current === undefined) return undefined;
  const stamped = input.plate;
  const factor = stamped && serviceFactorOf(stamped, input.supply?.frequency?.value);
  const poles = plate.poles ?? 4;
  const lockedMax = w.figures.get('plate.lockedRotorCurrentMax');
  const start = practice.usualStart?.(power, poles, practice.readEfficiencyClass(stamped?.efficiencyClass ?? ''));
  const byTable = start
    ? { value: start.value.current * current, source: start.source }
    : practice.lockedRotorCurrent(power, voltage, plate.frequency ?? practice.frequency);
  const torque = start ? { value: start.value.torque, source: start.source } : practice.lockedRotorTorque(power, poles);
  const madeForDrives = stamped !== undefined && (stamped.inverterDuty !== undefined || saysInverterDuty(stamped));
  const efficiency = w.figures.get('plate.efficiencyMinimum') ?? w.figures.get('plate.efficiency');
  const usual = usualEfficiency(input, practice, power, poles);
  return {
    kind: 'plate',
    name: 'the motor on the plate',
    method: input.method ?? null,
    motor: undefined,
    power: 'plate.ratedPower',
    speed: 'plate.ratedSpeed',
    voltage: 'plate.connectedVoltage',
    current: stampedHere(input) ? 'plate.currentHere' : 'plate.connectedCurrent',
    efficiency: efficiency
      ? { field: 'plate.efficiency', value: q(efficiency.value, '1') }
      : {
          field: 'plate.efficiency',
          value: q(usual.value, '1'),
          source: usual.source,
          assumed: `not on the plate: ${usual.why}`,
        },
    constantLoss: w.figures.get('plate.constantLoss')?.value ?? usualConstantLoss,
    serviceFactor:
      factor?.value === undefined
        ? {
            field: factor?.path ?? 'plate.serviceFactor',
            value: q(1, '1'),
            assumed: factor?.second
              ? 'the second block of the plate states no service factor: 1.0'
              : 'no service factor on the plate: 1.0',
          }
        : { field: factor.path, value: q(factor.value, '1') },
    temperatureRise: stamped?.temperatureRise?.value,
    lockedRotorCurrent: lockedMax
      ? { field: 'plate.codeLetter', value: q(lockedMax.value, 'A') }
      : {
          field: 'plate.codeLetter',
          value: q(byTable.value, 'A'),
          source: byTable.source,
          assumed: start
            ? 'no code letter: usual for its class and rating'
            : 'no code letter: the standard’s value for the rating',
        },
    lockedRotorTorque: {
      field: 'plate.designLetter',
      value: q(torque.value, '1'),
      source: torque.source,
      assumed: start ? 'usual for its class and rating' : 'the least the standard allows for the common design',
    },
    deltaVoltage: null,
    turndown: stamped?.inverterDuty ?? {},
    maxSpeed: stamped?.maxSpeed?.value,
    pulseRating: madeForDrives ? practice.drivePulse(voltage).value : undefined,
    inverterDuty: madeForDrives,
  };
}

/** Efficiency of the motor on the plate where that does not say it: usual for its rating, and its year if known. */
export function usualEfficiency(input: Case, practice: Practice, power: number, poles: number) {
  const { plate } = input;
  const open = plate !== undefined && enclosureOf(plate, practice) === 'open';
  const classed = plate && classEfficiency(plate, practice, power, poles, open);
  if (classed) return { value: classed.efficiency, source: classed.source, why: `what class ${classed.name} asks` };
  const year = plate?.year;
  const why = `usual for its rating${year === undefined ? '' : ` and its year, ${year}`}`;
  return { ...practice.usualEfficiency(power, poles, year), why };
}

/** Whether the plate states the current for this supply beside its pairs: "usable at 208 V, 53 A". */
function stampedHere({ plate, supply }: Case): boolean {
  const usable = plate?.usableAt;
  return usable?.current !== undefined && isNear(usable.voltage?.value, supply?.voltage?.value);
}

/** V that a subject's winding bears: as known of it, else an ordinary one's. */
export const pulseRatingOf = ({ pulseRating }: Subject, practice: Practice): number =>
  pulseRating ?? practice.ordinaryPulse.value;

/** What of a subject decides what stands between it and a drive; undefined where its rating is not known. */
export function woundOf(w: Workings, subject: Subject, { practice, supply }: Needs): Wound | undefined {
  const power = numberOf(w, subject.power);
  const voltage = numberOf(w, subject.voltage) ?? supply.voltage;
  if (power === undefined || voltage === undefined) return undefined;
  return { power, voltage, pulseRating: pulseRatingOf(subject, practice), inverterDuty: subject.inverterDuty };
}

/** The number behind a subject's input, whether it is a figure or a given value. */
export function numberOf(w: Workings, input: Input<'W'> | Input<'rpm'> | Input<'V'> | Input<'A'>): number | undefined {
  return typeof input === 'string' ? w.value(input) : input.value;
}
