import type { RuleUsed } from '../../case';
import { houseRules, ruleIds, type RuleId, type Rules } from '../../practice';
import type { Walk } from '../../needs';

/** House rules in force, for the sheet: every one named, with whether the case set it itself. */
export function rulesUsed({ input, rules, practice }: Walk): RuleUsed[] {
  return ruleIds.map((id) => ({
    id,
    title: houseRules[id].title,
    value: valueText(id, rules, practice.conductorBasis),
    own: input.rules?.[id] !== undefined,
    reason: houseRules[id].reason,
  }));
}

function valueText(id: RuleId, rules: Rules, basis: string): string {
  const value = rules[id];
  if (id === 'conductorBasis' && value === 'practice') return `${basis} (by practice)`;
  return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
}
