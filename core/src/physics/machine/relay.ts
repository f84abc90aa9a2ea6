import { toldAt } from '../../contract';

/** Seconds that a relay of class 10 takes at 7.2 × its setting: 4 to 10 by the standard, 8 as they are made. */
export const class10 = 8;

/** I²t above what is borne for ever (× its setting), (× setting)²·s, at which a relay of so many s trips. */
export const relayHeat = (seconds: number, bears: number): number => seconds * (toldAt ** 2 - bears ** 2);
