import { remembered } from '../../contract';

export const nemaFrameSource = remembered('standard', 'NEMA MG 1', '2016', '4.4.1 (foot-mounted frames, dimensions)');
export const nemaUFrameSource = remembered('standard', 'NEMA MG 1', '1952 to 1964 series', 'U frames, dimensions');
export const nemaFirstFrameSource = remembered('standard', 'NEMA MG 1', 'before 1952', 'first series, dimensions');
export const nemaSuffixSource = remembered('standard', 'NEMA MG 1', '2016', '4.2.2 (suffix letters)');
export const nemaFaceSource = remembered('standard', 'NEMA MG 1', '2016', '4.4.2 (face mounting, type C)');

/**
 * Foot-mounted frames in inches: frame, shaft height D, feet across 2E, feet along 2F, shaft shoulder to foot hole BA,
 * hole H, shaft diameter U, usable shaft length N-W.
 */
export type FrameRow = readonly [string, number, number, number, number, number, number, number];

export const nemaFrames: readonly FrameRow[] = [
  ['42', 2.625, 3.5, 1.6875, 2.0625, 0.28, 0.375, 1.125],
  ['48', 3, 4.25, 2.75, 2.5, 0.34, 0.5, 1.5],
  ['56', 3.5, 4.875, 3, 2.75, 0.34, 0.625, 1.875],
  ['143T', 3.5, 5.5, 4, 2.25, 0.34, 0.875, 2.25],
  ['145T', 3.5, 5.5, 5, 2.25, 0.34, 0.875, 2.25],
  ['182T', 4.5, 7.5, 4.5, 2.75, 0.41, 1.125, 2.75],
  ['184T', 4.5, 7.5, 5.5, 2.75, 0.41, 1.125, 2.75],
  ['213T', 5.25, 8.5, 5.5, 3.5, 0.41, 1.375, 3.375],
  ['215T', 5.25, 8.5, 7, 3.5, 0.41, 1.375, 3.375],
  ['254T', 6.25, 10, 8.25, 4.25, 0.53, 1.625, 4],
  ['256T', 6.25, 10, 10, 4.25, 0.53, 1.625, 4],
  ['284T', 7, 11, 9.5, 4.75, 0.53, 1.875, 4.625],
  ['284TS', 7, 11, 9.5, 4.75, 0.53, 1.625, 3.25],
  ['286T', 7, 11, 11, 4.75, 0.53, 1.875, 4.625],
  ['286TS', 7, 11, 11, 4.75, 0.53, 1.625, 3.25],
  ['324T', 8, 12.5, 10.5, 5.25, 0.66, 2.125, 5.25],
  ['324TS', 8, 12.5, 10.5, 5.25, 0.66, 1.875, 3.75],
  ['326T', 8, 12.5, 12, 5.25, 0.66, 2.125, 5.25],
  ['326TS', 8, 12.5, 12, 5.25, 0.66, 1.875, 3.75],
  ['364T', 9, 14, 11.25, 5.875, 0.66, 2.375, 5.875],
  ['364TS', 9, 14, 11.25, 5.875, 0.66, 1.875, 3.75],
  ['365T', 9, 14, 12.25, 5.875, 0.66, 2.375, 5.875],
  ['365TS', 9, 14, 12.25, 5.875, 0.66, 1.875, 3.75],
  ['404T', 10, 16, 12.25, 6.625, 0.81, 2.875, 7.25],
  ['404TS', 10, 16, 12.25, 6.625, 0.81, 2.125, 4.25],
  ['405T', 10, 16, 13.75, 6.625, 0.81, 2.875, 7.25],
  ['405TS', 10, 16, 13.75, 6.625, 0.81, 2.125, 4.25],
  ['444T', 11, 18, 14.5, 7.5, 0.81, 3.375, 8.5],
  ['444TS', 11, 18, 14.5, 7.5, 0.81, 2.375, 4.75],
  ['445T', 11, 18, 16.5, 7.5, 0.81, 3.375, 8.5],
  ['445TS', 11, 18, 16.5, 7.5, 0.81, 2.375, 4.75],
  ['447T', 11, 18, 20, 7.5, 0.81, 3.375, 8.5],
  ['447TS', 11, 18, 20, 7.5, 0.81, 2.375, 4.75],
  ['449T', 11, 18, 25, 7.5, 0.81, 3.375, 8.5],
  ['449TS', 11, 18, 25, 7.5, 0.81, 2.375, 4.75],
];

