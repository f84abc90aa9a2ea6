import { commonPractice, remembered } from '../../../contract';
import { table, tableOfNames } from '../../table';

/** Nominal efficiency in % at 50 Hz. Columns: IE2 2, 4, 6 poles; IE3 2, 4, 6; IE4 2, 4, 6. Ratings in kW. */
export const efficiencySource = remembered('standard', 'IEC 60034-30-1', '2014', 'Tables 4, 6 and 8');
export const efficiencies = table(
  efficiencySource,
  ['IE2 2', 'IE2 4', 'IE2 6', 'IE3 2', 'IE3 4', 'IE3 6', 'IE4 2', 'IE4 4', 'IE4 6'],
  [
    [0.75, 77.4, 79.6, 75.9, 80.7, 82.5, 78.9, 83.5, 85.7, 82.7],
    [1.1, 79.6, 81.4, 78.1, 82.7, 84.1, 81.0, 85.2, 87.2, 84.5],
    [1.5, 81.3, 82.8, 79.8, 84.2, 85.3, 82.5, 86.5, 88.2, 85.9],
    [2.2, 83.2, 84.3, 81.8, 85.9, 86.7, 84.3, 88.0, 89.5, 87.4],
    [3, 84.6, 85.5, 83.3, 87.1, 87.7, 85.6, 89.1, 90.4, 88.6],
    [4, 85.8, 86.6, 84.6, 88.1, 88.6, 86.8, 90.0, 91.1, 89.5],
    [5.5, 87.0, 87.7, 86.0, 89.2, 89.6, 88.0, 90.9, 91.9, 90.5],
    [7.5, 88.1, 88.7, 87.2, 90.1, 90.4, 89.1, 91.7, 92.6, 91.3],
    [11, 89.4, 89.8, 88.7, 91.2, 91.4, 90.3, 92.6, 93.3, 92.3],
    [15, 90.3, 90.6, 89.7, 91.9, 92.1, 91.2, 93.3, 93.9, 92.9],
    [18.5, 90.9, 91.2, 90.4, 92.4, 92.6, 91.7, 93.7, 94.2, 93.4],
    [22, 91.3, 91.6, 90.9, 92.7, 93.0, 92.2, 94.0, 94.5, 93.7],
    [30, 92.0, 92.3, 91.7, 93.3, 93.6, 92.9, 94.5, 94.9, 94.2],
    [37, 92.5, 92.7, 92.2, 93.7, 93.9, 93.3, 94.8, 95.2, 94.5],
    [45, 92.9, 93.1, 92.7, 94.0, 94.2, 93.7, 95.0, 95.4, 94.8],
    [55, 93.2, 93.5, 93.1, 94.3, 94.6, 94.1, 95.3, 95.7, 95.1],
    [75, 93.8, 94.0, 93.7, 94.7, 95.0, 94.6, 95.6, 96.0, 95.4],
    [90, 94.1, 94.2, 94.0, 95.0, 95.2, 94.9, 95.8, 96.1, 95.6],
    [110, 94.3, 94.5, 94.3, 95.2, 95.4, 95.1, 96.0, 96.3, 95.8],
    [132, 94.6, 94.7, 94.6, 95.4, 95.6, 95.4, 96.2, 96.4, 96.0],
    [160, 94.8, 94.9, 94.8, 95.6, 95.8, 95.6, 96.3, 96.6, 96.2],
    [200, 95.0, 95.1, 95.0, 95.8, 96.0, 95.8, 96.5, 96.7, 96.3],
    [250, 95.0, 95.1, 95.0, 95.8, 96.0, 95.8, 96.5, 96.7, 96.5],
    [315, 95.0, 95.1, 95.0, 95.8, 96.0, 95.8, 96.5, 96.7, 96.6],
    [355, 95.0, 95.1, 95.0, 95.8, 96.0, 95.8, 96.5, 96.7, 96.6],
    [375, 95.0, 95.1, 95.0, 95.8, 96.0, 95.8, 96.5, 96.7, 96.6],
  ],
);

