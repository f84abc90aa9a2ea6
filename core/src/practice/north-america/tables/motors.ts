import { remembered } from '../../../contract';
import { table, tableOfNames } from '../../table';

/** Nominal full-load efficiency in %, premium motors, 60 Hz. Columns: open 2, 4, 6 poles; enclosed 2, 4, 6 poles. */
export const premiumEfficiencySource = remembered('standard', 'NEMA MG 1', '2016', 'Table 12-12');
export const premiumEfficiency = table(
  premiumEfficiencySource,
  ['open 2', 'open 4', 'open 6', 'enclosed 2', 'enclosed 4', 'enclosed 6'],
  [
    [1, 77.0, 85.5, 82.5, 77.0, 85.5, 82.5],
    [1.5, 84.0, 86.5, 86.5, 84.0, 86.5, 87.5],
    [2, 85.5, 86.5, 87.5, 85.5, 86.5, 88.5],
    [3, 85.5, 89.5, 88.5, 86.5, 89.5, 89.5],
    [5, 86.5, 89.5, 89.5, 88.5, 89.5, 89.5],
    [7.5, 88.5, 91.0, 90.2, 89.5, 91.7, 91.0],
    [10, 89.5, 91.7, 91.7, 90.2, 91.7, 91.0],
    [15, 90.2, 93.0, 91.7, 91.0, 92.4, 91.7],
    [20, 91.0, 93.0, 92.4, 91.0, 93.0, 91.7],
    [25, 91.7, 93.6, 93.0, 91.7, 93.6, 93.0],
    [30, 91.7, 94.1, 93.6, 91.7, 93.6, 93.0],
    [40, 92.4, 94.1, 94.1, 92.4, 94.1, 94.1],
    [50, 93.0, 94.5, 94.1, 93.0, 94.5, 94.1],
    [60, 93.6, 95.0, 94.5, 93.6, 95.0, 94.5],
    [75, 93.6, 95.0, 94.5, 93.6, 95.4, 94.5],
    [100, 93.6, 95.4, 95.0, 94.1, 95.4, 95.0],
    [125, 94.1, 95.4, 95.0, 95.0, 95.4, 95.0],
    [150, 94.1, 95.8, 95.4, 95.0, 95.8, 95.8],
    [200, 95.0, 95.8, 95.4, 95.4, 96.2, 95.8],
    [250, 95.0, 95.8, 95.8, 95.8, 96.2, 95.8],
    [300, 95.4, 95.8, 95.8, 95.8, 96.2, 95.8],
    [350, 95.4, 95.8, 95.8, 95.8, 96.2, 95.8],
    [400, 95.8, 95.8, 95.8, 95.8, 96.2, 95.8],
    [450, 96.2, 96.2, 96.2, 95.8, 96.2, 95.8],
    [500, 96.2, 96.2, 96.2, 95.8, 96.2, 95.8],
  ],
);

/**
 * Nominal full-load efficiency in %, energy-efficient motors (the class before premium), 60 Hz. Columns as above;
 * the open two-pole 1 hp motor has none.
 */
