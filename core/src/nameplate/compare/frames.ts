import type { ReplacementLine } from '../../case';
import type { Frame } from '../../practice';
import type { Identity, Setting } from './identity';
import { lacking } from '../special';
import { line, missing } from './line';

/** Bases often drilled for both lengths. */
const dualDrilled: readonly (readonly [string, string])[] = [
  ['143', '145'],
  ['182', '184'],
  ['213', '215'],
  ['254', '256'],
  ['284', '286'],
  ['324', '326'],
];

const mm = (v: number): string => `${v.toFixed(1).replace(/\.0$/, '')} mm`;

/** Shaft height, feet, shaft, face and suffixes: what must be packed, drilled or made anew. */
export function frame(old: Identity, next: Identity, { belt, direct }: Setting): ReplacementLine[] {
  const a = old.frame;
  const b = next.frame;
  const wanting = lacking(old.special, next.special).map((part) =>
    line(
      part.part,
      'impossible',
      part.words,
      b?.designation ?? 'none',
      part.part === 'shaft'
        ? 'A special shaft: usually the original maker, or a shaft made to the old one.'
        : `The machine hangs on a ` +
            `${part.words}${part.boltCircle === undefined ? '' : `, bolt circle ${mm(part.boltCircle)}`}: ` +
            `the new motor must have it.`,
    ),
  );
  if (!a || !b) return [missing('frame', a?.designation, b?.designation), ...wanting];
  const pair = [a.designation, b.designation] as const;
  const lines: ReplacementLine[] = [];
  const digits = (f: Frame): string => /\d+/.exec(f.designation)?.[0] ?? '';
  const up = b.shaftHeight - a.shaftHeight;
  if (Math.abs(up) < 0.3)
    lines.push(line('shaft height', 'same', mm(a.shaftHeight), mm(b.shaftHeight), 'The same height.'));
  else if (up < 0)
    lines.push(
      line(
        'shaft height',
        'adaptable',
        mm(a.shaftHeight),
        mm(b.shaftHeight),
        `Shim or pack ${mm(-up)} under the feet.`,
      ),
    );
  else
    lines.push(
      line(
        'shaft height',
        direct && up > 25 ? 'impossible' : 'adaptable',
        mm(a.shaftHeight),
        mm(b.shaftHeight),
        up < 1.5
          ? `${mm(up)} higher: within what a coupling base can be planed or the machine shimmed.`
          : belt
            ? `${mm(up)} higher: the belt centres move; move the base or the slide rails.`
            : `${mm(up)} higher: lower the base or raise the machine.`,
      ),
    );

  const feet = (f: Frame): string | undefined =>
    f.feetAcross === undefined || f.feetAlong === undefined ? undefined : `${mm(f.feetAcross)} × ${mm(f.feetAlong)}`;
  const [fa, fb] = [feet(a), feet(b)];
  if (fa === undefined || fb === undefined) lines.push(missing('foot pattern', fa, fb));
  else {
    const off = Math.max(
      Math.abs((a.feetAcross ?? 0) - (b.feetAcross ?? 0)),
      Math.abs((a.feetAlong ?? 0) - (b.feetAlong ?? 0)),
    );
    const dual = dualDrilled.some((d) => d.includes(digits(a)) && d.includes(digits(b)) && digits(a) !== digits(b));
    const text =
      off < 0.3
        ? 'The same holes.'
        : dual
          ? `${pair.join(' and ')}: bases are often drilled for both; look at the base of the new one.`
          : off <= 3
            ? `${mm(off)} apart: open or slot the holes.`
            : 'Drill the base anew, or take a transition base.';
    lines.push(line('foot pattern', off < 0.3 ? 'same' : 'adaptable', fa, fb, text));
  }

  const shaft = (f: Frame): string | undefined =>
    f.shaftDiameter === undefined || f.shaftLength === undefined
      ? undefined
      : `${mm(f.shaftDiameter)} × ${mm(f.shaftLength)}`;
  const [sa, sb] = [shaft(a), shaft(b)];
  const short =
    b.suffixes.some((s) => s.letter.endsWith('S') && s.letter !== 'TSC') &&
    !a.suffixes.some((s) => s.letter.endsWith('S'));
  lines.push(...wanting);
  if (wanting.some((l) => l.item === 'shaft')) {
    // The shaft is answered.
  } else if (sa === undefined || sb === undefined) lines.push(missing('shaft', sa, sb));
  else if (short && belt)
    lines.push(line('shaft', 'impossible', sa, sb, 'A short shaft, for direct coupling only: it cannot carry a belt.'));
  else {
    const same =
      Math.abs((a.shaftDiameter ?? 0) - (b.shaftDiameter ?? 0)) < 0.05 &&
      Math.abs((a.shaftLength ?? 0) - (b.shaftLength ?? 0)) < 1;
    lines.push(
      line(
        'shaft',
        same ? 'same' : 'adaptable',
        sa,
        sb,
        same
          ? 'The same shaft.'
          : `Another bore: new ${belt ? 'sheave bushing' : 'coupling half or bushing'}` +
              `${a.system !== b.system ? ', and metric or inch key' : ''}.`,
      ),
    );
  }

  const face = old.special.find((part) => part.part === 'face');
  if (face && !wanting.some((l) => l.item === 'face'))
    lines.push(line('face', 'same', face.words, face.words, 'The same face.'));
  else if (!face && next.special.some((part) => part.part === 'face'))
    lines.push(line('face', 'better', 'none', b.designation, 'The face is not needed here.'));
  const odd = a.suffixes.filter((s) => s.kind === 'adaptable' && !b.suffixes.some((t) => t.letter === s.letter));
  if (odd.length > 0)
    lines.push(
      line(
        'suffix',
        'adaptable',
        odd.map((s) => s.letter).join(', '),
        b.designation,
        `${odd.map((s) => `${s.letter}: ${s.meaning}`).join('; ')}. Measure the old motor; it can often be adapted.`,
      ),
    );
  return lines;
}