/** Nominal efficiency in % at 50 Hz, class IE1. Columns: 2, 4, 6 poles. Ratings in kW. */
export const ie1Source = remembered('standard', 'IEC 60034-30-1', '2014', 'Table 2');
export const ie1 = table(
  ie1Source,
  ['2', '4', '6'],
  [
    [0.12, 45.0, 50.0, 38.3],
    [0.18, 52.8, 57.0, 45.5],
    [0.2, 54.6, 58.5, 47.6],
    [0.25, 58.2, 61.5, 52.1],
    [0.37, 63.9, 66.0, 59.7],
    [0.4, 64.9, 66.8, 61.1],
    [0.55, 69.0, 70.0, 65.8],
    [0.75, 72.1, 72.1, 70.0],
    [1.1, 75.0, 75.0, 72.9],
    [1.5, 77.2, 77.2, 75.2],
    [2.2, 79.7, 79.7, 77.7],
    [3, 81.5, 81.5, 79.7],
    [4, 83.1, 83.1, 81.4],
    [5.5, 84.7, 84.7, 83.1],
    [7.5, 86.0, 86.0, 84.7],
    [11, 87.6, 87.6, 86.4],
    [15, 88.7, 88.7, 87.7],
    [18.5, 89.3, 89.3, 88.6],
    [22, 89.9, 89.9, 89.2],
    [30, 90.7, 90.7, 90.2],
    [37, 91.2, 91.2, 90.8],
    [45, 91.7, 91.7, 91.4],
    [55, 92.1, 92.1, 91.9],
    [75, 92.7, 92.7, 92.6],
    [90, 93.0, 93.0, 92.9],
    [110, 93.3, 93.3, 93.3],
    [132, 93.5, 93.5, 93.5],
    [160, 93.8, 93.8, 93.8],
    [200, 94.0, 94.0, 94.0],
    [375, 94.0, 94.0, 94.0],
  ],
);

/** Least breakdown torque ÷ rated torque, design N. Upper end of each band in kW; columns: 2, 4, 6 poles. */
export const breakdownTorqueSource = remembered('standard', 'IEC 60034-12', '2002', 'Table 1');
export const breakdownTorques = table(
  breakdownTorqueSource,
  ['2', '4', '6'],
  [
    [0.63, 2.0, 2.0, 1.7],
    [1.0, 2.0, 2.0, 1.8],
    [1.6, 2.0, 2.0, 1.9],
    [2.5, 2.0, 2.0, 1.9],
    [4.0, 2.0, 2.0, 1.9],
    [6.3, 2.0, 2.0, 1.9],
    [10, 2.0, 2.0, 1.8],
    [16, 2.0, 2.0, 1.8],
    [25, 1.9, 1.9, 1.8],
    [40, 1.9, 1.9, 1.8],
    [63, 1.8, 1.8, 1.7],
    [100, 1.8, 1.8, 1.7],
    [160, 1.7, 1.7, 1.7],
    [250, 1.7, 1.7, 1.6],
    [400, 1.6, 1.6, 1.6],
    [630, 1.6, 1.6, 1.6],
  ],
);

/** Design H starts harder: 1.5 times the locked-rotor torque of design N, at least 2.0; breakdown 1.9 and above. */
export const designHSource = remembered('standard', 'IEC 60034-12', '2002', 'clause 8 (design H), Table 4');

/**
 * How motors of class IE3 start, by rating in kW: locked-rotor current ÷ rated (I) and locked-rotor torque ÷ rated (T),
 * by poles. The better classes draw more than older motors did, and most pull well above the least of the standard.
 */