export const energyEfficientSource = remembered('standard', 'NEMA MG 1', '2016', 'Table 12-11');
export const energyEfficient = table(
  energyEfficientSource,
  ['open 2', 'open 4', 'open 6', 'enclosed 2', 'enclosed 4', 'enclosed 6'],
  [
    [1, null, 82.5, 80.0, 75.5, 82.5, 80.0],
    [1.5, 82.5, 84.0, 84.0, 82.5, 84.0, 85.5],
    [2, 84.0, 84.0, 85.5, 84.0, 84.0, 86.5],
    [3, 84.0, 86.5, 86.5, 85.5, 87.5, 87.5],
    [5, 85.5, 87.5, 87.5, 87.5, 87.5, 87.5],
    [7.5, 87.5, 88.5, 88.5, 88.5, 89.5, 89.5],
    [10, 88.5, 89.5, 90.2, 89.5, 89.5, 89.5],
    [15, 89.5, 91.0, 90.2, 90.2, 91.0, 90.2],
    [20, 90.2, 91.0, 91.0, 90.2, 91.0, 90.2],
    [25, 91.0, 91.7, 91.7, 91.0, 92.4, 91.7],
    [30, 91.0, 92.4, 92.4, 91.0, 92.4, 91.7],
    [40, 91.7, 93.0, 93.0, 91.7, 93.0, 93.0],
    [50, 92.4, 93.0, 93.0, 92.4, 93.0, 93.0],
    [60, 93.0, 93.6, 93.6, 93.0, 93.6, 93.6],
    [75, 93.0, 94.1, 93.6, 93.0, 94.1, 93.6],
    [100, 93.0, 94.1, 94.1, 93.6, 94.5, 94.1],
    [125, 93.6, 94.5, 94.1, 94.5, 94.5, 94.1],
    [150, 93.6, 95.0, 94.5, 94.5, 95.0, 95.0],
    [200, 94.5, 95.0, 94.5, 95.0, 95.0, 95.0],
    [250, 94.5, 95.4, 95.4, 95.4, 95.0, 95.0],
    [300, 95.0, 95.4, 95.4, 95.4, 95.4, 95.0],
    [350, 95.0, 95.4, 95.4, 95.4, 95.4, 95.0],
    [400, 95.4, 95.4, null, 95.4, 95.4, null],
    [450, 95.8, 95.8, null, 95.4, 95.4, null],
    [500, 95.8, 95.8, null, 95.4, 95.8, null],
  ],
);

/** Nominal voltage of the system that a motor's rated voltage belongs to, V. */
export const systemVoltages = table(
  remembered('standard', 'ANSI C84.1', '2020', 'Table 1 and annex C (nominal system and utilization voltages)'),
  ['system'],
  [
    [115, 120],
    [200, 208],
    [230, 240],
    [460, 480],
    [575, 600],
  ],
);

/** Nominal efficiency in % and the minimum that belongs to it (20 % more loss), descending. */
export const efficiencyBandSource = remembered('standard', 'NEMA MG 1', '2016', 'Table 12-10');
export const efficiencyBands = table(
  efficiencyBandSource,
  ['least'],
  [
    [99.0, 98.8],
    [98.9, 98.7],
    [98.8, 98.6],
    [98.7, 98.5],
    [98.6, 98.4],
    [98.5, 98.2],
    [98.4, 98.0],
    [98.2, 97.8],
    [98.0, 97.6],
    [97.8, 97.4],
    [97.6, 97.1],
    [97.4, 96.8],
    [97.1, 96.5],
    [96.8, 96.2],
    [96.5, 95.8],
    [96.2, 95.4],
    [95.8, 95.0],
    [95.4, 94.5],
    [95.0, 94.1],
    [94.5, 93.6],
    [94.1, 93.0],
    [93.6, 92.4],
    [93.0, 91.7],
    [92.4, 91.0],
    [91.7, 90.2],
    [91.0, 89.5],
    [90.2, 88.5],
    [89.5, 87.5],
    [88.5, 86.5],
    [87.5, 85.5],
    [86.5, 84.0],
    [85.5, 82.5],
    [84.0, 81.5],
    [82.5, 80.0],
    [81.5, 78.5],
    [80.0, 77.0],
    [78.5, 75.5],
    [77.0, 74.0],
    [75.5, 72.0],
    [74.0, 70.0],
    [72.0, 68.0],
    [70.0, 66.0],
    [68.0, 64.0],
    [66.0, 62.0],
    [64.0, 59.5],
    [62.0, 57.5],
    [59.5, 55.0],
    [57.5, 52.5],
    [55.0, 50.5],
    [52.5, 48.0],
    [50.5, 46.0],
  ],
);

