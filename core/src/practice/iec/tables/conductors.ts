import { remembered, type Source } from '../../../contract';
import { table } from '../../table';

const erection = (part: string): Source => remembered('standard', 'IEC 60364-5-52', '2009', part);

const methods = ['A1', 'A2', 'B1', 'B2', 'C', 'D1', 'D2', 'E', 'F'] as const;
export type InstallationMethod = (typeof methods)[number];
export const installationMethods = methods;

/**
 * Current-carrying capacity in A of three loaded conductors, at 30 °C in air and 20 °C in the ground. Rows by area in
 * mm², columns by reference method; F is three single-core cables in trefoil, the only ones above 300 mm².
 */
export const capacities = {
  copper: {
    pvc: table(erection('Tables B.52.4 and B.52.10 (copper, PVC)'), methods, [
      [1.5, 13.5, 13, 15.5, 15, 17.5, 18, 19, 18.5, null], [2.5, 18, 17.5, 21, 20, 24, 24, 24, 25, null],
      [4, 24, 23, 28, 27, 32, 30, 33, 34, null], [6, 31, 29, 36, 34, 41, 38, 41, 43, null],
      [10, 42, 39, 50, 46, 57, 50, 54, 60, null], [16, 56, 52, 68, 62, 76, 64, 70, 80, null],
      [25, 73, 68, 89, 80, 96, 82, 92, 101, 110], [35, 89, 83, 110, 99, 119, 98, 110, 126, 137],
      [50, 108, 99, 134, 118, 144, 116, 130, 153, 167], [70, 136, 125, 171, 149, 184, 143, 162, 196, 216],
      [95, 164, 150, 207, 179, 223, 169, 193, 238, 264], [120, 188, 172, 239, 206, 259, 192, 220, 276, 308],
      [150, 216, 196, 262, 225, 299, 217, 246, 319, 356], [185, 245, 223, 296, 255, 341, 243, 278, 364, 409],
      [240, 286, 261, 346, 297, 403, 280, 320, 430, 485], [300, 328, 298, 394, 339, 464, 316, 359, 497, 561],
      [400, null, null, null, null, null, null, null, null, 656],
      [500, null, null, null, null, null, null, null, null, 749],
      [630, null, null, null, null, null, null, null, null, 855],
    ]),
    xlpe: table(erection('Tables B.52.5 and B.52.12 (copper, XLPE)'), methods, [
      [1.5, 17, 16.5, 20, 19.5, 22, 21, 23, 23, null], [2.5, 23, 22, 28, 26, 30, 28, 30, 32, null],
      [4, 31, 30, 37, 35, 40, 36, 39, 42, null], [6, 40, 38, 48, 44, 52, 44, 49, 54, null],
      [10, 54, 51, 66, 60, 71, 58, 65, 75, null], [16, 73, 68, 88, 80, 96, 75, 84, 100, null],
      [25, 95, 89, 117, 105, 119, 96, 107, 127, 135], [35, 117, 109, 144, 128, 147, 115, 129, 158, 169],
      [50, 141, 130, 175, 154, 179, 135, 153, 192, 207], [70, 179, 164, 222, 194, 229, 167, 188, 246, 268],
      [95, 216, 197, 269, 233, 278, 197, 226, 298, 328], [120, 249, 227, 312, 268, 322, 223, 257, 346, 383],
      [150, 285, 259, 342, 300, 371, 251, 287, 399, 444], [185, 324, 295, 384, 340, 424, 281, 324, 456, 510],
      [240, 380, 346, 450, 398, 500, 324, 375, 538, 607], [300, 435, 396, 514, 455, 576, 365, 419, 621, 703],
      [400, null, null, null, null, null, null, null, null, 823],
      [500, null, null, null, null, null, null, null, null, 946],
      [630, null, null, null, null, null, null, null, null, 1088],
    ]),
  },
  aluminium: {
    pvc: table(erection('Tables B.52.4 and B.52.11 (aluminium, PVC)'), methods, [
      [2.5, 14, 13.5, 16.5, 15.5, 18.5, 18.5, null, 19.5, null], [4, 18.5, 17.5, 22, 21, 25, 24, null, 26, null],
      [6, 24, 23, 28, 27, 32, 30, null, 33, null], [10, 32, 31, 39, 36, 44, 39, null, 46, null],
      [16, 43, 41, 53, 48, 59, 50, 53, 61, null], [25, 57, 53, 70, 62, 73, 64, 69, 78, 84],
      [35, 70, 65, 86, 77, 90, 77, 83, 96, 105], [50, 84, 78, 104, 92, 110, 91, 99, 117, 128],
      [70, 107, 98, 133, 116, 140, 112, 122, 150, 166], [95, 129, 118, 161, 139, 170, 132, 148, 183, 203],
      [120, 149, 135, 186, 160, 197, 150, 169, 212, 237], [150, 170, 155, 204, 176, 227, 169, 189, 245, 274],
      [185, 194, 176, 230, 199, 259, 190, 214, 280, 315], [240, 227, 207, 269, 232, 305, 218, 250, 330, 375],
      [300, 261, 237, 306, 265, 351, 247, 282, 381, 434],
      [400, null, null, null, null, null, null, null, null, 526],
      [500, null, null, null, null, null, null, null, null, 610],
      [630, null, null, null, null, null, null, null, null, 711],
    ]),
    xlpe: table(erection('Tables B.52.5 and B.52.13 (aluminium, XLPE)'), methods, [
      [2.5, 19, 18, 22, 21, 24, 22, null, 24, null], [4, 25, 24, 29, 28, 32, 28, null, 32, null],
      [6, 32, 31, 38, 35, 41, 35, null, 42, null], [10, 44, 41, 52, 48, 57, 46, null, 58, null],
      [16, 58, 55, 71, 64, 76, 59, 64, 77, null], [25, 76, 71, 93, 84, 90, 75, 82, 97, 103],
      [35, 94, 87, 116, 103, 112, 90, 98, 120, 129], [50, 113, 104, 140, 124, 136, 106, 117, 146, 159],
      [70, 142, 131, 179, 156, 174, 130, 144, 187, 206], [95, 171, 157, 217, 188, 211, 154, 172, 227, 253],
      [120, 197, 180, 251, 216, 245, 174, 197, 263, 296], [150, 226, 206, 267, 240, 283, 197, 220, 304, 343],
      [185, 256, 233, 300, 272, 323, 220, 250, 347, 395], [240, 300, 273, 351, 318, 382, 253, 290, 409, 471],
      [300, 344, 313, 402, 364, 440, 286, 326, 471, 547],
      [400, null, null, null, null, null, null, null, null, 663],
      [500, null, null, null, null, null, null, null, null, 770],
      [630, null, null, null, null, null, null, null, null, 899],
    ]),
  },
}; // prettier-ignore