export const usualStartSource = commonPractice(
  'Starting current and torque of motors of class IE3, by rating and poles; a maker’s sheet decides',
);
export const usualStarts = table(
  usualStartSource,
  ['I 2', 'I 4', 'I 6', 'I 8', 'T 2', 'T 4', 'T 6', 'T 8'],
  [
    [0.37, 5.0, 5.0, 4.2, 3.8, 2.4, 2.2, 1.9, 1.8],
    [0.75, 6.2, 6.2, 5.0, 4.3, 2.6, 2.4, 2.0, 1.9],
    [1.5, 7.3, 7.0, 5.8, 4.8, 2.5, 2.6, 2.1, 1.9],
    [4, 7.8, 7.6, 6.6, 5.5, 2.4, 2.6, 2.2, 1.9],
    [7.5, 7.8, 7.8, 7.0, 5.9, 2.3, 2.5, 2.2, 1.9],
    [15, 7.8, 7.6, 7.2, 6.2, 2.3, 2.4, 2.2, 1.9],
    [30, 7.6, 7.4, 7.2, 6.4, 2.2, 2.4, 2.3, 1.9],
    [75, 7.5, 7.3, 7.1, 6.6, 2.0, 2.3, 2.2, 1.8],
    [110, 7.4, 7.3, 7.1, 6.8, 1.9, 2.2, 2.1, 1.8],
    [200, 7.3, 7.2, 7.0, 6.8, 1.8, 2.1, 2.0, 1.7],
    [375, 7.2, 7.1, 7.0, 6.8, 1.6, 2.0, 1.9, 1.6],
  ],
);
/** Class IE4 draws this many times rated current more than IE3. */
export const ie4StartsHarder = 0.6;

/** Largest locked-rotor apparent power ÷ rated power (kVA per kW), design N; upper end of each band in kW. */
export const lockedRotorPowerSource = remembered('standard', 'IEC 60034-12', '2002', 'Table 2');
export const lockedRotorPower = table(
  lockedRotorPowerSource,
  ['kVA per kW'],
  [
    [6.3, 13],
    [25, 12],
    [100, 11],
    [630, 10],
  ],
);

/** Least locked-rotor torque ÷ rated torque, design N. Upper end of each band in kW; columns: 2, 4, 6 poles. */
export const lockedRotorTorqueSource = remembered('standard', 'IEC 60034-12', '2002', 'Table 1');
export const lockedRotorTorques = table(
  lockedRotorTorqueSource,
  ['2', '4', '6'],
  [
    [0.63, 1.9, 2, 1.7],
    [1.0, 1.8, 1.9, 1.7],
    [1.6, 1.8, 1.9, 1.6],
    [2.5, 1.7, 1.8, 1.6],
    [4.0, 1.6, 1.7, 1.5],
    [6.3, 1.5, 1.6, 1.5],
    [10, 1.5, 1.6, 1.5],
    [16, 1.4, 1.5, 1.4],
    [25, 1.3, 1.4, 1.4],
    [40, 1.2, 1.3, 1.3],
    [63, 1.1, 1.2, 1.2],
    [100, 1.0, 1.1, 1.1],
    [160, 0.9, 1.0, 1.0],
    [250, 0.8, 0.9, 0.9],
    [400, 0.75, 0.75, 0.75],
    [630, 0.65, 0.65, 0.65],
  ],
);

/** Frames by rating in kW. Columns: 2, 4, 6 poles. Above 132 kW the assignment is usual, not standard. */
export const frameSource = remembered('standard', 'EN 50347', '2001', 'Table 4');
export const frames = tableOfNames(
  frameSource,
  ['2', '4', '6'],
  [
    [0.75, '80M', '80M', '90S'],
    [1.1, '80M', '90S', '90L'],
    [1.5, '90S', '90L', '100L'],
    [2.2, '90L', '100L', '112M'],
    [3, '100L', '100L', '132S'],
    [4, '112M', '112M', '132M'],
    [5.5, '132S', '132S', '132M'],
    [7.5, '132S', '132M', '160M'],
    [11, '160M', '160M', '160L'],
    [15, '160M', '160L', '180L'],
    [18.5, '160L', '180M', '200L'],
    [22, '180M', '180L', '200L'],
    [30, '200L', '200L', '225M'],
    [37, '200L', '225S', '250M'],
    [45, '225M', '225M', '280S'],
    [55, '250M', '250M', '280M'],
    [75, '280S', '280S', '315S'],
    [90, '280M', '280M', '315M'],
    [110, '315S', '315S', '315L'],
    [132, '315M', '315M', '315L'],
    [160, '315L', '315L', '315L'],
    [200, '315L', '315L', '355M'],
  ],
);

