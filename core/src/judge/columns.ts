import { existingMotor, starterPriceIndex, type Motor } from '../catalogue';
import type { Method } from '../contract';
import { specialOfFrame, type SpecialPart } from '../nameplate';
import { bulkOf, remedyKinds, remedyPrice, type Practice } from '../practice';
import { code } from './code';
import { connectionFor, isShortShaft, starDeltaFits } from '../needs';

/**
 * What a practice and a motor's build say of every motor of a list whatever the needs; numbers only, NaN where there
 * is none.
 */
export interface BuildColumns {
  readonly frequency: Float64Array;
  /** Price index of every remedy for every motor (motor × kinds + kind). */
  readonly remedyPrices: Float64Array;
  readonly maxSpeed: Float64Array;
  readonly pulseRating: Float64Array;
  readonly serviceFactor: Float64Array;
  readonly sound: Float64Array;
  /** Least nominal efficiency asked of a new motor of this rating today. */
  readonly floor: Float64Array;
  readonly leastSheave: Float64Array;
  /** Inertia that the standard's motor of half this rating starts, kg·m². */
  readonly halfInertia: Float64Array;
  readonly shortShaft: Uint8Array;
  readonly rugged: Uint8Array;
  readonly stainless: Uint8Array;
  readonly inverterDuty: Uint8Array;
  /** Year of make; new ones as the newest, NaN where not known. */
  readonly made: Float64Array;
  /** Insulation class F or above. */
  readonly hotWinding: Uint8Array;
  /** On the own shelf at all, and with at least one there. */
  readonly onShelf: Uint8Array;
  readonly inStock: Uint8Array;
  /** A spare of another position. */
  readonly kept: Uint8Array;
  /** The only one of them there is: nobody but a person takes it. */
  readonly reserved: Uint8Array;
  /** 1 for the motor that is there already. */
  readonly there: Uint8Array;
  readonly enclosures: readonly string[];
  /** 1 where nobody said the enclosure. */
  readonly enclosureUnsaid: Uint8Array;
  /** Special shafts and faces. */
  readonly special: readonly (readonly SpecialPart[])[];
}

/** How each motor of a list is connected on a supply, and how well its voltage fits. */
export interface SupplyColumns {
  readonly voltage: Float64Array;
  readonly current: Float64Array;
  /** Locked-rotor current at the connected voltage. */
  readonly locked: Float64Array;
  readonly fit: Int8Array;
  readonly fitMargin: Float64Array;
  readonly deltaFits: Uint8Array;
}

/** Keeps what was made for a practice and a list of motors, by a key; the newest few of each list. */
function kept<T>(make: (practice: Practice, motors: readonly Motor[], key: string) => T) {
  const cache = new WeakMap<Practice, WeakMap<readonly Motor[], Map<string, T>>>();
  return (practice: Practice, motors: readonly Motor[], key: string): T => {
    const byList = cache.get(practice) ?? new WeakMap<readonly Motor[], Map<string, T>>();
    cache.set(practice, byList);
    const byKey = byList.get(motors) ?? new Map<string, T>();
    byList.set(motors, byKey);
    const found = byKey.get(key) ?? make(practice, motors, key);
    if (byKey.size > 8) byKey.clear();
    byKey.set(key, found);
    return found;
  };
}

const floats = (motors: readonly Motor[], of: (m: Motor) => number | undefined): Float64Array =>
  Float64Array.from(motors, (m) => of(m) ?? NaN);
const flags = (motors: readonly Motor[], of: (m: Motor) => boolean): Uint8Array =>
  Uint8Array.from(motors, (m) => Number(of(m)));

