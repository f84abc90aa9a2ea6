import type { Plate } from '../case';
import type { Frame, Practice } from '../practice';

/** A shaft or face that the machine is built around, and that a plain motor does not have. */
export interface SpecialPart {
  readonly part: 'shaft' | 'face';
  /** Suffix letters as frames carry them: Z, JM, C … */
  readonly letter: string;
  readonly words: string;
  /** Bolt circle of a standard face in mm, where the frame tells it. */
  readonly boltCircle: number | undefined;
  /** Diameter in mm of the shaft that goes with a face, where the frame tells it. */
  readonly shaftDiameter?: number | undefined;
  /** Field of the plate that says so, without the leading "plate.". */
  readonly field: 'frame' | 'mounting' | 'enclosure' | 'remarks';
}

const faces: ReadonlySet<string> = new Set(['C', 'D']);

/** The same said in words beside the frame: "C-FACE FOOTLESS", "JM PUMP MOTOR". */
const spelled: readonly (readonly [RegExp, Pick<SpecialPart, 'part' | 'letter' | 'words'>])[] = [
  [/\bC[\s-]?FACE/i, { part: 'face', letter: 'C', words: 'C face' }],
  [/\bD[\s-]?FLANGE/i, { part: 'face', letter: 'D', words: 'D flange' }],
  [/\bJM\b/, { part: 'shaft', letter: 'JM', words: 'close-coupled pump shaft, JM' }],
  [/\bJP\b/, { part: 'shaft', letter: 'JP', words: 'close-coupled pump shaft, JP' }],
  [/\bspecial\s+shaft/i, { part: 'shaft', letter: 'Z', words: 'special shaft' }],
];

/** The special shaft and face a plate speaks of, by its frame's suffixes or in words; empty for a plain motor. */
export function specialParts(plate: Plate, frame: Frame | undefined): SpecialPart[] {
  const parts = specialOfFrame(frame);
  for (const field of ['mounting', 'enclosure', 'remarks'] as const) {
    const text = plate[field];
    if (text === undefined) continue;
    for (const [words, part] of spelled)
      if (words.test(text) && !parts.some((p) => p.letter === part.letter))
        parts.push({ ...part, boltCircle: undefined, field });
  }
  return parts;
}

/** The special shaft and face that a frame's suffixes name. */
export function specialOfFrame(frame: Frame | undefined): SpecialPart[] {
  return (frame?.suffixes ?? []).flatMap(({ letter, meaning, kind }): SpecialPart[] => {
    const face = faces.has(letter);
    if (!face && kind !== 'special') return [];
    return [
      {
        part: face ? 'face' : 'shaft',
        letter,
        words: meaning,
        shaftDiameter: face ? frame?.shaftDiameter : undefined,
        boltCircle: face ? frame?.faceBoltCircle : pumpCircle(letter, frame?.designation ?? ''),
        field: 'frame',
      },
    ];
  });
}

/** Bolt circle in mm of a JM or JP face: 5 7/8, 7 1/4 or 11 in by the frame (NEMA MG 1 18.250, from memory). */
function pumpCircle(letter: string, designation: string): number | undefined {
  if (letter !== 'JM' && letter !== 'JP') return undefined;
  const digits = Number(/\d+/.exec(designation)?.[0] ?? NaN);
  return digits <= 184 ? 149.2 : digits <= 256 ? 184.2 : digits <= 365 ? 279.4 : undefined;
}

/** Those of the old motor's special parts that another lacks: it cannot stand in the old one's place. */
export const lacking = (parts: readonly SpecialPart[], there: readonly SpecialPart[]): readonly SpecialPart[] =>
  parts.filter((wanted) => !there.some((has) => has.letter === wanted.letter && sameCircle(wanted, has)));

const sameCircle = (a: SpecialPart, b: SpecialPart): boolean =>
  alike(a.boltCircle, b.boltCircle) && alike(a.shaftDiameter, b.shaftDiameter);

const alike = (a: number | undefined, b: number | undefined): boolean =>
  a === undefined || b === undefined || Math.abs(a - b) < 0.3;

/** The frame of a plate, read by the tradition it was made in, else by the one asked. */
export const frameOf = (
  plate: Pick<Plate, 'frame'>,
  made: Practice,
  asked: Practice,
  poles: number | undefined,
): Frame | undefined =>
  plate.frame === undefined ? undefined : (made.frame(plate.frame, poles) ?? asked.frame(plate.frame, poles));
