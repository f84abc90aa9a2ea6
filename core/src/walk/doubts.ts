import type { Case } from '../case';
import { isFindingId, namedFindings } from '../contract';
import type { Walk } from '../needs';

/**
 * A doubt or a caution that the engineer let stand with a reason becomes a note that carries it; of stops only doubts
 * about what was read. Where one of the values it rests on has changed since, it is back.
 */
export function acceptDoubts({ input, w }: Walk): void {
  for (const [i, finding] of w.findings.entries()) {
    if (!finding.doubt && finding.level !== 'caution') continue;
    if (isFindingId(finding.id) && namedFindings.has(finding.id)) continue;
    const accepted = input.accepted?.find(
      (a) =>
        a.finding === finding.id &&
        Object.entries(a.values ?? {}).every(
          ([path, value]) => finding.fields.includes(path) && stampedText(input, path) === value,
        ),
    );
    if (accepted) w.findings[i] = { ...finding, level: 'note', accepted: accepted.reason };
  }
}

/** A field of the case as it was written; empty where nothing is. */
export function stampedText(input: Case, path: string): string {
  const found = path
    .split('.')
    .reduce<unknown>((at, key) => (typeof at === 'object' && at !== null ? Reflect.get(at, key) : undefined), input);
  if (typeof found === 'object' && found !== null && 'text' in found) return String(found.text);
  return typeof found === 'string' || typeof found === 'number' ? String(found) : '';
}