const keptBuild = kept((practice, motors): BuildColumns => ({
  frequency: floats(motors, (m) => m.frequency),
  remedyPrices: Float64Array.from(motors.flatMap((m) => remedyKinds.map((k) => remedyPrice(k, bulkOf(m.power))))),
  maxSpeed: floats(motors, (m) => m.maxSpeed),
  pulseRating: floats(motors, (m) => m.pulseRating),
  serviceFactor: floats(motors, (m) => m.serviceFactor),
  sound: floats(motors, (m) => m.sound),
  floor: floats(
    motors,
    // A floor is tabled at one frequency and asks motors made for it.
    (m) =>
      m.frequency === (practice.efficiencyTabledAt ?? m.frequency)
        ? practice.efficiencyFloor(m.power, m.poles, newestYear, m.enclosure === 'open')?.efficiency
        : undefined,
  ),
  leastSheave: floats(motors, (m) => (m.frame === null ? undefined : practice.leastSheave(m.frame)?.value)),
  halfInertia: floats(motors, (m) => halfInertiaOf(practice, m)),
  shortShaft: flags(motors, (m) => isShortShaft(m.frame)),
  rugged: flags(motors, (m) => m.construction === 'cast-iron' || m.construction === 'stainless'),
  stainless: flags(motors, (m) => m.construction === 'stainless'),
  inverterDuty: flags(motors, (m) => m.inverterDuty),
  made: floats(motors, (m) => (m.made === undefined ? newestYear : (m.made ?? undefined))),
  hotWinding: flags(motors, (m) => m.insulation >= 'F'),
  onShelf: flags(motors, (m) => m.stock !== undefined),
  inStock: flags(motors, (m) => (m.stock?.quantity ?? 0) > 0),
  kept: flags(motors, (m) => (m.stock?.keptFor ?? '') !== ''),
  reserved: flags(motors, (m) => (m.stock?.keptFor ?? '') !== '' && (m.stock?.quantity ?? 0) <= 1),
  there: Uint8Array.from(motors, (m) => Number(m.id === existingMotor)),
  enclosures: motors.map((m) => m.enclosure),
  enclosureUnsaid: Uint8Array.from(motors, (m) => Number(m.enclosureUnsaid === true)),
  special: motors.map((m) => specialOfFrame(m.frame === null ? undefined : practice.frame(m.frame, m.poles))),
}));

/** Inertia that the standard's motor of half this one's rating starts, kg·m². */
export const halfInertiaOf = (practice: Practice, { power, poles }: Pick<Motor, 'power' | 'poles'>): number =>
  practice.inertiaLimit(power / 2, poles).value;

/** Later than any date of application a practice knows. */
const newestYear = 9999;

export const buildColumns = (practice: Practice, motors: readonly Motor[]): BuildColumns =>
  keptBuild(practice, motors, '');

const keptSupply = kept((practice, motors, key): SupplyColumns => {
  const supply = key === '' ? undefined : Number(key);
  const connections = motors.map((m) => connectionFor(m, supply));
  const fits = connections.map((c) => (supply === undefined ? undefined : practice.voltageFit(supply, c.voltage)));
  return {
    voltage: Float64Array.from(connections, (c) => c.voltage),
    current: Float64Array.from(connections, (c) => c.current),
    locked: Float64Array.from(motors, (m, i) => {
      const own = connections[i]?.voltage ?? 1;
      return (m.lockedRotorCurrent * (m.connections.at(-1)?.voltage ?? own)) / own;
    }),
    fit: Int8Array.from(fits, (f) => (f ? code[f.outcome] : code.none)),
    fitMargin: Float64Array.from(fits, (f) => (f ? 1 - Math.abs(f.deviation) / f.limit : 0)),
    deltaFits: flags(motors, (m) => starDeltaFits(practice, supply ?? connectionFor(m, undefined).voltage, m)),
  };
});

export const supplyColumns = (
  practice: Practice,
  motors: readonly Motor[],
  supply: number | undefined,
): SupplyColumns => keptSupply(practice, motors, supply === undefined ? '' : String(supply));

const keptFrames = kept((_practice, motors, old) => {
  const wanted = old.trim().toUpperCase();
  return flags(motors, (m) => m.frame === wanted || m.frame?.toUpperCase() === wanted);
});

/** Which motors of a list have the old one's frame. */
export const sameFrames = (practice: Practice, motors: readonly Motor[], old: string): Uint8Array =>
  keptFrames(practice, motors, old);

const keptPrices = kept((_practice, motors, key) => {
  const methods = key.split(',');
  return Float64Array.from(motors.flatMap((m) => methods.map((x) => starterPriceIndex(methodNamed(x), m.power))));
});
const methodNamed = (text: string): Method => starters.find((m) => m === text) ?? 'direct';
const starters = ['direct', 'star-delta', 'autotransformer', 'primary-reactor', 'soft-starter', 'drive'] as const;

/** Invented price of the starter of every entry (motor × methods + method). */
export const starterPrices = (practice: Practice, motors: readonly Motor[], methods: readonly Method[]): Float64Array =>
  keptPrices(practice, motors, methods.join());
