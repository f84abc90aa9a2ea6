import { clip, findUnit, isMinute, readNumber, withoutPhases, type Reading } from './read';
import { dimensions, q, type BaseUnit, type Dimension, type DimensionSpec, type Q } from './units';

/**
 * A grouped rating as plates stamp it. A slash separates connections, a hyphen separates usable
 * values within one connection: "208-230/460 V" is [[208, 230], [460]]. Values are in the base unit.
 */
export interface RatingGroups<D extends Dimension = Dimension> {
  readonly text: string;
  readonly groups: readonly (readonly Q<BaseUnit<D>>[])[];
}

/**
 * Reads a grouped rating. One unit at the end serves all ("79-72/36 A"); a fraction is not a group ("3/4 hp" is one
 * value).
 */
export function readGroups<D extends Dimension>(dimension: D, text: string): Reading<RatingGroups<D>> {
  const spec: DimensionSpec = dimensions[dimension];
  const want = `a ${spec.label}, grouped as on the plate, such as "208-230/460 V"`;
  const wanted =
    dimension === 'voltage' ? want : `a ${spec.label} such as "${spec.examples[0]}" or grouped as on the plate`;
  if (/^\s*[-–−]\s*[\d.,]/u.test(text))
    return { ok: false, message: `"${clip(text)}" is below zero: a ${spec.label} on a plate must be above zero` };
  const match = /^([\d.,/\-–\s½¼¾⅓⅔⅛⅜⅝⅞]*[\d½¼¾⅓⅔⅛⅜⅝⅞])\s*(.*)$/su.exec(withoutPhases(dimension, text.trim()));
  const [, numbers, unitText] = match ?? [];
  if (numbers === undefined || unitText === undefined)
    return { ok: false, message: `"${clip(text)}" is not ${wanted}` };
  if (unitText === '') return { ok: false, message: `"${clip(text)}" has no unit: write ${wanted}` };
  const unit = findUnit(spec, dimension === 'voltage' ? unitText.replace(connectionMarks, '') : unitText);
  if (!unit) return { ok: false, message: `"${clip(unitText)}" is not a unit of ${spec.label}: write ${wanted}` };
  const groups: Q<BaseUnit<D>>[][] = [];
  const parts = isFraction(numbers) ? [[numbers]] : numbers.split('/').map((g) => g.split(/[-–]/));
  for (const part of parts) {
    const values: Q<BaseUnit<D>>[] = [];
    for (const piece of part) {
      const n = readNumber(piece);
      if (!n.ok) return { ok: false, message: `in "${clip(text)}", ${n.message}: write ${wanted}` };
      if (!(n.value > 0)) return { ok: false, message: `"${clip(piece)}" in "${clip(text)}" must be above zero` };
      const value = n.value * unit.factor + (unit.offset ?? 0);
      if (isMinute(value) || value > 1e15)
        return {
          ok: false,
          message: `"${clip(piece)}" in "${clip(text)}" is too ${value > 1 ? 'large' : 'small'} for a ${spec.label}`,
        };
      values.push(q(value, dimensions[dimension].base));
    }
    groups.push(values);
  }
  return { ok: true, value: { text: text.trim(), groups } };
}

/** Marks of the connections behind the unit: "230/400 V Δ/Y". */
const connectionMarks = /\s*(?:[Δ∆△D])\s*\/\s*(?:[YΥ⅄])$/u;

/** "3/4" and "1-1/2" are one rating, as small motors are stamped; "30/25" is two. */
function isFraction(numbers: string): boolean {
  return /^(\d*[ -]?[½¼¾⅓⅔⅛⅜⅝⅞]|(\d+[ -])?(1\/[234568]|2\/3|3\/[48]|5\/8|7\/8))$/.test(numbers.trim());
}

/** Writes groups in the base unit, so that reading them back gives the same numbers: "1 / 2", for "1/2" is a half. */
export function writeGroups(groups: readonly (readonly number[])[], unit: string): string {
  const parts = groups.map((g) => g.join('-'));
  const close = parts.join('/');
  return `${isFraction(close) ? parts.join(' / ') : close} ${unit}`;
}
