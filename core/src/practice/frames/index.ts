import type { Source } from '../../contract';
import { iecFrames, iecFrameSource } from './iec';
import {
  nemaFaces,
  nemaFirstFrames,
  nemaFirstFrameSource,
  nemaFrames,
  nemaFrameSource,
  nemaSuffixes,
  nemaUFrames,
  nemaUFrameSource,
} from './nema';

export type FrameSystem = 'nema' | 'iec';

export interface Suffix {
  readonly letter: string;
  readonly meaning: string;
  /** Whether another motor's frame can stand in for it. */
  readonly kind: 'plain' | 'adaptable' | 'special';
}

/** A frame designation understood: what the standards fix about it, in mm. Dimensions they leave open are absent. */
export interface Frame {
  readonly designation: string;
  readonly system: FrameSystem;
  readonly series: 'T' | 'U' | 'first' | 'small' | 'iec' | 'unlisted';
  readonly shaftHeight: number;
  readonly feetAcross?: number;
  readonly feetAlong?: number;
  readonly shoulderToFoot?: number;
  readonly footHole?: number;
  readonly shaftDiameter?: number;
  readonly shaftLength?: number;
  readonly suffixes: readonly Suffix[];
  /** Bolt circle of a standard C face, mm. */
  readonly faceBoltCircle?: number;
  readonly source: Source;
}

const inch = 25.4;
const iecHeights: readonly number[] = [
  56, 63, 71, 80, 90, 100, 112, 132, 160, 180, 200, 225, 250, 280, 315, 355, 400, 450,
];
const nemaDigits: ReadonlySet<string> = new Set(
  [...nemaFrames, ...nemaUFrames, ...nemaFirstFrames].map(([name]) => name.replace(/\D+$/, '')).concat('66'),
);

/**
 * Reads a frame designation of either tradition: "286T", "L56C", "284 TSC", "160L", "IEC 132 M". Digits both use ("56")
 * go to the preferred one. Undefined where the text is no frame.
 */
export function readFrame(text: string, prefer: FrameSystem = 'nema', poles?: number): Frame | undefined {
  const plain = text.trim().toUpperCase().replace(/\s+/g, '');
  const saysIec = /^IEC/.test(plain);
  // A letter or two before the digits is the maker's own ("L56", "F284T"); T and U belong behind them.
  const match = /^(?:IEC|FR\.?|[A-SV-Z]{0,2})?-?(\d{2,4})(.*)$/.exec(plain);
  const digits = match?.[1];
  const tail = match?.[2] ?? '';
  if (digits === undefined || tail.length > 8) return undefined;
  const height = Number(digits);
  const mayBeIec = iecHeights.includes(height) && /^([SMLX]{0,2}\d?([-/].*)?|[A-Z]\d?)?$/.test(tail);
  const mayBeNema = nemaDigits.has(digits) || /^[TU]/.test(tail) || (height >= 5000 && height < 7000);
  if (saysIec || (mayBeIec && (prefer === 'iec' || !mayBeNema || /^[SMLX]/.test(tail))))
    return iecHeights.includes(height) ? iecFrame(digits, tail, poles) : undefined;
  if (mayBeNema) return nemaFrame(digits, tail);
  // Digits no list knows still say a height in the plate's own tradition.
  return prefer === 'nema' && /^[A-Z]*$/.test(tail) ? nemaFrame(digits, tail) : undefined;
}

