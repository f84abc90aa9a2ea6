import { commonPractice, remembered, type Source } from '../contract';
import type { Needs } from './walk';

/** Highest place, m, and hottest, °C, where a service factor is taken up by the height (9000 ft). */
const highest = 2740;
const usualAmbient = 40;
const usualAltitude = 1000;
const robust = 1.15;

const takenByHeight = remembered(
  'standard',
  'NEMA MG 1',
  '2016',
  '14.4 (with a service factor of 1.15 or more, at 1.0 up to 2740 m (9000 ft) and 40 °C)',
);
const usedUp = commonPractice('House rule: the service factor counts as rating at usual conditions');

/** What a motor may give here of its rating, as a share, and why where its service factor has a part in it. */
export interface Left {
  readonly share: number;
  readonly by: 'place' | 'height' | 'service-factor';
  readonly source: Source | undefined;
}

const part = (place: Needs['place'], rules: Needs['rules'], factor: number, drive: boolean): Left['by'] => {
  if (factor < robust || place.ambient > usualAmbient) return 'place';
  if (drive && !rules.serviceFactorOnDrive) return 'place';
  if (place.altitude <= usualAltitude) return rules.serviceFactorUse === 'sized' ? 'service-factor' : 'place';
  return place.altitude <= highest ? 'height' : 'place';
};

/**
 * Share of its rating that a motor of this service factor may give here: what heat, height and unbalance leave, or,
 * where its service factor may be used, that. Makes nothing.
 */
export function shareLeft({ place, rules }: Pick<Needs, 'place' | 'rules'>, factor: number, drive: boolean): number {
  const by = part(place, rules, factor, drive);
  return by === 'place' ? place.motorDerating : place.unbalanceDerating * (by === 'height' ? 1 : factor);
}

/** The same with its reason. */
export function leftOf(needs: Pick<Needs, 'place' | 'rules'>, factor: number, drive: boolean): Left {
  const by = part(needs.place, needs.rules, factor, drive);
  const source = by === 'place' ? undefined : by === 'height' ? takenByHeight : usedUp;
  return { share: shareLeft(needs, factor, drive), by, source };
}
