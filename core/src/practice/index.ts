import { iec } from './iec';
import { northAmerica } from './north-america';
import type { Practice, PracticeId } from './practice';

export * from './practice';
export * from './enclosures';
export * from './table';
export * from './rules';
export * from './usual/belts';
export * from './usual/condition';
export * from './usual/derating';
export * from './usual/distortion';
export * from './usual/drives';
export * from './usual/flow';
export * from './usual/insulation';
export * from './usual/limits';
export * from './usual/machines';
export * from './usual/relays';
export * from './usual/remedies';
export * from './usual/renewal';
export * from './usual/sound';
export * from './usual/spread';
export * from './usual/timeCurrent';
export * from './prescriptions';
export * from './cables';
export * from './frames';
export { iec, northAmerica };

const byId: Readonly<Record<PracticeId, Practice>> = { 'north-america': northAmerica, iec };

/** All practices known. */
export const practices: readonly Practice[] = Object.values(byId);

export const practiceById = (id: PracticeId): Practice => byId[id];
