import { existingMotor } from '../../catalogue';
import { code } from '../code';
import { requirement } from '../requirement';

/** Half of the last digit of a stamped efficiency. */
const rounding = -0.0005;

export const efficiencyFloor = requirement({
  id: 'efficiency-floor',
  of: 'motor',
  judge({ c, build }, e) {
    const floor = build.floor[e.i] ?? NaN;
    if (Number.isNaN(floor)) return code.none;
    // What lies on the own shelf or runs here was put on the market before: the floor asks new motors only.
    e.margin = (c.efficiency[e.i] ?? 0) - floor;
    return build.onShelf[e.i] || build.there[e.i] || e.margin >= rounding ? code.pass : code.caution;
  },
  sentence({ outcome, margin, motor, needs: { practice } }) {
    const own = (motor.efficiency * 100).toFixed(1);
    const floor = ((motor.efficiency - margin) * 100).toFixed(1);
    if (motor.stock && margin < rounding)
      return (
        `${own} %, below the ${floor} % asked of a new motor: allowed, ` +
        `for it lies on the own shelf; it costs more to run.`
      );
    if (motor.id === existingMotor && margin < rounding)
      return `${own} %, below the ${floor} % asked of a new motor: it may stay, for it is there; it costs more to run.`;
    return outcome === 'pass'
      ? `${own} % meets the ${floor} % asked of a new motor.`
      : `${own} % is below the ${floor} % that ${practice.words.market} ask of ` +
          `a new motor: for use as stock or under an exemption only.`;
  },
});
