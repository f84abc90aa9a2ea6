import { owedBreakdown, ratedTorque, type Motor } from '../../catalogue';
import { connectionFor, percent, type Needs } from '../../needs';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { requirement, withReserve } from '../requirement';

/** Breakdown torque over the highest torque below which a pass is only a caution (common practice). */
const reserve = 0.25;

export const peakTorque = requirement({
  id: 'peak-torque',
  of: 'motor',
  told: true,
  fields: ['load.overload.ratio', 'load.cycle', 'load.overload.breakdown', 'plate.breakdownTorque'],
  figures: ['load.peakTorque'],
  applies: ({ load }) => load.peak > 1,
  judge({ needs: { load }, c, motors }, e) {
    const share = (e.line / e.own) ** 2 / (load.torque * load.peak);
    const owed = owedAt(c.owedBreakdown[e.i] ?? 0, motors[e.i], load.promised) * share - 1;
    const usual = Math.max(owed, (c.breakdownTorque[e.i] ?? 0) * share - 1);
    e.margin = owed;
    if (owed >= reserve) return code.pass;
    // What its maker owes does not do, what is usual does: he is asked.
    if (usual >= reserve) {
      e.condition = true;
      return code.caution;
    }
    return withReserve(usual, reserve);
  },
  sentence({ outcome, margin, motor, needs: { load } }) {
    const highest = load.torque * load.peak;
    const peak = `${writeQuantity(highest, 'N.m')} at the peak`;
    if (outcome === 'fail')
      return (
        `Breaks down: its ${writeQuantity(highest * (1 + margin), 'N.m')} ` +
        `of breakdown torque here is less than ${peak}.`
      );
    const usual = ((1 + margin) * motor.breakdownTorque) / owedBreakdown(motor, load.promised) - 1;
    return margin < 0
      ? `The breakdown torque that its maker owes is ${percent(-margin)} below ${peak}, the usual one ` +
          `${percent(usual)} over it.`
      : `Breakdown torque is ${percent(margin)} over ` +
          `${peak}${outcome === 'caution' ? ': a dip of the voltage takes that away' : ''}.`;
  },
  holdsIf({ motor, needs }) {
    const limit = `${askedBreakdown(motor, needs).toFixed(2)} × rated torque`;
    return {
      field: needs.stays ? 'plate.breakdownTorque' : 'load.overload.breakdown',
      limit,
      text:
        `Holds if its maker promises a breakdown torque of ${limit}; the standard asks ` +
        `${owedBreakdown(motor).toFixed(2)}.`,
    };
  },
  cure: ({ margin, needs: { load } }) =>
    `a peak of at most ${(load.peak * (1 + margin)).toFixed(2)} × the steady torque`,
});

/** N·m owed, with what is promised of a motor that is still to be bought. */
const owedAt = (column: number, motor: Motor | undefined, promised: number | undefined): number =>
  promised === undefined || motor?.leastBreakdown === undefined
    ? column
    : Math.max(column, promised * ratedTorque(motor));

/** Breakdown torque ÷ rated that the peak asks of a motor at its supply, with what is wanted in reserve; rounded up. */
export function askedBreakdown(motor: Motor, { load, supply }: Pick<Needs, 'load' | 'supply'>): number {
  const own = connectionFor(motor, supply.voltage).voltage;
  const at = (own / (supply.voltage ?? own)) ** 2;
  return Math.ceil(((100 * load.torque * load.peak * (1 + reserve)) / ratedTorque(motor)) * at) / 100;
}
