import { methodNames } from '../../contract';
import { percent, startsToday } from '../../needs';
import { praise } from '../../runs';
import { code } from '../code';
import { problemText, requirement } from '../requirement';
import { boost, sure } from './startingTorque';

/**
 * Pull-up torque short of the load by more than this stalls: standards' least lies at most about a third under usual
 * cages.
 */
const never = -0.33;
const problems = ['start.stalls', 'start.crawls', 'start.little-margin', 'start.jolts'] as const;

/**
 * Simulated, it is the least torque to spare on the way. By closed forms the standards' pull-up torque is the least
 * they allow, so a
 * shortage is a caution; one that no usual cage makes good, or not even the breakdown torque, reduced as the method
 * reduces torque at
 * standstill, is a fail. Where a simulation will follow, only what it surely would not pass fails.
 */
export const runUp = requirement({
  id: 'run-up',
  of: 'method',
  told: true,
  fields: ['load.startRatio', 'load.shape'],
  figures: ['load.motorTorque'],
  problems,
  applies: ({ load }) => load.startKnown,
  judge({ needs, motors, c, runUp: ratio, simulates }, e) {
    if (e.drive) return code.none;
    const asked = needs.load.torque * ratio || 1e-9;
    e.margin = ((c.pullUpTorque[e.i] ?? 0) * e.share) / asked - 1;
    const most = (c.breakdownTorque[e.i] ?? 0) * e.share;
    const motor = motors[e.i];
    if (e.margin < 0 && motor && startsToday(needs, motor, e.method)) return simulates ? code.pass : code.caution;
    if (simulates) return most * (boost[e.method] ?? 1) * sure < asked ? code.fail : code.pass;
    if (e.margin < never || most < asked) return code.fail;
    return e.margin < 0 ? code.caution : code.pass;
  },
  marginOf: (_, e, { run, bench }) => (run ? run.margin / bench.ratedTorque : e.margin),
  sentence({ outcome, margin, method, tried, needs }) {
    if (tried) return problemText(tried, problems) ?? praise(tried.run, needs.supply.impedance !== undefined);
    if (outcome === 'pass')
      return margin >= 0
        ? `Pulls up with ${percent(margin)} more than the load asks on the way.`
        : 'The simulated start decides.';
    return outcome === 'fail'
      ? `Even its breakdown torque, as ${methodNames[method].toLowerCase()} leaves ` +
          `it, is below what the load asks on the way up: it would crawl.`
      : `The least pull-up torque the standard allows is ${percent(-margin)} below what ` +
          `the load asks on the way up: ask the maker, or start it unloaded.`;
  },
  cure: () => 'an unloaded start',
});
