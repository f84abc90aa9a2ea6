import { methodNames } from '../../contract';
import { percent } from '../../needs';
import { code } from '../code';
import { requirement } from '../requirement';

/** Pull-up torque short of the load by more than this stalls: standards' least lies at most about a third under usual cages. */
const never = -0.33;

/**
 * The standards' pull-up torque is the least they allow, so a shortage is a caution; one that no usual cage makes good, or not even
 * the breakdown torque, reduced as the method reduces torque at standstill, is a fail.
 */
export const runUp = requirement({
  id: 'run-up',
  of: 'method',
  told: true,
  fields: ['load.startRatio', 'load.shape'],
  figures: ['load.motorTorque'],
  judge({ needs, c, runUp: ratio }, e) {
    if (e.drive) return code.none;
    const asked = needs.load.torque * ratio || 1e-9;
    e.margin = ((c.pullUpTorque[e.i] ?? 0) * e.share) / asked - 1;
    if (e.margin < never || (c.breakdownTorque[e.i] ?? 0) * e.share < asked) return code.fail;
    return e.margin < 0 ? code.caution : code.pass;
  },
  sentence({ outcome, margin, method }) {
    if (outcome === 'pass') return `Pulls up with ${percent(margin)} more than the load asks on the way.`;
    return outcome === 'fail'
      ? `Even its breakdown torque, as ${methodNames[method].toLowerCase()} leaves it, is below what the load asks on the way up: it would crawl.`
      : `The least pull-up torque the standard allows is ${percent(-margin)} below what the load asks on the way up: ask the maker, or start it unloaded.`;
  },
  cure: () => 'an unloaded start',
});
