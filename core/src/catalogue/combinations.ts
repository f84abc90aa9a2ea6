import { reaches, exceeds } from '../law';
import { protectiveDevices, type ProtectiveDevice } from '../contract';
import type { PracticeId } from '../practice';

/**
 * Device, contactor and overload relay that were tested together. Coordination is a property of such a test, at its
 * voltage and up to its fault current, and of nothing else.
 */
export interface Combination {
  /** Whose table it stands in. */
  readonly table: string;
  /** The standard it was tested by, as the table has it. */
  readonly standard: string;
  /** V, and A rms symmetrical. */
  readonly voltage: number;
  readonly faultCurrent: number;
  readonly type: 1 | 2;
  readonly kind: ProtectiveDevice;
  readonly device: string;
  readonly contactor: string;
  /** Empty where the device itself is the overload protection. */
  readonly relay: string;
  /** Setting range of what protects against overload, A. */
  readonly dialFrom: number;
  readonly dialTo: number;
  /** Of the contactor at that voltage, A. */
  readonly ac3: number;
  /** Trip classes it may be set to; none where the table does not say. */
  readonly classes: readonly string[];
  /** W, where the table goes by power as well; null where it does not. */
  readonly power: number | null;
  /** What it costs, in the plant's money or as an index; null where nobody says. */
  readonly price: number | null;
}

/** Whose invented table ships: nothing is to be bought by it. */
export const demoTable = 'Sallow Lane demonstration table (invented)';

const ranges: readonly (readonly [number, number])[] = [
  [0.4, 0.63], [0.63, 1], [1, 1.6], [1.6, 2.5], [2.5, 4], [4, 6.3], [6.3, 10], [9, 14], [13, 18], [17, 23], [20, 26],
  [25, 32], [30, 40], [37, 50], [48, 65], [60, 80], [75, 100], [90, 125], [110, 150], [140, 185], [180, 250],
  [230, 320], [300, 400], [380, 500], [480, 630],
]; // prettier-ignore
const contactors = [9, 12, 18, 25, 32, 40, 50, 65, 80, 100, 125, 150, 185, 225, 265, 330, 400, 500, 630, 800];

interface Shop {
  readonly standard: string;
  readonly breaker: ProtectiveDevice;
  /** The breaker that trips at overload as well, and its rating ÷ upper end of the dial. */
  readonly thermal: ProtectiveDevice;
  readonly thermalShare: number;
  readonly fuse: ProtectiveDevice;
  /** Rating of a fuse ÷ upper end of the dial. */
  readonly fuseShare: number;
  /** Voltage; what breakers were tested to up to 100 A of dial, and beyond; what fuses were. */
  readonly tested: readonly (readonly [voltage: number, small: number, large: number, fused: number])[];
}

const shops: Readonly<Record<PracticeId, Shop>> = {
  iec: {
    standard: 'IEC 60947-4-1',
    breaker: 'motor-breaker',
    thermal: 'breaker',
    thermalShare: 1,
    fuse: 'fuse-am',
    fuseShare: 1,
    tested: [
      [240, 50e3, 50e3, 100e3],
      [415, 50e3, 36e3, 100e3],
      [500, 25e3, 25e3, 100e3],
      [690, 10e3, 10e3, 50e3],
    ],
  },
  'north-america': {
    standard: 'UL 60947-4-1',
    breaker: 'instantaneous-breaker',
    thermal: 'inverse-time-breaker',
    thermalShare: 2,
    fuse: 'dual-element-fuse',
    fuseShare: 1.75,
    tested: [
      [240, 65e3, 42e3, 100e3],
      [480, 65e3, 42e3, 100e3],
      [600, 25e3, 18e3, 100e3],
    ],
  },
};
/** Ratings of fuses and breakers, A. */
const ratings = [
  2, 4, 6, 10, 16, 20, 25, 30, 35, 40, 50, 60, 70, 80, 90, 100, 125, 150, 175, 200, 250, 300, 350, 400, 500, 600, 800,
  1000, 1200,
];

