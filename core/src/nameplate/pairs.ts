import type { Plate } from '../case';
import type { Practice, VoltageFit } from '../practice';
import type { Q } from '../quantity';

/** The rating part of a plate: the main block, or the second one for the other frequency. */
export type Block = Pick<Plate, 'power' | 'voltage' | 'current' | 'speed' | 'frequency' | 'serviceFactor'>;

/** One voltage of the plate with the current that belongs to it. */
export interface Pair {
  readonly voltage: Q<'V'>;
  readonly current: Q<'A'> | undefined;
  /** Which slash group it stands in. */
  readonly index: number;
}

/** Matched groups: the nth voltage of the mth connection goes with the nth current of the mth connection. */
export function pairsOf(block: Block): Pair[] {
  const currents = block.current?.groups;
  const matched = currents?.length === block.voltage?.groups.length;
  return (block.voltage?.groups ?? []).flatMap((group, index) =>
    group.map((voltage, n) => {
      const own = matched ? currents?.[index] : undefined;
      // One current for several usable voltages is that of the last.
      const current = own && (own.length === group.length ? own[n] : n === group.length - 1 ? own[0] : undefined);
      return { voltage, current, index };
    }),
  );
}

export interface FittedPair {
  readonly pair: Pair;
  readonly fit: VoltageFit;
  /** The pair's voltage at the supply's frequency with the same volts per hertz; its own where frequencies agree. */
  readonly voltageHere: number;
}

/**
 * The pair nearest a supply. Where the supply's frequency differs from the block's, voltages are compared at the same
 * volts per hertz, for that is what keeps the flux.
 */
export function nearestPair(
  block: Block,
  supply: number,
  supplyFrequency: number | undefined,
  practice: Pick<Practice, 'voltageFit'>,
): FittedPair | undefined {
  const own = block.frequency?.value;
  const scale = own !== undefined && supplyFrequency !== undefined ? supplyFrequency / own : 1;
  return pairsOf(block)
    .map((pair) => {
      const voltageHere = pair.voltage * scale;
      return { pair, voltageHere, fit: practice.voltageFit(supply, voltageHere) };
    })
    .reduce<FittedPair | undefined>(
      (best, next) => (best && Math.abs(best.fit.deviation) <= Math.abs(next.fit.deviation) ? best : next),
      undefined,
    );
}

/** The main block, or the plate's second one where that is the one for the supply's frequency. */
export function blockFor(plate: Plate, supplyFrequency: number | undefined): { block: Block; path: string } {
  const other = plate.alternate;
  const same = (f: number | undefined): boolean =>
    f !== undefined && supplyFrequency !== undefined && Math.abs(f - supplyFrequency) < 0.5;
  return other && same(other.frequency?.value) && !same(plate.frequency?.value)
    ? { block: other, path: 'plate.alternate' }
    : { block: plate, path: 'plate' };
}

/** The plate as if the block for the supply's frequency were its only one. */
export function plateAt<P extends Plate>(plate: P, supplyFrequency: number | undefined): P {
  const { block, path } = blockFor(plate, supplyFrequency);
  if (path === 'plate') return plate;
  const { efficiency, powerFactor } = plate.alternate ?? {};
  const { power, voltage, current, speed, frequency, serviceFactor } = block;
  return {
    ...plate,
    ...{ power, voltage, current, speed, frequency, serviceFactor },
    efficiency: efficiency ?? plate.efficiency,
    powerFactor: powerFactor ?? plate.powerFactor,
  };
}

/** The service factor of the block that is used: a second block without one of its own has none. */
export const serviceFactorOf = (plate: Plate, supplyFrequency: number | undefined) => {
  const { block, path } = blockFor(plate, supplyFrequency);
  return { value: block.serviceFactor, path: `${path}.serviceFactor`, second: path !== 'plate' };
};

/** The value that goes with a connection; the only one where there is but one. */
export function valueAt<T>(groups: readonly (readonly T[])[] | undefined, index: number): T | undefined {
  return (groups?.[index] ?? groups?.[0])?.at(-1);
}

/** Whether two voltages or frequencies are the same but for rounding: within 1 %. */
export const isNear = (a: number | undefined, b: number | undefined): boolean =>
  a !== undefined && b !== undefined && Math.abs(a / b - 1) < 0.01;
