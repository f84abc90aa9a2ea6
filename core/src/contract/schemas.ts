import { z } from 'zod';
import type { UnitId } from '../quantity';
import { levels } from './findings';
import { sourceKinds } from './source';
import { stations } from './stations';

/** What a schema describes, to be read only, all the way down. */
export type Frozen<T> = T extends string | number | boolean | null | undefined
  ? T
  : { readonly [K in keyof T]: Frozen<T[K]> };

export const pair = z.tuple([z.number(), z.number()]);
const station = z.enum(stations);

export const sourceSchema = z.strictObject({
  kind: z.enum(sourceKinds),
  title: z.string(),
  edition: z.string().optional(),
  part: z.string().optional(),
  fromMemory: z.boolean(),
});

/** An input nobody gave, and why this value was taken instead. */
const assumed = z.strictObject({ field: z.string(), value: z.union([z.number(), z.string()]), why: z.string() });
export type Assumed = Frozen<z.output<typeof assumed>>;

/**
 * Where one input of a figure came from: a field of the case, a house rule, a table, or the subject's catalogue row.
 */
const origin = z.strictObject({
  field: z.string().optional(),
  rule: z.string().optional(),
  source: sourceSchema.optional(),
  text: z.string(),
});
export type Origin = Frozen<z.output<typeof origin>>;

export const figureSchema = z.strictObject({
  value: z.number(),
  unit: z.string(),
  text: z.string(),
  symbol: z.string(),
  formula: z.string(),
  inputs: z.record(z.string(), z.union([z.string(), z.number()])),
  origins: z.record(z.string(), origin),
  source: sourceSchema,
  estimate: z.boolean(),
  band: pair.nullable(),
  assumed: z.array(assumed),
  station,
});
/** A figure with its working. What core makes carries a unit it knows; a file may hold one of a later version. */
export type Figure = Frozen<Omit<z.output<typeof figureSchema>, 'unit'>> & { readonly unit: UnitId };

/** What a field may have meant: a value to put there instead, and why. */
const suggestion = z.strictObject({ field: z.string(), value: z.union([z.string(), z.number()]), why: z.string() });
export type Suggestion = Frozen<z.output<typeof suggestion>>;

export const findingSchema = z.strictObject({
  id: z.string(),
  level: z.enum(levels),
  text: z.string(),
  fields: z.array(z.string()),
  figures: z.array(z.string()),
  source: sourceSchema.nullable(),
  station,
  /** True for a doubt about what was read, which the engineer may accept with a reason. */
  doubt: z.boolean(),
  suggestions: z.array(suggestion),
  /** Why the engineer let a doubt stand; null where nobody did. */
  accepted: z.string().nullable(),
});
export type Finding = Frozen<z.output<typeof findingSchema>>;

/** Something worked out that is words, not a number: how to connect, which class, which frame is standard. */
export const factSchema = z.strictObject({
  id: z.string(),
  label: z.string(),
  text: z.string(),
  fields: z.array(z.string()),
  figures: z.array(z.string()),
  source: sourceSchema,
  estimate: z.boolean(),
  station,
});
export type Fact = Frozen<z.output<typeof factSchema>>;
