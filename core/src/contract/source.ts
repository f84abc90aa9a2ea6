export const sourceKinds = [
  'standard',
  'code',
  'textbook',
  'common-practice',
  'definition',
  'given',
  'catalogue',
  'house-rule',
  'model',
] as const;
export type SourceKind = (typeof sourceKinds)[number];

/** Where a number or a formula comes from. `fromMemory` says that nobody had the document open when it was entered. */
export interface Source {
  readonly kind: SourceKind;
  readonly title: string;
  readonly edition?: string;
  readonly part?: string;
  readonly fromMemory: boolean;
}

/** Mechanics and units: true by definition, no document needed. */
export const definition = (title: string, part?: string): Source => ({
  kind: 'definition',
  title,
  part,
  fromMemory: false,
});

/** A rule of thumb of the trade, without a document behind it. */
export const commonPractice = (title: string): Source => ({ kind: 'common-practice', title, fromMemory: false });

/** A simplification of our own, named so that it can be judged. */
export const model = (title: string, part?: string): Source => ({ kind: 'model', title, part, fromMemory: false });

/** A standard's or code's clause or table, entered from memory. */
export const remembered = (
  kind: 'standard' | 'code' | 'textbook',
  title: string,
  edition: string,
  part: string,
): Source => ({ kind, title, edition, part, fromMemory: true });

/** A house rule that sets a number, with its reason. */
export const houseRule = (title: string, reason: string): Source => ({
  kind: 'house-rule',
  title,
  part: reason,
  fromMemory: false,
});

/** A value together with who prescribes it. */
export interface Prescribed<T> {
  readonly value: T;
  readonly source: Source;
}

/** "NFPA 70, 2023, Table 430.250 (from memory)" */
export function cite(source: Source): string {
  const parts = [source.title, source.edition, source.part].filter((p) => p !== undefined && p !== '');
  return parts.join(', ') + (source.fromMemory ? ' (from memory)' : '');
}
