import type { Plate } from '../case';
import { remembered } from '../contract';

/** Where the marks come from that certified motors carry; entered from memory. */
export const hazardSource = remembered(
  'standard',
  'NFPA 70 (National Electrical Code), articles 500 to 506, and IEC 60079-0',
  '2023 and 2017',
  'marking of equipment for explosive atmospheres',
);

const roman = String.raw`(?:I{1,3}|[1-3])`;
const separator = String.raw`[\s.,:;/-]*`;
const temperature = String.raw`T\s?[1-6][A-D]?`;
/** The mark of a certified part, in its European, older European and American spelling. */
const mark = String.raw`\b[AE]?Ex`;
/** Types of protection of IEC 60079 in old (d, nA, tD) and new (db, ec, tb) spellings, written apart from the mark. */
const apart = String.raw`(?:d[abcei]?|de|e[bc]?|i[abc]|m[abc]?|n[ACLR]?|o[bc]?|p(?:xb?|yb?|zc?|D)?|q|s|t[abcD]?|h)`;
/** Those written onto the mark (Exd, ExeII): only where no ordinary word is meant, as "Ext." for external. */
const joined = String.raw`(?:d[abce]?|de|e[bc]?|n[ACR]?|tD|i[ab]|m[ab])`;

/** Marks that nothing but a motor for explosive atmospheres carries; tried in every text of a plate. */
const certain: readonly RegExp[] = [
  /\bexplo(?:sion|siv)\w*/giu,
  /\b(?:expl?|ex|x)[\s.-]*pr(?:oo)?f\w*/giu,
  /\bexpl\b/giu,
  /\bflame[\s-]?pr(?:oo)?f\w*/giu,
  /\b(?:increased\s+safety|non[\s-]?sparking|non[\s-]?incendive|intrinsically\s+safe)\b/giu,
  /\b(?:druckfest|schlagwetter|anti-?d[eé]flagrant)\w*/giu,
  /\bdust[\s-]*(?:ign(?:ition)?|expl(?:osion)?)[\s.-]*pr(?:oo)?f\w*/giu,
  /\bhaz(?:ardous|\.)?[\s-]*(?:loc(?:ations?|\.)?|areas?|duty|atmospheres?|env(?:ironments?|\.)?)(?!\w)/giu,
  /\b(?:hazloc|atex|iecex|ukex|msha)\b/giu,
  /\bEEx\w*/gu,
  new RegExp(String.raw`${mark}[\s.:-]+["']?${apart}["']?(?!\w)`, 'gu'),
  new RegExp(String.raw`${mark}${joined}(?![a-z])`, 'gu'),
  // In capitals throughout only with more of the mark behind it: EX D IIC T4.
  /\b[AE]?EX[\s.:-]*[A-Z]{1,3}(?:[\s.-]+[A-Z]{1,2})?[\s.-]*I{1,3}\s?[ABC]?\b/gu,
  // Class I Division 1 Group D, CL.1 GRP. C & D, CL I, C1D1.
  new RegExp(String.raw`\bCL(?:ASS|S)?${separator}I{1,3}(?![A-Z0-9])`, 'giu'),
  new RegExp(String.raw`\bCL(?:ASS|S)?${separator}${roman}${separator}(?:DIV|DV|GR(?:OU)?P?|ZONE|ZN)`, 'giu'),
  /\bC(?:[1-3]|I{1,3})\s?[/,-]?\s?D[12]\b/giu,
  new RegExp(String.raw`\bDIV(?:ISION|N|S)?${separator}(?:1|2|I{1,2})(?![A-Z0-9])`, 'giu'),
  new RegExp(String.raw`\bZO?NE?${separator}(?:0|1|2|20|21|22)(?![0-9])`, 'giu'),
  // II 2 G, II 3 D, I M2: equipment group and category.
  /\bII\s?[123]\s?(?:\/\s?[123]\s?)?(?:GD|G|D)\b/gu,
  /\bI\s?M\s?[12]\b/gu,
  // IIC T4, IIIC T125 °C.
  new RegExp(
    String.raw`\bI{2,3}\s?[ABC](?:\s?[+/&]\s?H2)?[\s,/-]+(?:${temperature}|T\s?\d{2,3}\s?°?\s?C)(?!\w)`,
    'giu',
  ),
  // T-code T3B, temperature class T4, and T2A to T4A, which nothing else is called.
  new RegExp(
    String.raw`\b(?:T|TEMP(?:ERATURE)?)[\s.-]*(?:CODE|CLASS|CL|ID(?:ENT(?:IFICATION)?)?)[\s.:#-]*(?:NO\.?\s*)?${temperature}\b`,
    'giu',
  ),
  /\bT(?:2[A-D]|3[A-C]|4A)\b/gu,
];

/** Shorter marks, certain only where a plate speaks of its build: elsewhere they may be part of a name. */
const inBuild: readonly RegExp[] = [
  /\b(?:TE)?XP(?:FC|NV|BC)?\b/giu,
  /\bX\.\s?P\./giu,
  /\bEP(?:FC|NV)\b/gu,
  /\bEXP\b/gu,
  /\bD\.?I\.?P\b/gu,
  /\bEx\b(?!\s+[a-z]{3})/gu,
];

/** Said just before a mark that it is not so: "not for hazardous locations", "non-explosive". */
const denied =
  /\b(?:not?|non|without)[\s-]+(?:(?:approved|certified|intended|listed|rated|suitable|made)[\s-]+)?(?:(?:for|in)[\s-]+)?(?:use[\s-]+in[\s-]+)?(?:an?[\s-]+)?$/iu;

/** The texts of a plate that speak of its build, and those that may hold anything. */
const buildFields = ['enclosure', 'protection', 'remarks', 'kind', 'text'] as const;
const otherFields = ['model', 'cooling', 'duty', 'thermalProtection', 'mounting'] as const;

export interface HazardMark {
  /** The words as stamped. */
  readonly words: string;
  /** Field of the plate, without the leading "plate.". */
  readonly field: string;
}

/**
 * The words by which a plate says that its motor was made for an explosive atmosphere; undefined where it says none. A
 * permission is
 * never read from them: only that an ordinary motor must not take its place.
 */
export function hazardMark(plate: Plate & { readonly text?: string }): HazardMark | undefined {
  const find = (field: string, text: string | undefined, marks: readonly RegExp[]): HazardMark | undefined => {
    if (text === undefined) return undefined;
    for (const mark of marks)
      for (const found of text.matchAll(mark))
        if (!denied.test(text.slice(0, found.index))) return { words: found[0].trim(), field };
    return undefined;
  };
  for (const field of buildFields) {
    const found = find(field, plate[field], [...certain, ...inBuild]);
    if (found) return found;
  }
  for (const field of otherFields) {
    const found = find(field, plate[field], certain);
    if (found) return found;
  }
  return undefined;
}
