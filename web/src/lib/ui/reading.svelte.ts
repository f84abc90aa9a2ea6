import type { Figure } from '@pilgrim/core';
import { isMoney, writeQuantity } from '@pilgrim/core/quantity';

export type Reading = 'typed' | 'us' | 'si';

/** How quantities are read on screen. It never touches what was typed. */
export const reading: { system: Reading } = $state({ system: 'typed' });

/** A figure's text in the system chosen for reading. */
export function textOf(figure: Pick<Figure, 'value' | 'unit' | 'text'>): string {
  if (reading.system === 'typed' || isMoney(figure.unit)) return figure.text;
  return writeQuantity(figure.value, figure.unit, reading.system);
}
