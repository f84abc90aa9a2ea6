import { remembered } from '../../contract';

/** Hottest-spot limit of an insulation class, °C, at which life is about 20,000 hours. */
export const classLimit = { A: 105, E: 120, B: 130, F: 155, H: 180, N: 200 } as const;
export const insulationSource = remembered('standard', 'IEC 60085 and NEMA MG 1', '2007 and 2016', 'thermal classes');

/** Permitted rise by resistance at 40 °C ambient, K. */
export const permittedRise: Readonly<Record<string, number>> = { A: 60, E: 75, B: 80, F: 105, H: 125 };
export const permittedRiseSource = remembered(
  'standard',
  'IEC 60034-1 and NEMA MG 1',
  '2022 and 2016',
  'Table 8 and 12.43 (rise by resistance)',
);
