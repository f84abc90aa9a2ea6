/** Days of the week from Monday. */
export const weekDays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'] as const;
export type WeekDay = (typeof weekDays)[number];

/**
 * A time of the week: minutes of the day from 0 to 1440, `to` at or below `from` runs past midnight; days it begins on.
 */
export interface WeekWindow {
  readonly from: number;
  readonly to: number;
  readonly days: readonly WeekDay[];
}

/** A window and the price of a kWh in it. */
export interface TariffRow extends WeekWindow {
  readonly price: number;
}

const day = 1440;
const week = 7 * day;

/** Pieces of the week in minutes from Monday midnight that a window covers, none past its end. */
function piecesOf({ from, to, days }: WeekWindow): [number, number][] {
  const length = to > from ? to - from : to + day - from;
  return days.flatMap((name): [number, number][] => {
    const start = weekDays.indexOf(name) * day + from;
    const end = start + length;
    return end <= week
      ? [[start, end]]
      : [
          [start, week],
          [0, end - week],
        ];
  });
}

/** A minute of the week as people write it: "Sat 07:00". */
export function weekTime(minute: number): string {
  const name = weekDays[Math.floor(minute / day) % 7] ?? 'mon';
  const two = (n: number): string => `${n}`.padStart(2, '0');
  return `${name[0]?.toUpperCase() ?? ''}${name.slice(1)} ${two(Math.floor((minute % day) / 60))}:${two(minute % 60)}`;
}

/** What is wrong with a tariff: a time of the week without a price, or with two. */
export interface TariffFault {
  readonly kind: 'hole' | 'twice';
  readonly from: string;
  readonly to: string;
  /** The later row of two that meet; undefined for a hole. */
  readonly row: number | undefined;
}

/** First time of the week that a tariff leaves without a price, or prices twice; undefined where it is whole. */
export function tariffFault(rows: readonly WeekWindow[]): TariffFault | undefined {
  const pieces = rows
    .flatMap((row, index) => piecesOf(row).map(([from, to]) => ({ from, to, index })))
    .toSorted((a, b) => a.from - b.from);
  let reached = 0;
  for (const { from, to, index } of pieces) {
    if (from > reached) return { kind: 'hole', from: weekTime(reached), to: weekTime(from), row: undefined };
    if (from < reached) return { kind: 'twice', from: weekTime(from), to: weekTime(Math.min(to, reached)), row: index };
    reached = to;
  }
  return reached < week ? { kind: 'hole', from: weekTime(reached), to: 'Mon 00:00', row: undefined } : undefined;
}

/** Mean price of a kWh in a window of the week (the whole week where none is given), taken evenly over its time. */
export function meanPrice(tariff: readonly TariffRow[], window?: WeekWindow): number {
  const asked: readonly [number, number][] = window ? piecesOf(window) : [[0, week]];
  let [sum, time] = [0, 0];
  for (const row of tariff)
    for (const [a, b] of piecesOf(row))
      for (const [from, to] of asked) {
        const both = Math.min(b, to) - Math.max(a, from);
        if (both <= 0) continue;
        sum += row.price * both;
        time += both;
      }
  return time > 0 ? sum / time : 0;
}
