import { remembered, type Source } from '../../../contract';
import { table } from '../../table';

const code = (part: string): Source => remembered('code', 'NFPA 70 (National Electrical Code)', '2023', part);

/** Sizes by trade name and metric area, mm² (Chapter 9, Table 8). */
export const wireSizes = [
  ['14 AWG', 2.08], ['12 AWG', 3.31], ['10 AWG', 5.26], ['8 AWG', 8.37], ['6 AWG', 13.3], ['4 AWG', 21.15],
  ['3 AWG', 26.67], ['2 AWG', 33.62], ['1 AWG', 42.41], ['1/0 AWG', 53.49], ['2/0 AWG', 67.43], ['3/0 AWG', 85.01],
  ['4/0 AWG', 107.2], ['250 kcmil', 127], ['300 kcmil', 152], ['350 kcmil', 177], ['400 kcmil', 203],
  ['500 kcmil', 253], ['600 kcmil', 304], ['700 kcmil', 355], ['750 kcmil', 380], ['800 kcmil', 405],
  ['900 kcmil', 456], ['1000 kcmil', 507], ['1250 kcmil', 633],
] as const; // prettier-ignore

/**
 * Ampacity in A of not more than three current-carrying conductors in raceway, cable or earth, at 30 °C. Rows by the
 * size's place in `wireSizes`; columns by the insulation's temperature.
 */
export const inRaceway = {
  copper: table(code('Table 310.16'), ['60', '75', '90'], [
    [0, 15, 20, 25], [1, 20, 25, 30], [2, 30, 35, 40], [3, 40, 50, 55], [4, 55, 65, 75], [5, 70, 85, 95],
    [6, 85, 100, 115], [7, 95, 115, 130], [8, 110, 130, 145], [9, 125, 150, 170], [10, 145, 175, 195],
    [11, 165, 200, 225], [12, 195, 230, 260], [13, 215, 255, 290], [14, 240, 285, 320], [15, 260, 310, 350],
    [16, 280, 335, 380], [17, 320, 380, 430], [18, 350, 420, 475], [19, 385, 460, 520], [20, 400, 475, 535],
    [21, 410, 490, 555], [22, 435, 520, 585], [23, 455, 545, 615],
  ]),
  aluminium: table(code('Table 310.16'), ['60', '75', '90'], [
    [1, 15, 20, 25], [2, 25, 30, 35], [3, 35, 40, 45], [4, 40, 50, 55], [5, 55, 65, 75], [6, 65, 75, 85],
    [7, 75, 90, 100], [8, 85, 100, 115], [9, 100, 120, 135], [10, 115, 135, 150], [11, 130, 155, 175],
    [12, 150, 180, 205], [13, 170, 205, 230], [14, 195, 230, 260], [15, 210, 250, 280], [16, 225, 270, 305],
    [17, 260, 310, 350], [18, 285, 340, 385], [19, 315, 375, 425], [20, 320, 385, 435], [21, 330, 395, 445],
    [22, 355, 425, 480], [23, 375, 445, 500],
  ]),
}; // prettier-ignore

/** The same of single conductors in free air. */
export const inFreeAir = {
  copper: table(code('Table 310.17'), ['60', '75', '90'], [
    [0, 25, 30, 35], [1, 30, 35, 40], [2, 40, 50, 55], [3, 60, 70, 80], [4, 80, 95, 105], [5, 105, 125, 140],
    [6, 120, 145, 165], [7, 140, 170, 190], [8, 165, 195, 220], [9, 195, 230, 260], [10, 225, 265, 300],
    [11, 260, 310, 350], [12, 300, 360, 405], [13, 340, 405, 455], [14, 375, 445, 500], [15, 420, 505, 570],
    [16, 455, 545, 615], [17, 515, 620, 700], [18, 575, 690, 780], [19, 630, 755, 850], [20, 655, 785, 885],
    [21, 680, 815, 920], [22, 730, 870, 980], [23, 780, 935, 1055],
  ]),
  aluminium: table(code('Table 310.17'), ['60', '75', '90'], [
    [1, 25, 30, 35], [2, 35, 40, 45], [3, 45, 55, 60], [4, 60, 75, 85], [5, 80, 100, 115], [6, 95, 115, 130],
    [7, 110, 135, 150], [8, 130, 155, 175], [9, 150, 180, 205], [10, 175, 210, 235], [11, 200, 240, 270],
    [12, 235, 280, 315], [13, 265, 315, 355], [14, 290, 350, 395], [15, 330, 395, 445], [16, 355, 425, 480],
    [17, 405, 485, 545], [18, 455, 545, 615], [19, 500, 595, 670], [20, 515, 620, 700], [21, 535, 645, 725],
    [22, 580, 700, 790], [23, 625, 750, 845],
  ]),
}; // prettier-ignore