/** Largest locked-rotor current in A at 230 V, designs B, C and D, 60 Hz; other voltages in inverse proportion. */
export const lockedRotorCurrentSource = remembered('standard', 'NEMA MG 1', '2016', '12.35.1');
export const lockedRotorCurrents = table(
  lockedRotorCurrentSource,
  ['A'],
  [
    [0.5, 20],
    [0.75, 25],
    [1, 30],
    [1.5, 40],
    [2, 50],
    [3, 64],
    [5, 92],
    [7.5, 127],
    [10, 162],
    [15, 232],
    [20, 290],
    [25, 365],
    [30, 435],
    [40, 580],
    [50, 725],
    [60, 870],
    [75, 1085],
    [100, 1450],
    [125, 1815],
    [150, 2170],
    [200, 2900],
    [250, 3650],
    [300, 4400],
    [350, 5100],
    [400, 5800],
    [450, 6500],
    [500, 7250],
  ],
);

/** The same of 50 Hz motors, A at 380 V, to 200 hp; other voltages in inverse proportion. */
export const lockedRotorCurrents50 = table(remembered('standard', 'NEMA MG 1', '2016', '12.35.2 (50 Hz)'), ['A'], [
  [1, 20], [1.5, 27], [2, 34], [3, 43], [5, 61], [7.5, 84], [10, 107], [15, 154], [20, 194], [25, 243], [30, 289],
  [40, 387], [50, 482], [60, 578], [75, 722], [100, 965], [125, 1207], [150, 1441], [200, 1927],
]); // prettier-ignore

/** Least locked-rotor torque in % of rated, designs A and B. Columns: 2, 4, 6 poles. */
export const lockedRotorTorqueSource = remembered('standard', 'NEMA MG 1', '2016', 'Table 12-2 (12.38.1)');
export const lockedRotorTorques = table(
  lockedRotorTorqueSource,
  ['2', '4', '6'],
  [
    [0.75, null, null, 175],
    [1, 175, 275, 170],
    [1.5, 175, 250, 165],
    [2, 170, 235, 160],
    [3, 160, 215, 155],
    [5, 150, 185, 150],
    [7.5, 140, 175, 150],
    [10, 135, 165, 150],
    [15, 130, 160, 140],
    [20, 130, 150, 135],
    [25, 130, 150, 135],
    [30, 130, 150, 135],
    [40, 125, 140, 135],
    [50, 120, 140, 135],
    [60, 120, 140, 135],
    [75, 105, 140, 135],
    [100, 105, 125, 125],
    [125, 100, 110, 125],
    [150, 100, 110, 120],
    [200, 100, 100, 120],
    [250, 70, 80, 100],
    [300, 70, 80, 100],
    [350, 70, 80, 100],
    [400, 70, 80, 100],
    [450, 70, 80, 100],
    [500, 70, 80, 100],
  ],
);

/** Least breakdown torque in % of rated, designs A and B. Columns: 2, 4, 6, 8 poles. */
export const breakdownTorqueSource = remembered('standard', 'NEMA MG 1', '2016', '12.39.1');
export const breakdownTorques = table(
  breakdownTorqueSource,
  ['2', '4', '6', '8'],
  [
    [0.5, null, null, null, 225],
    [0.75, null, null, 275, 220],
    [1, null, 300, 265, 215],
    [1.5, 250, 280, 250, 210],
    [2, 240, 270, 240, 210],
    [3, 230, 250, 230, 205],
    [5, 215, 225, 215, 205],
    [7.5, 200, 215, 205, 200],
    [10, 200, 200, 200, 200],
    [200, 200, 200, 200, 200],
    [500, 175, 175, 175, 175],
  ],
);

/** Least locked-rotor torque in % of rated, design C. Columns: 4, 6, 8 poles. */
export const designCTorqueSource = remembered('standard', 'NEMA MG 1', '2016', '12.38.2 and 12.39.2');
export const designCLockedTorques = table(
  designCTorqueSource,
  ['4', '6', '8'],
  [
    [1, 285, 255, 225],
    [1.5, 285, 250, 225],
    [2, 285, 250, 225],
    [3, 270, 250, 225],
    [5, 255, 250, 225],
    [7.5, 250, 225, 200],
    [10, 250, 225, 200],
    [15, 225, 210, 200],
    [200, 200, 200, 200],
  ],
);
/** Least breakdown torque in % of rated, design C. Columns: 4, 6, 8 poles. */
export const designCBreakdownTorques = table(
  designCTorqueSource,
  ['4', '6', '8'],
  [
    [3, 200, 225, 200],
    [5, 200, 200, 200],
    [20, 200, 190, 190],
    [200, 190, 190, 190],
  ],
);

