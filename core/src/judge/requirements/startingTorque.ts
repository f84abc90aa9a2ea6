import { percent, startsToday } from '../../needs';
import { code } from '../code';
import { requirement, withReserve, passIf, type Entry } from '../requirement';

/** Starting torque over breakaway below which a pass is only a caution where nothing is simulated (common practice). */
const reserve = 0.1;
/** How much more a found setting may give than the usual one, at most. */
export const boost: Readonly<Partial<Record<Entry['method'], number>>> = {
  autotransformer: (0.8 / 0.65) ** 2,
  'primary-reactor': (0.8 / 0.65) ** 2,
  'soft-starter': (4.5 / 3.5) ** 2,
};
/** A fitted machine's torque may lie this much over its stated one: what fails by more fails surely. */
export const sure = 1.25;

export const startingTorque = requirement({
  id: 'starting-torque',
  of: 'method',
  told: true,
  fields: ['load.breakaway'],
  figures: ['load.breakawayTorque'],
  applies: ({ load }) => load.startKnown,
  judge({ needs, motors, simulates }, e) {
    const { load } = needs;
    e.margin = e.torque / (load.torque * load.breakaway || 1e-9) - 1;
    const motor = motors[e.i];
    if (e.margin < reserve && motor && startsToday(needs, motor, e.method)) return simulates ? code.pass : code.caution;
    if (!simulates) return withReserve(e.margin, reserve);
    return passIf((1 + e.margin) * (boost[e.method] ?? 1) * sure >= 1);
  },
  sentence({ outcome, margin, needs, motor, method }) {
    if (margin < 0 && startsToday(needs, motor, method))
      return (
        `By what the standard makes its maker owe it gives ${percent(1 + margin)} of the breakaway torque at ` +
        'standstill; it starts so today, so it has more, or the load asks less.'
      );
    if (margin >= 0) return `Starts with ${percent(margin)} more than breakaway torque at standstill.`;
    return outcome === 'fail'
      ? `Gives only ${percent(1 + margin)} of the breakaway torque at standstill: it would stall.`
      : `Usual settings give ${percent(1 + margin)} of the breakaway ` +
          `torque at standstill: the simulated start decides.`;
  },
  cure: ({ margin, needs: { load } }) =>
    `breakaway of at most ${(load.breakaway * (1 + margin)).toFixed(2)} × the steady torque`,
});
