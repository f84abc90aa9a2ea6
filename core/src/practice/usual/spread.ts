import { commonPractice, remembered } from '../../contract';

/** How far what makes a saving may be off, as shares, where nobody says (common practice). */
export const usualSpread = {
  hours: 0.1,
  price: 0.2,
  /** Of a price that was quoted or typed. */
  cost: 0.1,
  source: commonPractice('Before a meter has run hours are known to a tenth, prices to a fifth, quotes to a tenth'),
} as const;

/** Of an invented price index: between half and twice. */
export const indexSpread = { least: 0.5, most: 2 } as const;

/** Losses of a motor ÷ those of its stamped efficiency: as tests find; more for one that may be rewound. */
export const lossSpread = {
  least: 0.9,
  most: 1.15,
  worn: 1.25,
  source: remembered('standard', 'IEC 60034-1', '2022', 'table 20: efficiency, tolerance 15 % of the losses to 150 kW'),
} as const;
