import { commonPractice } from '../../contract';

/** A rewound motor beside a new one (common practice; a good shop with cool burn-out loses less). */
export const rewinding = {
  /** Price ÷ that of a new motor of the size; small motors are not worth rewinding. */
  price: 0.55,
  /** Points of efficiency lost to 30 kW, and above. */
  small: 0.01,
  large: 0.005,
  smallTo: 30_000,
  /** Years it lasts at most, beside a new one. */
  life: 8,
  source: commonPractice('Rewinding: some half of a new motor’s price, half a point to a point of efficiency'),
} as const;

/** A two-speed motor and its contactors ÷ a motor and starter of one speed (common practice). */
export const twoSpeedPrice = { motor: 1.6, starter: 1.8 } as const;