/** Least locked-rotor torque of design D, 4, 6 and 8 poles up to 150 hp, in % of rated. */
export const designDTorqueSource = remembered('standard', 'NEMA MG 1', '2016', '12.38.3');
export const designDLockedTorque = 275;

/** T frames by rating, totally enclosed fan-cooled. Columns: 2, 4, 6 poles. Beyond 250 hp none is standard. */
export const frameSource = remembered('standard', 'NEMA MG 1', '2016', '13.3 (TEFC, T frames)');
export const frames = tableOfNames(
  frameSource,
  ['2', '4', '6'],
  [
    [1, '143T', '143T', '145T'],
    [1.5, '143T', '145T', '182T'],
    [2, '145T', '145T', '184T'],
    [3, '182T', '182T', '213T'],
    [5, '184T', '184T', '215T'],
    [7.5, '213T', '213T', '254T'],
    [10, '215T', '215T', '256T'],
    [15, '254T', '254T', '284T'],
    [20, '256T', '256T', '286T'],
    [25, '284TS', '284T', '324T'],
    [30, '286TS', '286T', '326T'],
    [40, '324TS', '324T', '364T'],
    [50, '326TS', '326T', '365T'],
    [60, '364TS', '364T', '404T'],
    [75, '365TS', '365T', '405T'],
    [100, '405TS', '405T', '444T'],
    [125, '444TS', '444T', '445T'],
    [150, '445TS', '445T', '447T'],
    [200, '447TS', '447T', '449T'],
    [250, '449TS', '449T', '449T'],
  ],
);

/** T frames by rating, open. Columns: 2, 4, 6 poles. Two-pole motors one size below the enclosed from 3 hp on. */
export const openFrameSource = remembered('standard', 'NEMA MG 1', '2016', '13.2 (open, T frames)');
export const openFrames = tableOfNames(
  openFrameSource,
  ['2', '4', '6'],
  [
    [1, '143T', '143T', '145T'],
    [1.5, '143T', '145T', '182T'],
    [2, '145T', '145T', '184T'],
    [3, '145T', '182T', '213T'],
    [5, '182T', '184T', '215T'],
    [7.5, '184T', '213T', '254T'],
    [10, '213T', '215T', '256T'],
    [15, '215T', '254T', '284T'],
    [20, '254T', '256T', '286T'],
    [25, '256T', '284T', '324T'],
    [30, '284TS', '286T', '326T'],
    [40, '286TS', '324T', '364T'],
    [50, '324TS', '326T', '365T'],
    [60, '326TS', '364T', '404T'],
    [75, '364TS', '365T', '405T'],
    [100, '365TS', '404T', '444T'],
    [125, '404TS', '405T', '445T'],
    [150, '405TS', '444T', '447T'],
    [200, '444TS', '445T', '449T'],
    [250, '445TS', '447T', '449T'],
  ],
);

/** Frames by rating in the series of 1952 to 1964. Columns: 2, 4, 6 poles. */
export const uFrameSource = remembered('standard', 'NEMA MG 1', '1952 to 1964 series', 'U frames by rating');
export const uFrames = tableOfNames(
  uFrameSource,
  ['2', '4', '6'],
  [
    [1, null, '182', '184'],
    [1.5, '182', '184', '184'],
    [2, '184', '184', '213'],
    [3, '184', '213', '215'],
    [5, '213', '215', '254U'],
    [7.5, '215', '254U', '256U'],
    [10, '254U', '256U', '284U'],
    [15, '256U', '284U', '324U'],
    [20, '286U', '286U', '326U'],
    [25, '324U', '324U', '364U'],
    [30, '326U', '326U', '365U'],
    [40, '364U', '364U', '404U'],
    [50, '365U', '365U', '405U'],
    [60, '405U', '405U', '444U'],
    [75, '444U', '444U', '445U'],
    [100, '445U', '445U', null],
  ],
);