/** Nominal efficiency in % at 50 Hz of small motors. Columns as in `efficiencies` (IE2, IE3, IE4 by 2, 4, 6 poles). */
export const smallEfficiencies = table(
  efficiencySource,
  ['IE2 2', 'IE2 4', 'IE2 6', 'IE3 2', 'IE3 4', 'IE3 6', 'IE4 2', 'IE4 4', 'IE4 6'],
  [
    [0.12, 53.6, 59.1, 50.6, 60.8, 64.8, 57.7, 66.5, 69.8, 64.9],
    [0.18, 60.4, 64.7, 56.6, 65.9, 69.9, 63.9, 70.8, 74.7, 70.1],
    [0.2, 61.9, 65.9, 58.2, 67.2, 71.1, 65.4, 71.9, 75.8, 71.4],
    [0.25, 64.8, 68.5, 61.6, 69.7, 73.5, 68.6, 74.3, 77.9, 74.1],
    [0.37, 69.5, 72.7, 67.6, 73.8, 77.3, 73.5, 78.1, 81.1, 78.0],
    [0.4, 70.4, 73.5, 68.8, 74.6, 78.0, 74.4, 78.9, 81.7, 78.7],
    [0.55, 74.1, 77.1, 73.1, 77.8, 80.8, 77.2, 81.5, 83.9, 80.9],
  ],
);

/** Nominal efficiency in % at 50 Hz, 8 poles. Columns: IE3, IE4. */
export const eightPoleEfficiencies = table(
  efficiencySource,
  ['IE3', 'IE4'],
  [
    [0.37, 69.3, 74.3],
    [0.55, 73.0, 77.0],
    [0.75, 75.0, 78.4],
    [1.1, 77.7, 80.8],
    [1.5, 79.7, 82.6],
    [2.2, 81.9, 84.5],
    [3, 83.5, 85.9],
    [4, 84.8, 87.1],
    [5.5, 86.2, 88.3],
    [7.5, 87.3, 89.3],
    [11, 88.6, 90.4],
    [15, 89.6, 91.2],
    [18.5, 90.1, 91.7],
    [22, 90.6, 92.1],
    [30, 91.3, 92.7],
    [37, 91.8, 93.1],
    [45, 92.2, 93.4],
    [55, 92.5, 93.7],
    [75, 93.1, 94.2],
    [90, 93.4, 94.4],
    [110, 93.7, 94.7],
    [132, 94.0, 94.9],
    [160, 94.3, 95.1],
    [200, 94.6, 95.4],
  ],
);

/** Least pull-up torque ÷ rated torque, design N. Upper end of each band in kW; columns: 2, 4, 6, 8 poles. */
export const pullUpTorqueSource = remembered('standard', 'IEC 60034-12', '2002', 'Table 1 (pull-up torque)');
export const pullUpTorques = table(
  pullUpTorqueSource,
  ['2', '4', '6', '8'],
  [
    [0.63, 1.3, 1.4, 1.2, 1.1],
    [1.0, 1.2, 1.3, 1.2, 1.1],
    [1.6, 1.2, 1.3, 1.1, 1.0],
    [2.5, 1.1, 1.2, 1.1, 1.0],
    [4.0, 1.1, 1.2, 1.1, 1.0],
    [6.3, 1.0, 1.1, 1.1, 1.0],
    [10, 1.0, 1.1, 1.1, 1.0],
    [16, 1.0, 1.1, 1.0, 0.9],
    [25, 0.9, 1.0, 1.0, 0.9],
    [40, 0.9, 1.0, 1.0, 0.9],
    [63, 0.8, 0.9, 0.9, 0.8],
    [100, 0.7, 0.8, 0.8, 0.7],
    [160, 0.7, 0.8, 0.8, 0.7],
    [250, 0.6, 0.7, 0.7, 0.7],
    [400, 0.6, 0.6, 0.6, 0.6],
    [630, 0.5, 0.5, 0.5, 0.5],
  ],
);

