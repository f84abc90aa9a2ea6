import { remembered } from '../../../contract';
import { table } from '../../table';

/** Full-load current in A of three-phase induction motors. Columns: 200, 208, 230, 460, 575 V. */
export const tableCurrentSource = remembered('code', 'NFPA 70 (National Electrical Code)', '2023', 'Table 430.250');
export const tableCurrentVoltages = [200, 208, 230, 460, 575] as const;
export const tableCurrents = table(
  tableCurrentSource,
  ['200', '208', '230', '460', '575'],
  [
    [0.5, 2.5, 2.4, 2.2, 1.1, 0.9],
    [0.75, 3.7, 3.5, 3.2, 1.6, 1.3],
    [1, 4.8, 4.6, 4.2, 2.1, 1.7],
    [1.5, 6.9, 6.6, 6.0, 3.0, 2.4],
    [2, 7.8, 7.5, 6.8, 3.4, 2.7],
    [3, 11.0, 10.6, 9.6, 4.8, 3.9],
    [5, 17.5, 16.7, 15.2, 7.6, 6.1],
    [7.5, 25.3, 24.2, 22, 11, 9],
    [10, 32.2, 30.8, 28, 14, 11],
    [15, 48.3, 46.2, 42, 21, 17],
    [20, 62.1, 59.4, 54, 27, 22],
    [25, 78.2, 74.8, 68, 34, 27],
    [30, 92, 88, 80, 40, 32],
    [40, 120, 114, 104, 52, 41],
    [50, 150, 143, 130, 65, 52],
    [60, 177, 169, 154, 77, 62],
    [75, 221, 211, 192, 96, 77],
    [100, 285, 273, 248, 124, 99],
    [125, 359, 343, 312, 156, 125],
    [150, 414, 396, 360, 180, 144],
    [200, 552, 528, 480, 240, 192],
    [250, null, null, null, 302, 242],
    [300, null, null, null, 361, 289],
    [350, null, null, null, 414, 336],
    [400, null, null, null, 477, 382],
    [450, null, null, null, 515, 412],
    [500, null, null, null, 590, 472],
  ],
);

/** kVA per horsepower at locked rotor: letter, from, up to. The last has no upper end. */
export const codeLetterSource = remembered('code', 'NFPA 70 (National Electrical Code)', '2023', 'Table 430.7(B)');
export const codeLetters: readonly (readonly [string, number, number | undefined])[] = [
  ['A', 0, 3.14],
  ['B', 3.15, 3.54],
  ['C', 3.55, 3.99],
  ['D', 4.0, 4.49],
  ['E', 4.5, 4.99],
  ['F', 5.0, 5.59],
  ['G', 5.6, 6.29],
  ['H', 6.3, 7.09],
  ['J', 7.1, 7.99],
  ['K', 8.0, 8.99],
  ['L', 9.0, 9.99],
  ['M', 10.0, 11.19],
  ['N', 11.2, 12.49],
  ['P', 12.5, 13.99],
  ['R', 14.0, 15.99],
  ['S', 16.0, 17.99],
  ['T', 18.0, 19.99],
  ['U', 20.0, 22.39],
  ['V', 22.4, undefined],
];