/** Factor for air of up to so many °C. */
export const airFactors = table(erection('Table B.52.14'), ['pvc', 'xlpe'], [
  [10, 1.22, 1.15], [15, 1.17, 1.12], [20, 1.12, 1.08], [25, 1.06, 1.04], [30, 1, 1], [35, 0.94, 0.96],
  [40, 0.87, 0.91], [45, 0.79, 0.87], [50, 0.71, 0.82], [55, 0.61, 0.76], [60, 0.5, 0.71], [65, null, 0.65],
  [70, null, 0.58], [75, null, 0.5], [80, null, 0.41],
]); // prettier-ignore

/** Factor for ground of up to so many °C. */
export const groundFactors = table(erection('Table B.52.15'), ['pvc', 'xlpe'], [
  [10, 1.1, 1.07], [15, 1.05, 1.04], [20, 1, 1], [25, 0.95, 0.96], [30, 0.89, 0.93], [35, 0.84, 0.89],
  [40, 0.77, 0.85], [45, 0.71, 0.8], [50, 0.63, 0.76], [55, 0.55, 0.71], [60, 0.45, 0.65], [65, null, 0.6],
  [70, null, 0.53], [75, null, 0.46], [80, null, 0.38],
]); // prettier-ignore

/** Factor for up to so many circuits bunched, on a surface or enclosed: every method from A1 to F. */
export const bunchedGroups = table(erection('Table B.52.17, item 1'), ['bunched'], [
  [1, 1], [2, 0.8], [3, 0.7], [4, 0.65], [5, 0.6], [6, 0.57], [7, 0.54], [8, 0.52], [9, 0.5], [12, 0.45], [16, 0.41],
  [20, 0.38],
]); // prettier-ignore

