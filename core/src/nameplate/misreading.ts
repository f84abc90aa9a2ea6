import type { Plate } from '../case';
import { practices, type Practice } from '../practice';
import { readGroups, readQuantity } from '../quantity';
import { doubtsOf, type Doubt } from './doubts';
import { readingsOf } from './readings';

/** One stamped value read otherwise, which would lay a doubt to rest. */
export interface Misreading {
  /** Field of the plate, without the leading "plate.". */
  readonly field: string;
  readonly value: string | number;
  readonly why: string;
}

export interface Doubted extends Doubt {
  readonly misreadings: readonly Misreading[];
}

/** Doubts of a plate, each with the misreadings that would explain it without raising another. */
export function doubtPlate(plate: Plate, practice: Practice): Doubted[] {
  const doubts = doubtsOf(readingsOf(plate, practice), practice);
  if (doubts.length === 0) return [];
  const fields = new Set(doubts.flatMap((d) => d.fields));
  const here = new Set(doubts.map(keyOf));
  const explained = alterations(plate, fields, practice).flatMap((alteration) => {
    const left = new Set(doubtsOf(readingsOf(alteration.plate, practice), practice).map(keyOf));
    const fresh = [...left].some((k) => !here.has(k));
    return fresh || left.size >= here.size ? [] : [{ ...alteration, left }];
  });
  const ranked = explained.toSorted((a, b) => a.left.size - b.left.size || a.rank - b.rank);
  return doubts.map((doubt) => ({
    ...doubt,
    misreadings: ranked
      .filter((a) => !a.left.has(keyOf(doubt)))
      .filter((a, _, all) => a.left.size === all[0]?.left.size)
      .slice(0, 4)
      .map(({ field, value, why }) => ({ field, value, why })),
  }));
}

/** The same doubt about the same block; its numbers may change. */
const keyOf = (d: Doubt): string => `${d.id} ${d.fields[0]?.startsWith('alternate.') ? 2 : 1}`;

interface Alteration extends Misreading {
  readonly plate: Plate;
  /** How likely such a slip is; lower is likelier. */
  readonly rank: number;
}

type Slip = Pick<Alteration, 'why' | 'rank'>;

interface Variant extends Slip {
  readonly text: string;
}

/** Every plate that differs by one likely slip in one of the fields. */
function alterations(plate: Plate, fields: ReadonlySet<string>, practice: Practice): Alteration[] {
  const found: Alteration[] = [];
  const add = (field: string, value: string | number, slip: Slip, changed: Plate | undefined): void => {
    if (changed) found.push({ field, value, why: slip.why, rank: slip.rank, plate: changed });
  };
  const asked = <K extends string>(list: readonly K[]): K[] => list.filter((field) => fields.has(field));

  for (const field of asked(groupFields))
    for (const v of groupVariants(plate[field]?.text, field))
      add(field, v.text, v, withGroups(plate, field, v.text, practice));
  for (const field of asked(shareFields)) {
    const percent = field !== 'powerFactor' && field !== 'serviceFactor';
    const value = plate[field];
    if (value === undefined) continue;
    for (const v of digitVariants(String(Number((percent ? value * 100 : value).toPrecision(4))))) {
      const number = Number((Number(v.text) / (percent ? 100 : 1)).toPrecision(6));
      if (likelyShare(field, number, practice)) add(field, number, v, { ...plate, [field]: number });
    }
  }
  for (const field of asked(['maxSpeed', 'temperatureRise', 'frequency'] as const))
    for (const v of quantityVariants(plate[field]?.text, field)) {
      const read = readQuantity(quantityOf[field], v.text);
      if (read.ok) add(field, v.text, v, { ...plate, [field]: read.value });
    }
  if (fields.has('frame'))
    for (const v of digitVariants(plate.frame).filter((x) => listed(x.text, practice)))
      add('frame', v.text, v, { ...plate, frame: v.text });
  if (fields.has('codeLetter') && plate.codeLetter !== undefined)
    for (const letter of lookalikeLetters[plate.codeLetter.toUpperCase()] ?? '')
      add(
        'codeLetter',
        letter,
        { why: `${letter} read as ${plate.codeLetter}`, rank: 3 },
        { ...plate, codeLetter: letter },
      );
  if (fields.has('bearings.driveEnd'))
    for (const v of digitVariants(plate.bearings?.driveEnd).filter((x) => !x.text.includes('.')))
      add('bearings.driveEnd', v.text, v, { ...plate, bearings: { ...plate.bearings, driveEnd: v.text } });
  const second = plate.alternate;
  for (const field of blockFields.filter((f) => fields.has(`alternate.${f}`)))
    for (const v of groupVariants(second?.[field]?.text, field)) {
      const alternate = second && withGroups(second, field, v.text, practice);
      add(`alternate.${field}`, v.text, v, alternate && { ...plate, alternate });
    }
  return found;
}

