import type { Likeness, ReplacementLine } from '../../case';

export const line = (
  item: string,
  likeness: Likeness,
  old: string | undefined,
  next: string | undefined,
  text: string,
): ReplacementLine => ({
  item,
  likeness,
  old: old ?? 'not on the plate',
  new: next ?? 'not said',
  text,
});

export const missing = (item: string, old: string | undefined, next: string | undefined): ReplacementLine =>
  line(
    item,
    'unknown',
    old,
    next,
    old === undefined ? 'The old plate does not say it: measure or look at the motor.' : 'Ask for it before ordering.',
  );
