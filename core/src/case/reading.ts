import { z } from 'zod';
import { insulationKinds, supports } from '../contract';
import { number, oneOf, text } from './fields';
import { readingFields, readingKeys, type ReadingKey } from './readingFields';

const numbers = Object.fromEntries(
  readingKeys.map((key) => [key, number(readingFields[key].range, readingFields[key].example).optional()]),
) as Record<ReadingKey, z.ZodOptional<z.ZodNumber>>;

/** One round's readings of a position: plain numbers in the units of `readingFields`, with the time they were taken. */
export const readingSchema = z
  .strictObject({
    /** ISO 8601 with its offset. */
    at: z.iso.datetime({ offset: true, error: 'write a time such as "2026-11-02T06:40:00Z"' }),
    by: text(200).optional(),
    note: text(2000).optional(),
    /** How the machine stands, which its limits of vibration rest on. */
    support: oneOf(supports).optional(),
    /** What the winding is made with, which the insulation's correction rests on. */
    winding: oneOf(insulationKinds).optional(),
    ...numbers,
  })
  .refine((r) => readingKeys.some((key) => r[key] !== undefined), { error: 'holds no reading: write at least one' });
export type MotorReading = z.output<typeof readingSchema>;
