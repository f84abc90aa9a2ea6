import { percent } from '../../needs';
import { unlimitedStart } from '../../practice';
import { code } from '../code';
import { passIf, requirement } from '../requirement';

export const supply = requirement({
  id: 'supply',
  of: 'method',
  told: true,
  fields: ['supply.source'],
  figures: ['start.sourceImpedance'],
  judge({ needs, c }, e) {
    if (needs.supply.impedance === undefined) {
      e.margin = 0;
      return passIf(e.drive || (c.power[e.i] ?? 0) <= unlimitedStart, code.caution);
    }
    e.margin = 1 - e.dip / needs.rules.maxDip;
    return passIf(e.dip <= needs.rules.maxDip);
  },
  sentence({ outcome, margin, needs: { supply: source, rules } }) {
    if (source.impedance !== undefined)
      return `Dips the bus by ${percent(rules.maxDip * (1 - margin), 1)}; ${percent(rules.maxDip)} is the house rule.`;
    return outcome === 'pass'
      ? 'The source is not described; the current drawn is small.'
      : 'The source is not described: the dip cannot be judged, and some suppliers limit starting from about 4 kW.';
  },
  cure: ({ margin, needs: { rules } }) =>
    `a dip of ${percent(rules.maxDip * (1 - margin), 1)} allowed, or a stiffer source`,
});