/** Frames by rating in the first series, before 1952. Columns: 2, 4, 6 poles. */
export const firstFrameSource = remembered('standard', 'NEMA MG 1', 'before 1952', 'first series, frames by rating');
export const firstFrames = tableOfNames(
  firstFrameSource,
  ['2', '4', '6'],
  [
    [1, null, '203', '204'],
    [1.5, '203', '204', '224'],
    [2, '204', '224', '225'],
    [3, '224', '225', '254'],
    [5, '225', '254', '284'],
    [7.5, '254', '284', '324'],
    [10, '284', '324', '326'],
    [15, '324', '326', '364'],
    [20, '326', '364', '365'],
    [25, '364', '364', '404'],
    [30, '364', '365', '405'],
    [40, '365', '404', '444'],
    [50, '404', '405', '445'],
    [60, '405', '444', '504'],
    [75, '444', '445', '505'],
    [100, '445', '504', null],
    [125, '504', '505', null],
  ],
);

/** Nominal full-load efficiency in % of small polyphase motors, 60 Hz. Columns: 2, 4, 6 poles. */
export const smallEfficiencySource = remembered(
  'code',
  '10 CFR 431.446',
  '2010',
  'Table 1 (polyphase small motors, open)',
);
export const smallEfficiency = table(
  smallEfficiencySource,
  ['2', '4', '6'],
  [
    [0.25, 65.6, 69.5, 67.5],
    [1 / 3, 69.5, 73.4, 71.4],
    [0.5, 73.4, 78.2, 75.3],
    [0.75, 76.8, 81.1, 81.7],
  ],
);

/** Nominal full-load efficiency in % at 8 poles, 60 Hz. Columns: open, enclosed. */
export const eightPoleEfficiencySource = remembered(
  'code',
  '10 CFR 431.25',
  '2014',
  'Table 5 (8 poles; premium level)',
);
export const eightPoleEfficiency = table(
  eightPoleEfficiencySource,
  ['open', 'enclosed'],
  [
    [1, 75.5, 75.5],
    [1.5, 77.0, 78.5],
    [2, 86.5, 84.0],
    [3, 87.5, 85.5],
    [5, 88.5, 86.5],
    [7.5, 89.5, 86.5],
    [10, 90.2, 89.5],
    [15, 90.2, 89.5],
    [20, 91.0, 90.2],
    [25, 91.0, 90.2],
    [30, 91.7, 91.7],
    [40, 91.7, 91.7],
    [50, 92.4, 92.4],
    [60, 93.0, 92.4],
    [75, 94.1, 93.6],
    [100, 94.1, 93.6],
    [125, 94.1, 94.1],
    [150, 94.1, 94.1],
    [200, 94.1, 94.5],
    [250, 95.0, 95.0],
  ],
);

/** Least locked-rotor torque in % of rated, designs A and B, 8 poles. */
export const eightPoleLockedTorques = table(
  lockedRotorTorqueSource,
  ['8'],
  [
    [0.5, 140],
    [0.75, 135],
    [1, 135],
    [1.5, 130],
    [2, 130],
    [3, 130],
    [5, 130],
    [7.5, 125],
    [100, 125],
    [125, 120],
    [200, 120],
    [250, 100],
  ],
);

/** T frames at 8 poles by rating, enclosed. */
export const eightPoleFrames = tableOfNames(
  frameSource,
  ['8'],
  [
    [0.5, '143T'],
    [0.75, '145T'],
    [1, '182T'],
    [1.5, '184T'],
    [2, '213T'],
    [3, '215T'],
    [5, '254T'],
    [7.5, '256T'],
    [10, '284T'],
    [15, '286T'],
    [20, '324T'],
    [25, '326T'],
    [30, '364T'],
    [40, '365T'],
    [50, '404T'],
    [60, '405T'],
    [75, '444T'],
    [100, '445T'],
  ],
);

