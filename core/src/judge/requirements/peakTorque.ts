import { percent } from '../../needs';
import { writeQuantity } from '../../quantity';
import { requirement, withReserve } from '../requirement';

/** Breakdown torque over the highest torque below which a pass is only a caution (common practice). */
const reserve = 0.25;

export const peakTorque = requirement({
  id: 'peak-torque',
  of: 'motor',
  told: true,
  fields: ['load.overload.ratio', 'load.cycle'],
  figures: ['load.peakTorque'],
  applies: ({ load }) => load.peak > 1,
  judge({ needs: { load }, c }, e) {
    e.margin = ((c.breakdownTorque[e.i] ?? 0) * (e.line / e.own) ** 2) / (load.torque * load.peak) - 1;
    return withReserve(e.margin, reserve);
  },
  sentence({ outcome, margin, needs: { load } }) {
    const highest = load.torque * load.peak;
    const peak = `${writeQuantity(highest, 'N.m')} at the peak`;
    return margin < 0
      ? `Breaks down: its ${writeQuantity(highest * (1 + margin), 'N.m')} ` +
          `of breakdown torque here is less than ${peak}.`
      : `Breakdown torque is ${percent(margin)} over ` +
          `${peak}${outcome === 'caution' ? ': a dip of the voltage takes that away' : ''}.`;
  },
  cure: ({ margin, needs: { load } }) =>
    `a peak of at most ${(load.peak * (1 + margin)).toFixed(2)} × the steady torque`,
});
