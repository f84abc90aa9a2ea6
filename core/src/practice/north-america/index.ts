import { practiceUnits } from '../../contract';
import { q } from '../../quantity';
import type { Practice } from '../practice';
import { drives } from './drives';
import { cables } from './cables';
import { guard } from './guard';
import { motors } from './motors';

/** Motor practice of North America: NEMA MG 1 motors installed by the National Electrical Code. */
export const northAmerica: Practice = {
  id: 'north-america',
  name: 'North America',
  words: {
    name: 'North American',
    fullLoadCurrent: 'FLA',
    fullLoadCurrentLong: 'full-load amps',
    powerUnit: 'hp',
    units: practiceUnits['north-america'],
    market: 'the United States',
  },
  frequency: q(60, 'Hz'),
  ...motors,
  ...guard,
  ...cables,
  ...drives,
};
