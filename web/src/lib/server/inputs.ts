import type { CaseText } from '@pilgrim/core';
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