function rowsOf({ standard, breaker, thermal, thermalShare, fuse, fuseShare, tested }: Shop): Combination[] {
  const rows: Combination[] = [];
  for (const [voltage, small, large, fused] of tested)
    for (const [from, to] of ranges) {
      const least = contactors.findIndex((c) => reaches(c, to));
      if (least < 0) continue;
      for (const type of [1, 2] as const) {
        // To go on after a fault its contactor is larger: seldom below 25 A, two sizes above otherwise.
        const place = type === 1 ? least : Math.min(contactors.length - 1, Math.max(3, least + 2));
        const ac3 = contactors[place] ?? to;
        const price = Math.round(40 + 6 * to ** 0.8 + 5 * ac3 ** 0.85);
        const common = {
          ...{ table: demoTable, standard, voltage, type, dialFrom: from, dialTo: to, ac3, power: null },
          contactor: `contactor ${ac3} A`,
        };
        const two = breaker === 'motor-breaker' && to <= 100;
        rows.push({
          ...common,
          faultCurrent: to <= 100 ? small : large,
          kind: breaker,
          device: two ? `motor breaker ${from} to ${to} A` : `magnetic breaker ${to} A`,
          relay: two ? '' : `electronic relay ${from} to ${to} A`,
          classes: two ? ['10'] : ['10', '20', '30'],
          price,
        });
        const size = ratings.find((r) => reaches(r, to * thermalShare));
        if (size !== undefined)
          rows.push({
            ...common,
            faultCurrent: to <= 100 ? small : large,
            kind: thermal,
            device: `breaker ${size} A`,
            relay: `electronic relay ${from} to ${to} A`,
            classes: ['10', '20', '30'],
            price: Math.round(price * 1.1),
          });
        const rating = ratings.find((f) => reaches(f, to * fuseShare));
        if (rating !== undefined)
          rows.push({
            ...common,
            faultCurrent: fused,
            kind: fuse,
            device: `fused switch ${fuseLink[fuse]}, ${rating} A`,
            relay: `relay ${from} to ${to} A`,
            classes: ['10', '20', '30'],
            price: Math.round(price * 1.15),
          });
      }
    }
  return rows;
}

/** What is written on the fuse-link. */
const fuseLink: Readonly<Partial<Record<ProtectiveDevice, string>>> = {
  'fuse-am': 'aM',
  'fuse-gg': 'gG',
  'dual-element-fuse': 'time-delay',
  'single-element-fuse': 'non-time-delay',
};

let demo: readonly Combination[] | undefined;
/** The table that ships, of an invented panel builder; made once. */
export function demoCombinations(): readonly Combination[] {
  demo ??= Object.values(shops).flatMap(rowsOf);
  return demo;
}

/** What a starter asks of a combination. A, V. */
export interface CombinationAsked {
  readonly voltage: number;
  readonly faultCurrent: number;
  readonly dial: number;
  /** AC-3 current that the contactor must carry, with what the board takes off. */
  readonly contactor: number;
  readonly class: string | undefined;
  readonly kind: ProtectiveDevice | undefined;
  readonly practice: PracticeId;
}

/** Whether the combination's own standard is one of this practice's. */
const standardOf = ({ standard }: Combination): PracticeId =>
  /\b(UL|CSA|NEMA)\b/i.test(standard) ? 'north-america' : 'iec';

/** What of what is asked a combination does not meet; none where it fits. */
export function lacking(c: Combination, asked: CombinationAsked): readonly (keyof CombinationAsked)[] {
  const list: (keyof CombinationAsked)[] = [];
  if (standardOf(c) !== asked.practice) list.push('practice');
  if (!reaches(c.voltage, asked.voltage)) list.push('voltage');
  if (!reaches(c.faultCurrent, asked.faultCurrent)) list.push('faultCurrent');
  if (!reaches(asked.dial, c.dialFrom) || exceeds(asked.dial, c.dialTo)) list.push('dial');
  if (!reaches(c.ac3, asked.contactor)) list.push('contactor');
  if (asked.class !== undefined && c.classes.length > 0 && !c.classes.includes(asked.class)) list.push('class');
  if (asked.kind !== undefined && c.kind !== asked.kind) list.push('kind');
  return list;
}

/** Whether nothing is lacking; the dial first, for it excludes most. */
const fits = (c: Combination, asked: CombinationAsked): boolean =>
  c.dialFrom <= asked.dial * 1.001 && c.dialTo >= asked.dial * 0.999 && lacking(c, asked).length === 0;

/** The cheapest of a type that fits: then the lowest voltage and the smallest contactor. */
export function fitting(
  all: readonly Combination[],
  type: Combination['type'],
  asked: CombinationAsked,
): Combination | undefined {
  return all
    .filter((c) => c.type >= type && fits(c, asked))
    .toSorted(
      (a, b) =>
        a.type - b.type ||
        (a.price ?? Infinity) - (b.price ?? Infinity) ||
        a.voltage - b.voltage ||
        a.ac3 - b.ac3 ||
        a.dialTo - b.dialTo,
    )[0];
}

/** The highest fault current to which anything of a type that fits otherwise was tested; undefined where nothing. */
export function testedTo(
  all: readonly Combination[],
  type: Combination['type'],
  asked: CombinationAsked,
): number | undefined {
  const currents = all
    .filter((c) => c.type >= type && fits(c, { ...asked, faultCurrent: 0 }))
    .map((c) => c.faultCurrent);
  return currents.length === 0 ? undefined : Math.max(...currents);
}

export const isProtectiveDevice = (text: string): text is ProtectiveDevice =>
  (protectiveDevices as readonly string[]).includes(text);
