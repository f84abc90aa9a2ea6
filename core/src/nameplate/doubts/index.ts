import type { Practice } from '../../practice';
import type { Readings } from '../readings';
import {
  bearingAndShaft,
  codeAndDesign,
  efficiencyClass,
  efficiencyValue,
  frameAndRating,
  insulationAndRise,
} from './build';
import type { Check, Doubt } from './check';
import {
  equalKva,
  leadsAndVoltages,
  powerBalance,
  serviceFactorAmps,
  twoUnits,
  unusualCurrent,
  unusualVoltage,
  voltageRatio,
} from './electrical';
import { maximumSpeed, notBelowSynchronous, secondBlock, speedAndPoles } from './speed';

/** Every doubt a plate raises: empty for a sound one. */
export function doubtsOf(r: Readings, practice: Practice): Doubt[] {
  const found = checks.flatMap((check) => check(r, practice) ?? []);
  if (!r.alternate) return found;
  const second = { ...r.alternate, designLetter: r.designLetter };
  return [
    ...found,
    ...ofBlock.flatMap((check) => {
      const doubt = check(second, practice);
      return doubt
        ? [{ ...doubt, text: `Second block: ${doubt.text}`, fields: doubt.fields.map((f) => `alternate.${f}`) }]
        : [];
    }),
  ];
}

const checks: readonly Check[] = [
  twoUnits,
  powerBalance,
  unusualCurrent,
  equalKva,
  voltageRatio,
  unusualVoltage,
  notBelowSynchronous,
  speedAndPoles,
  serviceFactorAmps,
  efficiencyValue,
  efficiencyClass,
  frameAndRating,
  codeAndDesign,
  insulationAndRise,
  bearingAndShaft,
  maximumSpeed,
  leadsAndVoltages,
  secondBlock,
];

/** What can be asked of a second block alone. */
const ofBlock: readonly Check[] = [
  unusualCurrent,
  equalKva,
  voltageRatio,
  unusualVoltage,
  notBelowSynchronous,
  speedAndPoles,
];

export { usualPowerFactor, wildlyOff, type Doubt } from './check';
