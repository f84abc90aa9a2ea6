import { readingSchema, type CaseText } from '@pilgrim/core';
import { z } from 'zod';

const name = (max: number) => z.string({ error: 'write a name' }).trim().min(1, { error: 'write a name' }).max(max);

export const newPosition = z.strictObject({ tag: name(60), name: name(200), area: name(200), plant: name(200) });
export const positionChange = z.strictObject({ tag: name(60).optional(), name: name(200).optional() });
export const newStudy = z.strictObject({ name: name(200) });
export const newRevision = z.strictObject({
  case: z.custom<CaseText>((value) => typeof value === 'object' && value !== null, { error: 'must be a case' }),
  author: z.string().trim().max(200).default('unnamed'),
  note: z.string().trim().max(2000).default(''),
});

const plateText = z.custom<NonNullable<CaseText['plate']>>((value) => typeof value === 'object' && value !== null, {
  error: 'must be a plate',
});
const quantity = z.int({ error: 'write a whole number, zero or more' }).min(0).max(1_000_000);
const days = z.int({ error: 'write a whole number of days, or nothing' }).min(0).max(3650).nullable();
const shelfText = z.string().trim().max(200);
export const newShelfMotor = z.strictObject({
  name: name(200),
  plate: plateText,
  quantity: quantity.default(1),
  place: shelfText.default(''),
  days: days.default(null),
  keptFor: shelfText.default(''),
  price: z.number().min(0).max(1e9).nullable().default(null),
});
export const shelfChange = z.strictObject({
  quantity: quantity.optional(),
  place: shelfText.optional(),
  days: days.optional(),
  keptFor: shelfText.optional(),
});
/** A round of readings, or many of them. */
export const newRounds = z.union([readingSchema, z.array(readingSchema).min(1).max(5000)]);
/** A stand-in for a case's motor and drive. */
export const newStandIn = z.strictObject({ case: newRevision.shape.case });
/** A drive that is there. */
export const newDriveLink = z.strictObject({
  address: z
    .string()
    .trim()
    .regex(/^(\[[0-9a-f:]+\]|[a-z0-9.-]+)(:\d{1,5})?$/i, { error: 'write an address such as 10.0.0.5:502' }),
  unit: z.int().min(0).max(255).default(1),
});
/** Begins a recording, of the stand-in's meter where no address is named; or ends it. */
export const meterOrder = z.discriminatedUnion('do', [
  z.strictObject({
    do: z.literal('record'),
    address: newDriveLink.shape.address.optional(),
    unit: newDriveLink.shape.unit,
  }),
  z.strictObject({ do: z.literal('stop') }),
]);
const moment = z.iso.datetime({ offset: true, error: 'write a time such as 2026-11-02T06:40:00Z' }).optional();
/** A span of a record; the last hour where none is named. */
export const recordAsked = z
  .strictObject({ from: moment, to: moment })
  .refine(({ from, to }) => from === undefined || to === undefined || Date.parse(from) < Date.parse(to), {
    error: '“from” must be before “to”',
  });
const spoiled = z.strictObject({
  load: z.number().min(-3).max(10).optional(),
  supply: z.number().min(0).max(2).optional(),
  phases: z.union([z.literal(2), z.literal(3)], { error: 'must be 2 or 3' }).optional(),
  signal: z.number().min(0).max(24).optional(),
});
export const driveOrder = z.discriminatedUnion('do', [
  z.strictObject({
    do: z.literal('program'),
    table: z.array(z.strictObject({ id: z.string().max(60), number: z.number() })).max(100),
  }),
  z.strictObject({ do: z.enum(['run', 'stop', 'reset', 'cut', 'join']) }),
  z.strictObject({ do: z.literal('drop') }),
  z.strictObject({ do: z.literal('reference'), share: z.number().min(0).max(1) }),
  z.strictObject({ do: z.literal('source'), kind: z.enum(['network', 'analogue']) }),
  z.strictObject({ do: z.literal('spoil'), change: spoiled }),
  z.strictObject({ do: z.literal('allow'), address: z.string().max(300) }),
]);
/** How a list's columns are understood, and what is the same in all its rows. */
export const listChoices = (keys: readonly string[]) =>
  z.strictObject({
    mapping: z.partialRecord(z.enum(keys), z.int().min(0).max(1000)).optional(),
    constants: z.partialRecord(z.enum(keys), z.string().max(200)).optional(),
  });
