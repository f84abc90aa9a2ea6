import { z } from 'zod';
import {
  dimensions,
  isMinute,
  q,
  readConductorSize,
  readGroups,
  readQuantity,
  type Dimension,
  type Quantity,
  type RatingGroups,
} from '../quantity';

type Sign = 'positive' | 'zero' | 'any';

/** A quantity with a dimension: text in, text and value out. `zero` admits nought, `any` admits negative values. */
export const quantity = <D extends Dimension>(dimension: D, sign: Sign = 'positive') =>
  z
    .string({ error: () => wanted(dimension) })
    .max(200, { error: 'is too long for a quantity' })
    .describe(`${dimensions[dimension].label}, e.g. ${dimensions[dimension].examples.join(', ')}`)
    .transform((text, ctx): Quantity<D> => {
      const reading = readQuantity(dimension, text);
      const message = reading.ok ? signMessage(reading.value.value, sign, text) : reading.message;
      if (reading.ok && message === undefined) return reading.value;
      ctx.addIssue({ code: 'custom', message: message ?? wanted(dimension) });
      return z.NEVER;
    });

const wantedRating = 'write a rating in kVA or kW, such as "250 kVA", "200 kW"';

/** A generator's rating: apparent power, or real power in kW, which `real` tells. Both in base units. */
export const generatorRating = () =>
  z
    .string({ error: () => wantedRating })
    .max(200, { error: 'is too long for a quantity' })
    .describe('Rating in kVA, or in kW with a power factor, e.g. 250 kVA, 200 kW')
    .transform((text, ctx): Quantity<'apparentPower'> & { readonly real: boolean } => {
      const apparent = readQuantity('apparentPower', text);
      const real = readQuantity('power', text);
      const value = apparent.ok ? apparent.value.value : real.ok ? real.value.value : undefined;
      const message = value === undefined ? wantedRating : signMessage(value, 'positive', text);
      if (value !== undefined && message === undefined) return { text, value: q(value, 'VA'), real: !apparent.ok };
      ctx.addIssue({ code: 'custom', message: message ?? wantedRating });
      return z.NEVER;
    });

const wantedLevel = 'write a fault level, such as "250 MVA", "10 kA at 20 kV"';

/** Fault level of the network at a bank's high side: apparent power, or a current at its voltage. VA out. */
export const upstreamLevel = () =>
  z
    .string({ error: () => wantedLevel })
    .max(80, { error: 'is too long for a fault level' })
    .describe('Fault level at the high side, e.g. 250 MVA, 10 kA at 20 kV')
    .transform((text, ctx): Quantity<'apparentPower'> => {
      const whole = readQuantity('apparentPower', text);
      const [, amperes = '', volts = ''] = /^(.+?)\s*(?:at|@|,)\s*(.+)$/i.exec(text.trim()) ?? [];
      const [I, U] = [readQuantity('current', amperes), readQuantity('voltage', volts)];
      const value = whole.ok
        ? whole.value.value
        : I.ok && U.ok
          ? Math.sqrt(3) * I.value.value * U.value.value
          : undefined;
      if (value !== undefined && value > 0) return { text, value: q(value, 'VA') };
      ctx.addIssue({ code: 'custom', message: wantedLevel });
      return z.NEVER;
    });

const wantedSize = 'write a conductor size, such as "8 AWG", "350 kcmil", "16 mm2"';

/** The size of a conductor: text in, text and area in mm² out. */
export const conductorSize = () =>
  z
    .string({ error: () => wantedSize })
    .max(40, { error: 'is too long for a size' })
    .describe('Conductor size, e.g. 8 AWG, 350 kcmil, 16 mm2')
    .transform((text, ctx): { readonly text: string; readonly area: number } => {
      const area = readConductorSize(text);
      if (area !== undefined) return { text, area };
      ctx.addIssue({ code: 'custom', message: wantedSize });
      return z.NEVER;
    });

/** A rating that a plate may stamp in groups. */
export const groups = <D extends Dimension>(dimension: D) =>
  z
    .string({ error: () => wanted(dimension) })
    .max(200, { error: 'is too long for a rating' })
    .describe(`${dimensions[dimension].label} as stamped, grouped with - and /`)
    .transform((text, ctx): RatingGroups<D> => {
      const reading = readGroups(dimension, text);
      if (reading.ok) return reading.value;
      ctx.addIssue({ code: 'custom', message: reading.message });
      return z.NEVER;
    });

export interface Range {
  readonly min?: number;
  readonly above?: number;
  readonly max?: number;
  readonly below?: number;
}

/** A pure number within a range, with a message that says the range. */
export function number(range: Range, example: number) {
  const says = `write a number ${rangeText(range)}, such as ${example}`;
  let schema = z.number({ error: says });
  if (range.min !== undefined) schema = schema.min(range.min, { error: says });
  if (range.above !== undefined) schema = schema.gt(range.above, { error: says });
  if (range.max !== undefined) schema = schema.max(range.max, { error: says });
  if (range.below !== undefined) schema = schema.lt(range.below, { error: says });
  return schema.refine((value) => !isMinute(value), { error: says });
}

/** One of a few words. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: () => `must be one of ${values.join(', ')}` });

export const text = (max = 200) =>
  z.string({ error: 'write text in quotes' }).max(max, { error: `is longer than ${max} characters` });

export const flag = () => z.boolean({ error: 'must be true or false' });

const wanted = (dimension: Dimension): string =>
  `write a ${dimensions[dimension].label} with its unit, such as ` +
  `${dimensions[dimension].examples.map((e) => `"${e}"`).join(', ')}`;

function signMessage(value: number, sign: Sign, typed: string): string | undefined {
  if (sign === 'positive' && !(value > 0)) return `"${typed.trim()}" must be above zero`;
  if (sign === 'zero' && value < 0) return `"${typed.trim()}" must not be negative`;
  return undefined;
}

function rangeText({ min, above, max, below }: Range): string {
  const low = above !== undefined ? `above ${above}` : min !== undefined ? `from ${min}` : '';
  const high = below !== undefined ? `below ${below}` : max !== undefined ? `up to ${max}` : '';
  return [low, high].filter(Boolean).join(' ');
}