const blockFields = ['power', 'voltage', 'current', 'speed'] as const;
const groupFields = [...blockFields, 'powerAlso', 'serviceFactorCurrent'] as const;
const shareFields = [
  'efficiency',
  'efficiencyMinimum',
  'efficiencyThreeQuarter',
  'efficiencyHalf',
  'powerFactor',
  'serviceFactor',
] as const;
const quantityOf = { maxSpeed: 'speed', temperatureRise: 'temperatureRise', frequency: 'frequency' } as const;

/** 50 is taken for 60 more often than its digits are mistaken. */
const quantityVariants = (text: string | undefined, field: keyof typeof quantityOf): Variant[] => {
  if (field !== 'frequency') return digitVariants(text);
  const other = text?.startsWith('50') ? '60 Hz' : '50 Hz';
  return [{ text: other, why: `${other} read as ${text}`, rank: 2 }];
};

function likelyShare(field: (typeof shareFields)[number], value: number, practice: Practice): boolean {
  if (field === 'serviceFactor') return value >= 1 && value <= 1.5;
  return value > 0.3 && value < 1 && (field !== 'efficiency' || nominal(value, practice));
}

const listed = (frame: string, practice: Practice): boolean =>
  (practice.frame(frame)?.series ?? 'unlisted') !== 'unlisted';

const nominal = (eta: number, practice: Practice): boolean =>
  practice.nominalEfficiencies?.value.some((n) => Math.abs(n - eta) < 0.0006) ?? true;

/** What is offered instead must be something plates carry: a standard rating, a motor's voltage, a motor's speed. */
function likely(field: GroupField, values: readonly number[], practice: Practice): boolean {
  const among = (list: readonly number[], within: number): boolean =>
    values.every((v) => list.some((x) => Math.abs(x / v - 1) < within));
  if (field === 'power')
    return (
      among(
        practices.flatMap((p) => p.ratings),
        0.011,
      ) || values.every((v) => v < 750)
    );
  if (field === 'voltage') return among(practice.motorVoltages, 0.012);
  return field !== 'speed' || values.every((v) => v > 200 && v < 3600 && Number.isInteger(v));
}

type GroupField = (typeof groupFields)[number];
const dimensionOf = {
  power: 'power',
  powerAlso: 'power',
  voltage: 'voltage',
  current: 'current',
  serviceFactorCurrent: 'current',
  speed: 'speed',
} as const;

/** The plate with one rating read otherwise, where plates carry such a value. */
function withGroups<P extends object>(plate: P, field: GroupField, text: string, practice: Practice): P | undefined {
  const read = readGroups(dimensionOf[field], text);
  return read.ok && likely(field, read.value.groups.flat(), practice) ? { ...plate, [field]: read.value } : undefined;
}

function groupVariants(text: string | undefined, field: GroupField): Variant[] {
  if (text === undefined) return [];
  const variants = digitVariants(text);
  if (field === 'power' || field === 'powerAlso') {
    if (/hp/i.test(text)) variants.push({ text: text.replace(/hp/i, 'kW'), why: 'kW typed as hp', rank: 1 });
    else if (/kw/i.test(text)) variants.push({ text: text.replace(/kw/i, 'hp'), why: 'hp typed as kW', rank: 1 });
  }
  const [numbers, unit] = splitUnit(text);
  const groups = numbers.split('/');
  if (field === 'current' || field === 'serviceFactorCurrent')
    for (const [factor, why] of otherConnection)
      variants.push({ text: `${scaled(numbers, factor)} ${unit}`, why, rank: 1 });
  const all = numbers.match(/\d+(?:[.,]\d+)?/g) ?? [];
  if (all.length > 1 && all.every((n) => /^\d{2,}$/.test(n)))
    variants.push({
      text: `${scaled(numbers, 0.1)} ${unit}`,
      why: `${scaled(numbers, 0.1)} read as ${numbers} (the points lost)`,
      rank: 3,
    });
  if (groups.length === 2)
    variants.push({
      text: `${groups
        .toReversed()
        .map((g) => g.trim())
        .join('/')} ${unit}`,
      why: field === 'current' ? 'each current stands with the other voltage' : 'the two values in the other order',
      rank: 1,
    });
  return variants;
}