/** The series of 1952 to 1964: the feet of the T frame where the digits agree, another shaft. */
export const nemaUFrames: readonly FrameRow[] = [
  ['182', 4.5, 7.5, 4.5, 2.75, 0.41, 0.875, 2.25],
  ['184', 4.5, 7.5, 5.5, 2.75, 0.41, 0.875, 2.25],
  ['213', 5.25, 8.5, 5.5, 3.5, 0.41, 1.125, 3],
  ['215', 5.25, 8.5, 7, 3.5, 0.41, 1.125, 3],
  ['254U', 6.25, 10, 8.25, 4.25, 0.53, 1.375, 3.75],
  ['256U', 6.25, 10, 10, 4.25, 0.53, 1.375, 3.75],
  ['284U', 7, 11, 9.5, 4.75, 0.53, 1.625, 4.875],
  ['286U', 7, 11, 11, 4.75, 0.53, 1.625, 4.875],
  ['324U', 8, 12.5, 10.5, 5.25, 0.66, 1.875, 5.625],
  ['326U', 8, 12.5, 12, 5.25, 0.66, 1.875, 5.625],
  ['364U', 9, 14, 11.25, 5.875, 0.66, 2.125, 6.375],
  ['365U', 9, 14, 12.25, 5.875, 0.66, 2.125, 6.375],
  ['404U', 10, 16, 12.25, 6.625, 0.81, 2.375, 7.125],
  ['405U', 10, 16, 13.75, 6.625, 0.81, 2.375, 7.125],
  ['444U', 11, 18, 14.5, 7.5, 0.81, 2.875, 8.625],
  ['445U', 11, 18, 16.5, 7.5, 0.81, 2.875, 8.625],
];

/** The first series, before 1952: digits alone, more frame for the same power and a thinner shaft. */
export const nemaFirstFrames: readonly FrameRow[] = [
  ['203', 5, 8, 5.5, 3.125, 0.41, 0.75, 2.25],
  ['204', 5, 8, 6.5, 3.125, 0.41, 0.75, 2.25],
  ['224', 5.5, 9, 6.75, 3.5, 0.41, 1, 3],
  ['225', 5.5, 9, 7.5, 3.5, 0.41, 1, 3],
  ['254', 6.25, 10, 8.25, 4.25, 0.53, 1.125, 3.375],
  ['284', 7, 11, 9.5, 4.75, 0.53, 1.25, 3.75],
  ['324', 8, 12.5, 10.5, 5.25, 0.66, 1.625, 4.875],
  ['326', 8, 12.5, 12, 5.25, 0.66, 1.625, 4.875],
  ['364', 9, 14, 11.25, 5.875, 0.66, 1.875, 5.625],
  ['365', 9, 14, 12.25, 5.875, 0.66, 1.875, 5.625],
  ['404', 10, 16, 12.25, 6.625, 0.81, 2.125, 6.375],
  ['405', 10, 16, 13.75, 6.625, 0.81, 2.125, 6.375],
  ['444', 11, 18, 14.5, 7.5, 0.81, 2.375, 7.125],
  ['445', 11, 18, 16.5, 7.5, 0.81, 2.375, 7.125],
  ['504', 12.5, 20, 16, 8.5, 0.94, 2.875, 8.625],
  ['505', 12.5, 20, 18, 8.5, 0.94, 2.875, 8.625],
];

/** C faces by frame digits in inches: bolt circle AJ, pilot AK. */
export const nemaFaces: readonly (readonly [RegExp, number, number])[] = [
  [/^(56|14[35])/, 5.875, 4.5],
  [/^(18[24]|21[35]|25[46])/, 7.25, 8.5],
  [/^28[46]/, 9, 10.5],
  [/^(32[46]|36[45]|40[45])/, 11, 12.5],
  [/^44[4579]/, 14, 16],
];

/** What a letter after the digits means, and whether another motor can be adapted to it. */
export const nemaSuffixes: readonly (readonly [string, string, 'plain' | 'adaptable' | 'special'])[] = [
  ['JM', 'close-coupled pump shaft, JM', 'special'],
  ['JP', 'close-coupled pump shaft, JP', 'special'],
  ['TS', 'short shaft, for direct coupling only', 'plain'],
  ['C', 'C face', 'plain'],
  ['D', 'D flange', 'plain'],
  ['H', 'longer base', 'adaptable'],
  ['J', 'threaded jet-pump shaft', 'special'],
  ['S', 'short shaft, for direct coupling only', 'plain'],
  ['T', 'T series (since 1964)', 'plain'],
  ['U', 'U series (1952 to 1964)', 'plain'],
  ['Y', 'special mounting dimensions', 'adaptable'],
  ['Z', 'special shaft', 'special'],
  ['V', 'vertical mounting', 'plain'],
  ['P', 'vertical P base', 'special'],
  ['R', 'tapered shaft extension', 'special'],
  ['A', 'another dimension by the maker', 'adaptable'],
];