/** Least locked-rotor and breakdown torque ÷ rated torque at 8 poles, design N. Upper end of each band in kW. */
export const eightPoleTorques = table(
  lockedRotorTorqueSource,
  ['locked', 'breakdown'],
  [
    [0.63, 1.5, 1.6],
    [1.0, 1.5, 1.7],
    [1.6, 1.4, 1.8],
    [2.5, 1.4, 1.8],
    [4.0, 1.3, 1.8],
    [6.3, 1.3, 1.8],
    [10, 1.3, 1.7],
    [16, 1.2, 1.7],
    [25, 1.2, 1.7],
    [40, 1.2, 1.7],
    [63, 1.1, 1.7],
    [100, 1.0, 1.6],
    [160, 0.9, 1.6],
    [250, 0.9, 1.6],
    [400, 0.75, 1.6],
    [630, 0.65, 1.6],
  ],
);

/** Frames of small ratings (2, 4, 6 poles), and of 8 poles. */
export const smallFrames = tableOfNames(
  frameSource,
  ['2', '4', '6'],
  [
    [0.37, '71M', '71M', '80M'],
    [0.55, '71M', '80M', '80M'],
  ],
);
export const eightPoleFrames = tableOfNames(
  frameSource,
  ['8'],
  [
    [0.37, '90S'],
    [0.55, '90L'],
    [0.75, '100L'],
    [1.1, '100L'],
    [1.5, '112M'],
    [2.2, '132S'],
    [3, '132M'],
    [4, '160M'],
    [5.5, '160M'],
    [7.5, '160L'],
    [11, '180L'],
    [15, '200L'],
    [18.5, '225S'],
    [22, '225M'],
    [30, '250M'],
    [37, '280S'],
    [45, '280M'],
    [55, '315S'],
    [75, '315M'],
    [90, '315L'],
    [110, '315L'],
  ],
);

/**
 * Largest sound power level in dB(A) at no load, 50 Hz, cooled by a shaft fan. Shaft height in mm; columns: 2, 4, 6, 8
 * poles.
 */
export const soundSource = remembered('standard', 'IEC 60034-9', '2003', 'Table 2 (IC411, 50 Hz)');
export const soundLevels = table(
  soundSource,
  ['2', '4', '6', '8'],
  [
    [90, 78, 66, 63, 63],
    [100, 82, 70, 64, 64],
    [112, 83, 72, 70, 70],
    [132, 85, 75, 73, 71],
    [160, 87, 77, 73, 72],
    [180, 88, 80, 77, 76],
    [200, 90, 83, 80, 79],
    [225, 92, 84, 80, 79],
    [250, 92, 85, 82, 80],
    [280, 94, 88, 85, 82],
    [315, 98, 94, 89, 88],
    [355, 100, 95, 94, 92],
  ],
);

/**
 * Highest speed in r/min at which a standard single-speed cage motor may run, to 1000 V. Shaft height in mm; columns:
 * poles.
 */
export const safeSpeedSource = remembered('standard', 'IEC 60034-1', '2022', '9.7, Table 17');
export const safeSpeeds = table(
  safeSpeedSource,
  ['2', '4', '6'],
  [
    [112, 5200, 3600, 2400],
    [180, 4500, 2700, 2400],
    [200, 4500, 2300, 1800],
    [355, 3600, 2300, 1800],
  ],
);