/** A current copied from the plate's other connection. */
const otherConnection: readonly (readonly [number, string])[] = [
  [0.5, 'the current of the lower voltage, twice this one'],
  [2, 'the current of the higher voltage, half of this one'],
  [1 / Math.sqrt(3), 'the current of delta, √3 times this one'],
  [Math.sqrt(3), 'the current of star, this one ÷ √3'],
];

const scaled = (numbers: string, factor: number): string =>
  numbers.replace(/\d+(?:[.,]\d+)?/g, (n) => String(Number((Number(n.replace(',', '.')) * factor).toPrecision(3))));

function splitUnit(text: string): readonly [string, string] {
  const match = /^([\d.,/\-–\s]+)(.*)$/.exec(text.trim());
  return [match?.[1]?.trim() ?? text, match?.[2]?.trim() ?? ''];
}

/** Digits that look alike on worn metal. */
const lookalikes: readonly (readonly [string, string])[] = [
  ['1', '7'],
  ['3', '8'],
  ['5', '6'],
  ['6', '8'],
  ['0', '8'],
  ['0', '6'],
  ['4', '9'],
];

const lookalikeLetters: Readonly<Record<string, string>> = {
  B: 'DEPRH', C: 'GD', D: 'BCP', E: 'FBL', F: 'EPT', G: 'CJS', H: 'NMKB', J: 'GLU', K: 'HRM', L: 'EJ', M: 'NHK', N: 'HMK', P: 'FRBD',
  R: 'PKBH', S: 'GJ', T: 'FLJ', U: 'VJL', V: 'U', A: 'HR',
}; // prettier-ignore

/** One number of a text with digits swapped, mistaken, or its point lost; units and the other numbers stay. */
function digitVariants(text: string | undefined): Variant[] {
  if (text === undefined) return [];
  const found: Variant[] = [];
  for (const match of text.matchAll(/\d+(?:[.,]\d+)?/g)) {
    const number = match[0];
    const at = match.index;
    const put = (other: string, why: string, rank: number): void => {
      if (other !== number && !/^0+(?!\.)/.test(other))
        found.push({ text: text.slice(0, at) + other + text.slice(at + number.length), why, rank });
    };
    for (let i = 0; i + 1 < number.length; i++) {
      const [a, b] = [number.charAt(i), number.charAt(i + 1)];
      if (!/\d/.test(a) || !/\d/.test(b) || a === b) continue;
      const swapped = number.slice(0, i) + b + a + number.slice(i + 2);
      put(swapped, `${swapped} read as ${number} (digits swapped)`, 2);
    }
    // A swap across the point: 93.6 and 96.3.
    const across = /^(\d*)(\d)([.,])(\d)(\d*)$/.exec(number);
    if (across) {
      const [, head = '', a = '', point = '.', b = '', tail = ''] = across;
      const swapped = `${head}${b}${point}${a}${tail}`;
      put(swapped, `${swapped} read as ${number} (digits swapped)`, 2);
    }
    if (/[.,]/.test(number)) {
      const lost = number.replace(/[.,]/, '');
      put(lost, `${lost} read as ${number} (a point too many)`, 3);
    } else {
      for (let i = number.length - 1; i > 0; i--) {
        const pointed = `${number.slice(0, i)}.${number.slice(i)}`;
        put(pointed, `${pointed} read as ${number} (the point lost)`, 3);
      }
      put(`${number}0`, `${number}0 read as ${number} (a nought lost)`, 4);
      if (number.endsWith('0'))
        put(number.slice(0, -1), `${number.slice(0, -1)} read as ${number} (a nought too many)`, 4);
    }
    for (let i = 0; i < number.length; i++)
      for (const [a, b] of lookalikes)
        for (const [from, to] of [
          [a, b],
          [b, a],
        ] as const) {
          if (number.charAt(i) !== from) continue;
          const other = number.slice(0, i) + to + number.slice(i + 1);
          put(other, `${other} read as ${number} (${to} looks like ${from})`, 5);
        }
  }
  return found;
}