/** Least pull-up torque by rule on locked-rotor torque, designs A and B. */
export const pullUpTorqueSource = remembered(
  'standard',
  'NEMA MG 1',
  '2016',
  '12.40.1 (90 % of locked-rotor torque up to 110 %; 100 % of rated to below 145 %; 70 % of it from there)',
);
export const pullUpTorqueCSource = remembered(
  'standard',
  'NEMA MG 1',
  '2016',
  '12.40.2 (design C: 70 % of locked-rotor torque)',
);

/** Least pitch diameter in inches of a conventional V-belt sheave, the largest of the rows of each frame. */
export const leastSheaveSource = remembered('standard', 'NEMA MG 1', '2016', 'Table 14-1 (V-belt sheave diameters)');
export const leastSheaves: Readonly<Record<string, number>> = {
  '143T': 2.2,
  '145T': 2.4,
  '182T': 2.6,
  '184T': 3.0,
  '213T': 3.0,
  '215T': 3.8,
  '254T': 4.4,
  '256T': 4.6,
  '284T': 5.0,
  '286T': 5.4,
  '324T': 6.0,
  '326T': 6.8,
  '364T': 7.4,
  '365T': 9.0,
  '404T': 10.0,
  '405T': 11.5,
  '444T': 11.0,
  '445T': 12.5,
};

/** Highest speed in r/min at which a standard motor may be driven, coupled directly. Rating in hp; columns: poles. */
export const safeSpeedSource = remembered('standard', 'NEMA MG 1', '2021', 'Table 30-1 (totally enclosed, fan-cooled)');
export const safeSpeeds = table(
  safeSpeedSource,
  ['2', '4', '6'],
  [
    [5, 5200, 3600, 2400],
    [20, 4500, 2700, 2400],
    [30, 4500, 2700, 1800],
    [500, 3600, 2300, 1800],
  ],
);

/**
 * Starts an hour of design A and B motors straight on the line: the lesser of A and B ÷ external Wk² in lb·ft², with C
 * seconds of rest at least. Rating in hp; columns by poles.
 */
export const startsSource = remembered('standard', 'NEMA MG 10', '2017', 'Table 2-3');
export const starts = table(
  startsSource,
  ['A 2', 'B 2', 'C 2', 'A 4', 'B 4', 'C 4', 'A 6', 'B 6', 'C 6'],
  [
    [1, 15, 1.2, 75, 30, 5.8, 38, 34, 15, 33],
    [1.5, 12.9, 1.8, 76, 25.7, 8.6, 38, 29.1, 23, 34],
    [2, 11.5, 2.4, 77, 23, 11, 39, 26.1, 30, 35],
    [3, 9.9, 3.5, 80, 19.8, 17, 40, 22.4, 44, 36],
    [5, 8.1, 5.7, 83, 16.3, 27, 42, 18.4, 71, 37],
    [7.5, 7, 8.3, 88, 13.9, 39, 44, 15.8, 104, 39],
    [10, 6.2, 11, 92, 12.5, 51, 46, 14.2, 137, 41],
    [15, 5.4, 16, 100, 10.7, 75, 50, 12.1, 200, 44],
    [20, 4.8, 21, 110, 9.6, 99, 55, 10.9, 262, 48],
    [25, 4.4, 26, 115, 8.8, 122, 58, 10, 324, 51],
    [30, 4.1, 31, 120, 8.2, 144, 60, 9.3, 384, 53],
    [40, 3.7, 40, 130, 7.4, 189, 65, 8.4, 503, 57],
    [50, 3.4, 49, 145, 6.8, 232, 72, 7.7, 620, 64],
    [60, 3.2, 58, 170, 6.3, 275, 85, 7.2, 735, 75],
    [75, 2.9, 71, 180, 5.8, 338, 90, 6.6, 904, 79],
    [100, 2.6, 92, 220, 5.2, 441, 110, 5.9, 1181, 97],
    [125, 2.4, 113, 275, 4.8, 542, 140, 5.4, 1452, 120],
    [150, 2.2, 133, 320, 4.5, 640, 160, 5.1, 1719, 140],
    [200, 2, 172, 600, 4, 831, 300, 4.5, 2238, 265],
    [250, 1.8, 210, 1000, 3.7, 1017, 500, 4.2, 2744, 440],
  ],
);