function nemaFrame(digits: string, tail: string): Frame {
  const letters = tail.replace(/[^A-Z]/g, '');
  const series = letters.startsWith('T') ? 'T' : letters.startsWith('U') ? 'U' : '';
  const short = /^[TU]S/.test(letters);
  const name = `${digits}${series}`;
  const listed = seriesOfNema(digits, series).flatMap((of) => {
    const row = (short && of.rows.find(([n]) => n === `${name}S`)) || of.rows.find(([n]) => n === name);
    return row ? [{ ...of, row }] : [];
  })[0];
  const suffixes = suffixesOf(letters);
  const faced = suffixes.some((s) => s.letter === 'C');
  const circle = faced ? nemaFaces.find(([of]) => of.test(digits))?.[1] : undefined;
  const height = digits.length === 2 ? Number(digits) / 16 : Number(digits.slice(0, 2)) / 4;
  const base = {
    designation: `${digits}${tail}`,
    system: 'nema' as const,
    shaftHeight: (listed?.row[1] ?? height) * inch,
    suffixes,
    ...(circle === undefined ? {} : { faceBoltCircle: circle * inch }),
  };
  if (!listed) return { ...base, series: 'unlisted', source: nemaFrameSource };
  const [, , across, along, shoulder, hole, shaft, length] = listed.row;
  return {
    ...base,
    series: listed.series,
    feetAcross: across * inch,
    feetAlong: along * inch,
    shoulderToFoot: shoulder * inch,
    footHole: hole * inch,
    // A special shaft is whatever its maker made it.
    ...(suffixes.some((s) => s.kind === 'special') ? {} : { shaftDiameter: shaft * inch, shaftLength: length * inch }),
    source: listed.source,
  };
}

/**
 * Lists in which a designation may stand: digits alone are of the first series, but for the few sizes the U series
 * kept without its letter.
 */
function seriesOfNema(digits: string, letter: 'T' | 'U' | '') {
  if (digits.length === 2) return [{ series: 'small', rows: nemaFrames, source: nemaFrameSource }] as const;
  if (letter === 'T') return [{ series: 'T', rows: nemaFrames, source: nemaFrameSource }] as const;
  const u = { series: 'U', rows: nemaUFrames, source: nemaUFrameSource } as const;
  const first = { series: 'first', rows: nemaFirstFrames, source: nemaFirstFrameSource } as const;
  return letter === 'U' ? [u] : [u, first];
}

function suffixesOf(letters: string): Suffix[] {
  const found: Suffix[] = [];
  let rest = letters;
  while (rest !== '') {
    const known = nemaSuffixes.find(([letter]) => rest.startsWith(letter));
    found.push(
      known
        ? { letter: known[0], meaning: known[1], kind: known[2] }
        : { letter: rest.charAt(0), meaning: 'a letter of the maker', kind: 'adaptable' },
    );
    rest = rest.slice(known?.[0].length ?? 1);
  }
  return found;
}

function iecFrame(digits: string, tail: string, poles: number | undefined): Frame {
  const size = /^[SMLX]{1,2}/.exec(tail)?.[0] ?? '';
  const height = Number(digits);
  const rows = iecFrames.filter(([, h]) => h === height);
  const row = rows.find(([name]) => name === `${digits}${size}`) ?? (rows.length === 1 ? rows[0] : undefined);
  const common = row ?? rows[0];
  const base = {
    designation: `${digits}${tail}`,
    system: 'iec' as const,
    shaftHeight: height,
    suffixes: [],
    source: iecFrameSource,
  };
  if (!common) return { ...base, series: 'unlisted' };
  const [, , across, , shoulder, hole, shaft, length, fastShaft, fastLength] = common;
  const twoPole = poles !== undefined && poles <= 2;
  return {
    ...base,
    series: 'iec',
    feetAcross: across,
    ...(row ? { feetAlong: row[3] } : {}),
    shoulderToFoot: shoulder,
    footHole: hole,
    shaftDiameter: twoPole ? fastShaft : shaft,
    shaftLength: twoPole ? fastLength : length,
  };
}

/** Every listed frame of a system, for finding one by what was measured. */
export function listedFrames(system: FrameSystem, poles?: number): readonly Frame[] {
  const names = (system === 'nema' ? [...nemaFrames, ...nemaUFrames, ...nemaFirstFrames] : iecFrames).map(([n]) => n);
  return names.flatMap((name) => readFrame(name, system, poles) ?? []);
}
