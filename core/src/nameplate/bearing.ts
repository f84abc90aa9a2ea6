import { remembered } from '../contract';

/** A rolling bearing as its designation tells it, mm. */
export interface Bearing {
  readonly bore: number;
  readonly outside: number;
  readonly width: number;
  readonly kind: 'ball' | 'roller';
  /** Shields or seals on both sides: greased for life. */
  readonly sealed: boolean;
}

export const bearingSource = remembered('standard', 'ISO 15', '2017', 'boundary dimensions, series 10, 02 and 03');

/** Bore in mm of a rolling bearing from the last two digits of its number; undefined for other designations. */
export function bearingBore(text: string): number | undefined {
  const code = /(?:^|[^\d])(?:[67]|2[0-3]|NU?P?J?\s?)\d?(\d{2})(?:\D|$)/i.exec(` ${text}`)?.[1];
  return code === undefined ? undefined : boreOf(code);
}

const smallest: Readonly<Record<string, number>> = { '00': 10, '01': 12, '02': 15, '03': 17 };
const boreOf = (code: string): number => smallest[code] ?? 5 * Number(code);

/** Outside diameter and width by bore, of the dimension series that motors use. */
// prettier-ignore
const series: Readonly<Record<string, Readonly<Record<number, readonly [outside: number, width: number]>>>> = {
  '0': {
    10: [26, 8], 12: [28, 8], 15: [32, 9], 17: [35, 10], 20: [42, 12], 25: [47, 12], 30: [55, 13], 35: [62, 14],
    40: [68, 15], 45: [75, 16], 50: [80, 16], 55: [90, 18], 60: [95, 18], 65: [100, 18], 70: [110, 20], 75: [115, 20],
    80: [125, 22], 85: [130, 22], 90: [140, 24], 95: [145, 24], 100: [150, 24],
  },
  '2': {
    10: [30, 9], 12: [32, 10], 15: [35, 11], 17: [40, 12], 20: [47, 14], 25: [52, 15], 30: [62, 16], 35: [72, 17],
    40: [80, 18], 45: [85, 19], 50: [90, 20], 55: [100, 21], 60: [110, 22], 65: [120, 23], 70: [125, 24],
    75: [130, 25], 80: [140, 26], 85: [150, 28], 90: [160, 30], 95: [170, 32], 100: [180, 34], 110: [200, 38],
    120: [215, 40], 130: [230, 40],
  },
  '3': {
    10: [35, 11], 12: [37, 12], 15: [42, 13], 17: [47, 14], 20: [52, 15], 25: [62, 17], 30: [72, 19], 35: [80, 21],
    40: [90, 23], 45: [100, 25], 50: [110, 27], 55: [120, 29], 60: [130, 31], 65: [140, 33], 70: [150, 35],
    75: [160, 37], 80: [170, 39], 85: [180, 41], 90: [190, 43], 95: [200, 45], 100: [215, 47], 110: [240, 50],
    120: [260, 55], 130: [280, 58],
  },
};

/** A deep-groove ball (6…) or cylindrical roller bearing (N, NU, NJ, NUP) of a designation such as "6309-2Z/C3". */
export function bearingOf(text: string | undefined): Bearing | undefined {
  const found = /(?:^|[^\dA-Z])(6|NUP|NU|NJ|N)\s?([023])(\d{2})(?!\d)([^,;]*)/i.exec(` ${text ?? ''}`);
  const [, kind = '', width = '', code = '', suffix = ''] = found ?? [];
  const bore = boreOf(code);
  const size = found ? series[width]?.[bore] : undefined;
  if (!size) return undefined;
  const sealed = /(^|[^A-Z])(ZZ|2Z|2RS\d?|2RZ|LLU|LLB|DDU|VV)/i.test(suffix);
  return { bore, outside: size[0], width: size[1], kind: kind === '6' ? 'ball' : 'roller', sealed };
}
