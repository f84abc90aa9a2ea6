/** Seconds of a written time: of the local clock where nobody said its offset, `absolute` where the file does. */
export interface ReadTime {
  readonly seconds: number;
  readonly absolute: boolean;
}

/** How a column's times are written: read by digits at fixed places, for a million of them must be read in a moment. */
export interface TimeFormat {
  readonly name: string;
  /** Whether it has a date. */
  readonly dated: boolean;
  readonly read: (cell: string) => ReadTime | undefined;
}

const digits = (text: string, from: number, to: number): number => {
  let value = 0;
  for (let i = from; i < to; i++) {
    const digit = text.charCodeAt(i) - 48;
    if (!(digit >= 0 && digit <= 9)) return NaN;
    value = 10 * value + digit;
  }
  return value;
};

/** What may follow the seconds: their parts, and an offset from universal time. */
const tail = /^(?:[.,]\d+)?(Z|[+-]\d\d:?\d\d)?$/;

/** A pattern such as "yyyy-MM-dd HH:mm:ss", its letters at the places of the digits. */
function fixed(pattern: string): TimeFormat {
  const place = (token: string): readonly [number, number] => {
    const at = pattern.indexOf(token);
    return [at, at + token.length];
  };
  const has = (token: string): boolean => pattern.includes(token);
  const [year, month, day] = [place('yyyy'), place('MM'), place('dd')];
  const [hour, minute, second] = [place('HH'), place('mm'), place('ss')];
  const between = [...pattern].flatMap((c, i): [number, string][] => (/[a-zA-Z]/.test(c) && c !== 'T' ? [] : [[i, c]]));
  const dated = has('yyyy');
  const read = (cell: string): ReadTime | undefined => {
    if (cell.length < pattern.length) return undefined;
    for (const [i, c] of between) if (cell[i] !== c) return undefined;
    const h = digits(cell, ...hour);
    const m = digits(cell, ...minute);
    const s = has('ss') ? digits(cell, ...second) : 0;
    if (!(h < 24 && m < 60 && s < 61)) return undefined;
    let offset: string | undefined;
    if (cell.length > pattern.length) {
      const rest = tail.exec(cell.slice(pattern.length));
      if (!rest) return undefined;
      offset = rest[1];
    }
    const clock = 3600 * h + 60 * m + s;
    if (!dated) return { seconds: clock, absolute: false };
    const [y, mo, d] = [digits(cell, ...year), digits(cell, ...month), digits(cell, ...day)];
    if (!(mo >= 1 && mo <= 12 && d >= 1 && d <= 31 && y > 0)) return undefined;
    const seconds = Date.UTC(y, mo - 1, d) / 1000 + clock;
    if (offset === undefined) return { seconds, absolute: false };
    const sign = offset.startsWith('-') ? -1 : 1;
    const away = offset === 'Z' ? 0 : sign * (60 * Number(offset.slice(1, 3)) + Number(offset.slice(-2)));
    return { seconds: seconds - 60 * away, absolute: true };
  };
  return { name: pattern, dated, read };
}

/** Seconds or any other plain number, from any beginning. */
const plain: TimeFormat = {
  name: 'seconds',
  dated: false,
  read: (cell) => {
    if (!/^\d+([.,]\d+)?$/.test(cell)) return undefined;
    return { seconds: Number(cell.replace(',', '.')), absolute: true };
  },
};

export const timeFormats: readonly TimeFormat[] = [
  plain,
  ...[
    'yyyy-MM-ddTHH:mm:ss',
    'yyyy-MM-dd HH:mm:ss',
    'yyyy-MM-ddTHH:mm',
    'yyyy-MM-dd HH:mm',
    'yyyy/MM/dd HH:mm:ss',
    'yyyy/MM/dd HH:mm',
    'dd.MM.yyyy HH:mm:ss',
    'dd.MM.yyyy HH:mm',
    // Where both would do, the month stands first.
    'MM/dd/yyyy HH:mm:ss',
    'MM/dd/yyyy HH:mm',
    'dd/MM/yyyy HH:mm:ss',
    'dd/MM/yyyy HH:mm',
    'HH:mm:ss',
  ].map(fixed),
];
