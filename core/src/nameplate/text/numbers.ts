/** Patterns of numbers as plates and e-mails write them, and their plain spelling. */

const vulgar = '[½¼¾⅓⅔⅛⅜⅝⅞]';
export const number = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
/** "3/4", "1-1/2", "1 1/2", "1½", else a decimal. */
export const rating = String.raw`(?:\d+[- ](?:1/[2348]|3/[48]|2/3)|\d*\s?${vulgar}|(?:1/[23468]|3/[48]|2/3)(?![\d/])|${number})`;

/** Values joined with hyphens and slashes, each perhaps with its unit and a mark of its connection. */
export const groupsOf = (unit: string, marks = ''): string => {
  const before = marks === '' ? '' : String.raw`(?:${marks}\s*)?`;
  // A pair of marks behind the last value ("400/690 V Δ/Y") is no mark of that value.
  const after = marks === '' ? '' : String.raw`(?:${marks}(?!\s*[-/]\s*${marks})\s*)?`;
  const one = String.raw`${before}${number}\s*(?:${unit})?\s*${after}`;
  return String.raw`${one}(?:\s*[-–/]\s*${one})*`;
};

/** Δ, Y and their words and stand-ins. */
export const connectionMarks = String.raw`(?:[Δ∆△▵λΥ⅄]|(?:DELTA|STAR|WYE|YY|2Y|[DY])(?![A-Za-z0-9]))`;

/** A decimal comma becomes a point; a comma before three digits is a thousand where only that makes sense. */
export function plainNumber(text: string, thousands = false): string {
  const t = text.trim().replace(/^[.,]/, '0.');
  if (thousands && /^\d{1,3},\d{3}$/.test(t)) return t.replace(',', '');
  return t.replace(',', '.');
}

/** "79 - 72 / 36" → "79-72/36", numbers plain, units and marks gone. */
export function plainGroups(text: string, thousands = false): string {
  return text
    .split('/')
    .map((group) => (group.match(new RegExp(number, 'g')) ?? []).map((n) => plainNumber(n, thousands)).join('-'))
    .filter(Boolean)
    .join('/');
}

/** A share given as 0.936, 93.6 or 93,6 %. */
export function plainShare(text: string): number {
  const value = Number(plainNumber(text));
  return Number((value > 1.2 ? value / 100 : value).toPrecision(6));
}
