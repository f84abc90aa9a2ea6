import { practiceUnits } from '../../contract';
import { q } from '../../quantity';
import type { Practice } from '../practice';
import { drives } from './drives';
import { cables } from './cables';
import { guard } from './guard';
import { motors } from './motors';

/** Motor practice under IEC: 60034 motors, 60947 starters. */
export const iec: Practice = {
  id: 'iec',
  name: 'IEC',
  words: {
    name: 'IEC',
    fullLoadCurrent: 'Iₙ',
    fullLoadCurrentLong: 'rated current',
    powerUnit: 'kW',
    units: practiceUnits.iec,
    market: 'the European Union',
  },
  frequency: q(50, 'Hz'),
  ...motors,
  ...guard,
  ...cables,
  ...drives,
};