/** In a single layer touching on a wall (C, item 2) or a perforated tray (E and F, item 4): no less beyond nine. */
export const layerGroups = table(erection('Table B.52.17, items 2 and 4'), ['C', 'E', 'F'], [
  [1, 1, 1, 1], [2, 0.85, 0.88, 0.88], [3, 0.79, 0.82, 0.82], [4, 0.75, 0.77, 0.77], [5, 0.73, 0.75, 0.75],
  [6, 0.72, 0.73, 0.73], [7, 0.72, 0.73, 0.73], [8, 0.71, 0.72, 0.72], [9, 0.7, 0.72, 0.72], [20, 0.7, 0.72, 0.72],
]); // prettier-ignore

/** A diameter apart: on a wall (C), multi-core on a tray (E, Table B.52.20), trefoils on a tray (F, Table B.52.21). */
export const spacedGroups = table(erection('Tables B.52.17, B.52.20 and B.52.21'), ['C', 'E', 'F'], [
  [1, 1, 1, 1], [2, 0.94, 1, 0.98], [3, 0.9, 0.98, 0.96], [4, 0.9, 0.95, null], [6, 0.9, 0.91, null],
  [9, 0.9, null, null],
]); // prettier-ignore

/** The same in the ground: touching in ducts (D1), touching cables (D2). */
export const groundGroups = table(erection('Tables B.52.18 and B.52.19'), ['D1', 'D2'], [
  [1, 1, 1], [2, 0.85, 0.75], [3, 0.75, 0.65], [4, 0.7, 0.6], [5, 0.65, 0.55], [6, 0.6, 0.5],
]); // prettier-ignore

/** Resistivity in service, Ω·mm²/m, and reactance, Ω/m, of the voltage drop. */
export const dropSource = remembered('standard', 'IEC 60364-5-52', '2009', 'Annex G');
export const resistivity = { copper: 0.0225, aluminium: 0.036 } as const;
export const reactance = 0.08e-3;

/**
 * k in A·s^½/mm² of a short circuit that heats the conductor alone, up to 300 mm²; larger ones in PVC may only come to
 * 140 °C.
 */
export const shortCircuitUpTo = 300;
export const shortCircuitSource = remembered('standard', 'IEC 60364-4-43', '2008', 'Table 43A');
export const shortCircuitK = { copper: { pvc: 115, xlpe: 143 }, aluminium: { pvc: 76, xlpe: 94 } } as const;
export const shortCircuitLarge = { copper: { pvc: 103, xlpe: 143 }, aluminium: { pvc: 68, xlpe: 94 } } as const;

/** Earth conductor against the phase's, mm². */
export const earthSource = remembered('standard', 'IEC 60364-5-54', '2011', 'Table 54.2');

/**
 * Nominal voltage to earth, V, of lines from and to so many V (IEC 60038, 2009, Table 1, from memory): 230/400 stands
 * for what was 220/380 and 240/415, 400/690 for 380/660.
 */
export const nominalToEarth = [
  [200, 210, 120], [370, 425, 230], [470, 490, 277], [650, 700, 400],
] as const; // prettier-ignore

/** Longest disconnection of a final circuit in a TN system by its voltage to earth, V; beyond 32 A: 5 s. */
export const disconnectionTimes = table(
  remembered('standard', 'IEC 60364-4-41', '2005', 'Table 41.1 (TN) and 411.3.2.3'),
  ['final'],
  [
    [120, 0.8],
    [230, 0.4],
    [400, 0.2],
    [1000, 0.1],
  ],
);