/** Correction for an ambient of up to so many °C, from 30 °C; null where the insulation is at its limit. */
export const ambientFactors = table(code('Table 310.15(B)(1)(1)'), ['60', '75', '90'], [
  [10, 1.29, 1.2, 1.15], [15, 1.22, 1.15, 1.12], [20, 1.15, 1.11, 1.08], [25, 1.08, 1.05, 1.04], [30, 1, 1, 1],
  [35, 0.91, 0.94, 0.96], [40, 0.82, 0.88, 0.91], [45, 0.71, 0.82, 0.87], [50, 0.58, 0.75, 0.82],
  [55, 0.41, 0.67, 0.76], [60, null, 0.58, 0.71], [65, null, 0.47, 0.65], [70, null, 0.33, 0.58],
  [75, null, null, 0.5], [80, null, null, 0.41], [85, null, null, 0.29],
]); // prettier-ignore

/** Adjustment for up to so many current-carrying conductors in one raceway. */
export const bundlingFactors = table(code('Table 310.15(C)(1)'), ['factor'], [
  [3, 1], [6, 0.8], [9, 0.7], [20, 0.5], [30, 0.45], [40, 0.4], [1000, 0.35],
]); // prettier-ignore

/** Standard ratings of inverse-time breakers, A. */
export const deviceRatings = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450, 500, 600,
  700, 800, 1000, 1200, 1600, 2000, 2500, 3000, 4000, 5000, 6000,
] as const; // prettier-ignore
/** Fuses have five ratings more. */
export const fuseRatings: readonly number[] = [1, 3, 6, 10, 601, ...deviceRatings].toSorted((a, b) => a - b);
export const deviceRatingsSource = code('240.6(A)');

/**
 * Largest rating or setting as a share of the motor's table current: by the table, and as far as its exceptions go
 * where the motor cannot start otherwise. The breaker's exception is lower above 100 A.
 */
export const deviceShares = {
  source: code('Table 430.52(C)(1)'),
  exceptions: code('430.52(C)(1) Exception No. 2, 430.52(C)(3) Exception No. 1'),
  'inverse-time-breaker': { usual: 2.5, most: 4, mostAbove100: 3 },
  'dual-element-fuse': { usual: 1.75, most: 2.25, mostAbove100: 2.25 },
  'single-element-fuse': { usual: 3, most: 4, mostAbove100: 4 },
  /** Fuses of more than 600 A, of any kind, by their own exception. */
  largeFuse: { upTo: 600, beyond: 3 },
  'instantaneous-breaker': { usual: 8, most: 13, mostAbove100: 13 },
  /** A design B motor of an energy-efficient class surges higher. */
  instantaneousEfficient: { usual: 11, most: 17, mostAbove100: 17 },
} as const;

/** Equipment earthing conductor for a device of up to so many A: place in `wireSizes` of copper and of aluminium. */
export const earthSizes = table(code('Table 250.122'), ['copper', 'aluminium'], [
  [15, 0, 1], [20, 1, 2], [60, 2, 3], [100, 3, 4], [200, 4, 5], [300, 5, 7], [400, 6, 8], [500, 7, 9], [600, 8, 10],
  [800, 9, 11], [1000, 10, 12], [1200, 11, 13], [1600, 12, 15], [2000, 13, 16], [2500, 15, 18], [3000, 16, 18],
  [4000, 17, 20], [5000, 19, 24], [6000, 21, 24],
]); // prettier-ignore

/**
 * Alternating-current impedance in Ω per 1000 ft of three single conductors in conduit at 75 °C: resistance in steel
 * and in PVC of copper and of aluminium, reactance in steel and in PVC.
 */
