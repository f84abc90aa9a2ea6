import { iec } from './iec';
import { northAmerica } from './north-america';
import type { Practice, PracticeId } from './practice';

export * from './practice';
export * from './rules';
export * from './derating';
export * from './prescriptions';
export { iec, northAmerica };

const practices: Readonly<Record<PracticeId, Practice>> = { 'north-america': northAmerica, iec };

export const practiceById = (id: PracticeId): Practice => practices[id];
