import { dimensions, q, type BaseUnit, type Dimension, type DimensionSpec, type Q, type Unit } from './units';

/**
 * Nought but for the last bits: no quantity or share of this trade is meant by it, and what is divided by it
 * overflows.
 */
export const isMinute = (value: number): boolean => value !== 0 && Math.abs(value) < 1e-9;

/** A quantity as it was typed, with its value in the dimension's base unit. */
export interface Quantity<D extends Dimension = Dimension> {
  readonly text: string;
  readonly value: Q<BaseUnit<D>>;
}

export type Reading<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

const fail = (message: string): { ok: false; message: string } => ({ ok: false, message });

const vulgar: Readonly<Record<string, string>> = {
  '½': '1/2', '¼': '1/4', '¾': '3/4', '⅓': '1/3', '⅔': '2/3', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8',
}; // prettier-ignore

const numberPattern = String.raw`[+-]?(?:\d+[ -]\d+\/\d+|\d+\/\d+|(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][+-]?\d+)?)`;
const quantityPattern = new RegExp(`^(${numberPattern})\\s*(.*)$`);

/**
 * Reads one number as the trade writes it: `3/4`, `1 1/2`, `1½`, `27,9`, `1.5e3`.
 * A comma before exactly three digits could be either tradition's and is refused with both readings.
 */
export function readNumber(text: string): Reading<number> {
  const t = spellOut(text.trim());
  const grouped = /^[+-]?\d{1,3},\d{3}$/.exec(t);
  if (grouped) {
    return fail(
      `"${text.trim()}" could be ${t.replace(',', '')} or ${t.replace(',', '.')}: write it without the comma`,
    );
  }
  const mixed = /^([+-]?)(\d+)[ -](\d+)\/(\d+)$/.exec(t);
  const fraction = /^([+-]?)(\d+)\/(\d+)$/.exec(t);
  let value: number;
  if (mixed) value = sign(mixed[1]) * (Number(mixed[2]) + Number(mixed[3]) / Number(mixed[4]));
  else if (fraction) value = (sign(fraction[1]) * Number(fraction[2])) / Number(fraction[3]);
  else value = t === '' ? NaN : Number(t.replace(',', '.'));
  return Number.isFinite(value) ? { ok: true, value } : fail(`"${clip(text)}" is not a number`);
}

/**
 * Reads "number unit" of a dimension: `readQuantity('torque', '50 lbf ft')`.
 * The value comes back in the dimension's base unit; a wrong or missing unit says which kind is wanted and gives
 * examples.
 */
export function readQuantity<D extends Dimension>(dimension: D, text: string): Reading<Quantity<D>> {
  const spec: DimensionSpec = dimensions[dimension];
  const want = `a ${spec.label} such as ${spec.examples.map((e) => `"${e}"`).join(', ')}`;
  const match = quantityPattern.exec(withoutPhases(dimension, spellOut(text.trim())));
  if (!match) return fail(text.trim() === '' ? `is empty: write ${want}` : `"${clip(text)}" is not ${want}`);
  const number = readNumber(match[1] ?? '');
  if (!number.ok) return number;
  const unitText = (match[2] ?? '').trim();
  if (unitText === '') return fail(`"${clip(text)}" has no unit: write ${want}`);
  const unit = findUnit(spec, unitText);
  if (!unit) return fail(wrongUnit(unitText, spec, want));
  const value = number.value * unit.factor + (unit.offset ?? 0);
  if (!Number.isFinite(value) || Math.abs(value) > 1e15) return fail(`"${clip(text)}" is too large for ${want}`);
  if (unit.offset === undefined && isMinute(value)) return fail(`"${clip(text)}" is too small for ${want}`);
  return { ok: true, value: { text: text.trim(), value: q(value, dimensions[dimension].base) } };
}

/** The unit text that follows the number, or '' — for fields that keep a person's unit. */
export function unitTextOf(text: string): string {
  return quantityPattern.exec(spellOut(text.trim()))?.[2]?.trim() ?? '';
}

/** Finds a unit of a dimension by any of its spellings: exactly, else ignoring case where only one fits. */
export function findUnit(spec: DimensionSpec, text: string): Unit | undefined {
  const wanted = known(text);
  const exact = spec.units.find((unit) => unit.names.some((n) => known(n) === wanted));
  if (exact) return exact;
  const loose = spec.units.filter((unit) => unit.names.some((n) => known(n).toLowerCase() === wanted.toLowerCase()));
  return loose.length === 1 ? loose[0] : undefined;
}

function wrongUnit(unitText: string, spec: DimensionSpec, want: string): string {
  const other = Object.values<DimensionSpec>(dimensions).find((d) => d !== spec && findUnit(d, unitText));
  const is = other ? `is a unit of ${other.label}` : 'is not a unit known here';
  return `"${clip(unitText)}" ${is}: write ${want}`;
}

const spellings = new Map<string, string>();

/** The one spelling of a unit as it is written; there are few, and they are asked for over and over. */
function known(text: string): string {
  const found = spellings.get(text);
  if (found !== undefined) return found;
  const spelling = normal(text);
  if (spellings.size < 2000) spellings.set(text, spelling);
  return spelling;
}

/** One spelling for the many ways to join units: "lbf-ft", "lbf ft", "lbf.ft" and "lbf·ft" are the same. */
function normal(unit: string): string {
  return unit
    .normalize('NFC')
    .replaceAll('²', '2')
    .replaceAll('³', '3')
    .replaceAll('⁻¹', '-1')
    .replaceAll('º', '°')
    .replaceAll('Ω', 'Ω')
    .replace(/\s*[·⋅•*.×]\s*/g, '·')
    .replace(/\^/g, '')
    .replace(/\s+/g, ' ')
    .replace(/^(lbf?|lbs|N|kN|kgf?|ft|in|slug) (ft|in|m|lbf?|m2|ft2)\b/, '$1·$2')
    .trim();
}

/** "3x400 V" and "3~ 400 V" are 400 V: the phases are said elsewhere. */
export const withoutPhases = (dimension: Dimension, text: string): string =>
  dimension === 'voltage' ? text.replace(/^\s*3\s*(?:[x×*~]|ph(?:ase)?\b\.?)\s*(?=\d)/i, '') : text;

const superscripts = '⁰¹²³⁴⁵⁶⁷⁸⁹';

function spellOut(text: string): string {
  return text
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/(\d)\s*[×x*]\s*10(?:\^(\d{1,2})|([⁰¹²³⁴⁵⁶⁷⁸⁹]{1,2}))/, (_, last: string, plain = '', raised = '') => {
      const power = plain || Array.from(String(raised), (d) => superscripts.indexOf(d)).join('');
      return `${last}e${power}`;
    })
    .replaceAll('\u2212', '-')
    .replaceAll('⁄', '/')
    .replace(/(\d)?\s*([½¼¾⅓⅔⅛⅜⅝⅞])/g, (_, whole: string | undefined, f: string) =>
      whole === undefined ? (vulgar[f] ?? f) : `${whole} ${vulgar[f] ?? f}`,
    );
}

const sign = (s: string | undefined): number => (s === '-' ? -1 : 1);

/** Long typed text is cut in messages so that a pasted page does not become the message. */
export function clip(text: string): string {
  const t = text.trim();
  return t.length > 40 ? `${t.slice(0, 40)}…` : t;
}
