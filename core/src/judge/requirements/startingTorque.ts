import { percent } from '../../needs';
import { requirement, withReserve } from '../requirement';

/** Starting torque over breakaway below which a pass is only a caution (common practice). */
const reserve = 0.1;

export const startingTorque = requirement({
  id: 'starting-torque',
  of: 'method',
  told: true,
  fields: ['load.breakaway'],
  figures: ['load.breakawayTorque'],
  judge({ needs: { load } }, e) {
    e.margin = e.torque / (load.torque * load.breakaway || 1e-9) - 1;
    return withReserve(e.margin, reserve);
  },
  sentence: ({ margin }) =>
    margin < 0
      ? `Gives only ${percent(1 + margin)} of the breakaway torque at standstill: it would stall.`
      : `Starts with ${percent(margin)} more than breakaway torque at standstill.`,
  cure: ({ margin, needs: { load } }) =>
    `breakaway of at most ${(load.breakaway * (1 + margin)).toFixed(2)} × the steady torque`,
});
