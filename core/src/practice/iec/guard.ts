import { commonPractice, remembered } from '../../contract';
import { codeLetters, codeLetterSource } from '../north-america/tables/guard';
import type { Practice } from '../practice';

const overloadSource = remembered('standard', 'IEC 60947-4-1', '2018', 'Table 3 (trip between 1.05 and 1.2 × setting)');

/** What protects and feeds a motor under IEC. */
export const guard = {
  conductorBasis: 'plate',

  conductorFactor: {
    value: 1,
    source: commonPractice('Cable for at least the plate current (IEC 60364-4-43: I_B ≤ I_n ≤ I_z)'),
  },

  stampsCodeLetter: false,

  // A code letter on an imported motor still means what its own code says.
  codeLetter(letter) {
    const row = codeLetters.find(([l]) => l === letter.toUpperCase());
    return row && { value: { low: row[1], high: row[2] }, source: codeLetterSource };
  },

  tableCurrent: (_power, _voltage, plate) => ({
    value: plate,
    source: commonPractice('IEC practice has no table current; the plate current stands'),
  }),

  overload: () => ({ trip: 1.2, because: 'any motor', source: overloadSource }),
} satisfies Partial<Practice> & ThisType<Practice>;