export const wireImpedance = table(
  code('Chapter 9, Table 9'),
  ['copper steel', 'copper pvc', 'aluminium steel', 'aluminium pvc', 'reactance steel', 'reactance pvc'],
  [
    [0, 3.1, 3.1, null, null, 0.073, 0.058], [1, 2, 2, 3.2, 3.2, 0.068, 0.054], [2, 1.2, 1.2, 2, 2, 0.063, 0.05],
    [3, 0.78, 0.78, 1.3, 1.3, 0.065, 0.052], [4, 0.49, 0.49, 0.81, 0.81, 0.064, 0.051],
    [5, 0.31, 0.31, 0.51, 0.51, 0.06, 0.048], [6, 0.25, 0.25, 0.4, 0.4, 0.059, 0.047],
    [7, 0.2, 0.19, 0.32, 0.32, 0.057, 0.045], [8, 0.16, 0.15, 0.25, 0.25, 0.057, 0.046],
    [9, 0.12, 0.12, 0.2, 0.2, 0.055, 0.044], [10, 0.1, 0.1, 0.16, 0.16, 0.054, 0.043],
    [11, 0.079, 0.077, 0.13, 0.13, 0.052, 0.042], [12, 0.063, 0.062, 0.1, 0.1, 0.051, 0.041],
    [13, 0.054, 0.052, 0.086, 0.085, 0.052, 0.041], [14, 0.045, 0.044, 0.072, 0.071, 0.051, 0.041],
    [15, 0.039, 0.038, 0.063, 0.061, 0.05, 0.04], [16, 0.035, 0.033, 0.055, 0.054, 0.049, 0.04],
    [17, 0.029, 0.027, 0.045, 0.043, 0.048, 0.039], [18, 0.025, 0.023, 0.038, 0.036, 0.048, 0.039],
    [20, 0.021, 0.019, 0.031, 0.029, 0.048, 0.038], [23, 0.018, 0.015, 0.025, 0.023, 0.046, 0.037],
  ],
); // prettier-ignore

/** Area in in² of one insulated conductor, by its place in `wireSizes`. */
export const wireAreas = table(code('Chapter 9, Table 5'), ['THHN', 'XHHW'], [
  [0, 0.0097, 0.0139], [1, 0.0133, 0.0181], [2, 0.0211, 0.0243], [3, 0.0366, 0.0437], [4, 0.0507, 0.059],
  [5, 0.0824, 0.0814], [6, 0.0973, 0.0962], [7, 0.1158, 0.1146], [8, 0.1562, 0.1534], [9, 0.1855, 0.1825],
  [10, 0.2223, 0.219], [11, 0.2679, 0.2642], [12, 0.3237, 0.3197], [13, 0.397, 0.3904], [14, 0.4608, 0.4536],
  [15, 0.5242, 0.5166], [16, 0.5863, 0.5782], [17, 0.7073, 0.6984], [18, 0.8676, 0.8709], [19, 0.9887, 0.9923],
  [20, 1.0496, 1.0532], [21, 1.1085, 1.1122], [22, 1.2311, 1.2351], [23, 1.3478, 1.3519],
]); // prettier-ignore

/** Trade sizes of conduit. */
export const conduitSizes = ['1/2', '3/4', '1', '1-1/4', '1-1/2', '2', '2-1/2', '3', '3-1/2', '4'] as const;

/** 40 % of the inside area in in² (more than two conductors), by the place in `conduitSizes`. */
export const conduitAreas = table(code('Chapter 9, Tables 1 and 4'), ['emt', 'rmc', 'pvc'], [
  [0, 0.122, 0.125, 0.114], [1, 0.213, 0.22, 0.203], [2, 0.346, 0.355, 0.333], [3, 0.598, 0.61, 0.581],
  [4, 0.814, 0.829, 0.794], [5, 1.342, 1.363, 1.316], [6, 2.343, 1.946, 1.878], [7, 3.538, 3, 2.907],
  [8, 4.618, 4.004, 3.895], [9, 5.901, 5.153, 5.022],
]); // prettier-ignore

/** Largest motor in hp of a starter size, from 00 (−1) up. */
export const starterSizes = table(
  remembered('standard', 'NEMA ICS 2', '2000', 'Table 2-4-1 (non-plugging, non-jogging duty)'),
  ['200', '230', '380', '460'],
  [
    [-1, 1.5, 1.5, 1.5, 2], [0, 3, 3, 5, 5], [1, 7.5, 7.5, 10, 10], [2, 10, 15, 25, 25], [3, 25, 30, 50, 50],
    [4, 40, 50, 75, 100], [5, 75, 100, 150, 200], [6, 150, 200, 300, 400], [7, null, 300, null, 600],
  ],
); // prettier-ignore

/** Short-circuit rating of a motor controller marked with none, by hp to and including, A. */
export const defaultFaultRatings = table(
  remembered('standard', 'UL 508A', '2018', 'Supplement SB, Table SB4.1 (unmarked motor controllers)'),
  ['A'],
  [
    [50, 5000],
    [200, 10000],
    [400, 18000],
    [600, 30000],
    [900, 42000],
    [1600, 85000],
  ],
);
