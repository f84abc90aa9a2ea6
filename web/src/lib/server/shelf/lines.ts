import { nameplate } from '@pilgrim/core';

/** A motor of the shelf as a line of the table. */
export interface ShelfLine {
  readonly id: string;
  readonly name: string;
  readonly power: string;
  readonly voltage: string;
  readonly current: string;
  readonly speed: string;
  readonly frame: string;
  readonly enclosure: string;
  readonly quantity: number;
  readonly place: string;
  readonly days: number | null;
  readonly keptFor: string;
  /** What its plate does not say, in words. */
  readonly assumed: string;
  /** All of it in lower case, to find it by. */
  readonly text: string;
}

/** Lines of the shelf's table, with what judging takes as usual where a plate is silent. */
export function shelfLines(entries: readonly nameplate.ShelfEntry[]): ShelfLine[] {
  const made = new Map(nameplate.shelfMotors(entries, 'iec').motors.map((m) => [m.id, m]));
  return entries.map(({ id, name, plate, quantity, place, days, keptFor }) => {
    const line = {
      id,
      name,
      power: plate.power ?? '',
      voltage: plate.voltage ?? '',
      current: plate.current ?? '',
      speed: plate.speed ?? '',
      frame: plate.frame ?? '',
      enclosure: [plate.enclosure, plate.protection].filter((x) => x !== undefined).join(' '),
      quantity,
      place,
      days,
      keptFor,
      assumed: (made.get(id)?.stock?.assumed ?? [])
        .map((key) => key.replace(/([A-Z])/g, ' $1').toLowerCase())
        .join(', '),
    };
    return { ...line, text: Object.values(line).join(' ').toLowerCase() };
  });
}
