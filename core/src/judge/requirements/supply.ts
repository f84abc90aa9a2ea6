import { percent } from '../../needs';
import { roundedUp } from '../../runs';
import { keeps, unlimitedStart, usualImpedance } from '../../practice';
import { writeQuantity } from '../../quantity';
import { code } from '../code';
import { passIf, problemText, requirement, type Entry, type Looked } from '../requirement';

/** How much less a found setting may draw than the usual one, at least: what the searched settings reach. */
const relief: Readonly<Partial<Record<Entry['method'], number>>> = {
  autotransformer: (0.5 / 0.65) ** 2,
  'primary-reactor': 0.5 / 0.65,
  'soft-starter': 3 / 3.5,
  drive: 0,
};
/** A closed form sees no cable and no angle: what it finds this much over the limit is over it. */
const sure = 1.25;

export const supply = requirement({
  id: 'supply',
  of: 'method',
  told: true,
  fields: ['supply.source'],
  figures: ['start.sourceImpedance'],
  problems: ['start.supply-weak', 'start.source-unknown', 'start.upstream-unknown'],
  applies: ({ load }) => load.startKnown,
  limitless: ({ needs: { supply: source } }) => source.impedance === undefined,
  judge({ needs, c, simulates }, e) {
    if (needs.supply.impedance === undefined) {
      e.margin = 0;
      if (e.drive || (c.power[e.i] ?? 0) <= unlimitedStart) return code.pass;
      e.condition = usual(ratingFor(e, needs.rules.maxDip), needs.rules.usualTransformer);
      return code.caution;
    }
    e.margin = 1 - e.dip / needs.rules.maxDip;
    if (!simulates) return passIf(keeps(e.dip, needs.rules.maxDip) !== 'not');
    return passIf(e.dip * (relief[e.method] ?? 1) <= needs.rules.maxDip * sure);
  },
  marginOf: ({ needs: { supply, rules } }, _, { run }) =>
    supply.impedance === undefined || !run ? 0 : 1 - run.dip / rules.maxDip,
  sentence(v) {
    const {
      outcome,
      margin,
      tried,
      needs: { supply: source, rules },
    } = v;
    if (source.impedance !== undefined)
      return (
        problemText(tried, ['start.supply-weak']) ??
        `Dips the bus by ${percent(rules.maxDip * (1 - margin), 1)}; ${percent(rules.maxDip)} is the house rule.`
      );
    if (outcome === 'pass' && !needsCondition(v)) return 'The source is not described; the current drawn is small.';
    return 'The source is not described: the dip cannot be judged, and some suppliers limit starting from about 4 kW.';
  },
  holdsIf(v) {
    const behind = v.tried?.problems.find((p) => p.id === 'start.upstream-unknown');
    if (behind) return { field: 'supply.upstream', limit: behind.limit ?? '', text: behind.text };
    const text = writeQuantity(sourceFor(v), 'VA');
    return {
      field: 'supply.source',
      limit: text,
      text: `Holds with a transformer of ${text} or more (${percent(usualImpedance)} impedance).`,
    };
  },
  cure: ({ margin, needs: { rules } }) =>
    `a dip of ${percent(rules.maxDip * (1 - margin), 1)} allowed, or a stiffer source`,
});

const needsCondition = ({ method, motor, needs: { supply: source } }: Looked): boolean =>
  source.impedance === undefined && method !== 'drive' && motor.power > unlimitedStart;

/** Least transformer in VA whose bus this start dips no further than allowed: S = x_k √3 U I / d. */
const ratingFor = ({ line, current }: Pick<Entry, 'line' | 'current'>, dip: number): number =>
  (usualImpedance * Math.sqrt(3) * line * current) / dip;

const usual = (rating: number, limit: number): boolean => rating <= limit * 1000;

/** The same from a start that was simulated, else from its locked-rotor current. */
function sourceFor({ tried, motor, needs: { supply: source, rules } }: Looked): number {
  const own = motor.connections.at(-1)?.voltage ?? 1;
  const line = source.voltage ?? own;
  const current = tried?.run?.peakLine ?? (motor.lockedRotorCurrent * own) / line;
  return roundedUp(ratingFor({ line, current }, rules.maxDip));
}
