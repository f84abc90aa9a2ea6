import type { Figure, Finding, StationName } from '../contract';
import { existingTitle, type Walk } from '../needs';

/** Which stations have a figure that rests on what a finding doubts. */
export type Uses = (finding: Finding) => ReadonlySet<StationName>;

/**
 * Follows a doubted field or figure through the workings: `inputs` name figures, `origins` and `assumed` name fields.
 * `plateCounts`: the old motor's rating stands for the load, so whatever is doubted of the plate is in all of it.
 */
export function usesOf({ w }: Pick<Walk, 'w'>, plateCounts: boolean): Uses {
  const known = new Map<Finding, ReadonlySet<StationName>>();
  return (finding) => {
    const there = known.get(finding);
    if (there) return there;
    const fields = doubtedFields(finding);
    const ofPlate = fields.some((f) => f.startsWith('plate.'));
    const doubted = new Set<string>(finding.figures);
    const found = new Set<StationName>();
    const rests = (figure: Figure): boolean =>
      Object.values(figure.inputs).some((x) => typeof x === 'string' && doubted.has(x)) ||
      Object.values(figure.origins).some((o) => o.field !== undefined && isOne(o.field, fields)) ||
      figure.assumed.some((a) => isOne(a.field, fields)) ||
      (ofPlate && figure.source.title === existingTitle);
    // A figure told anew keeps its place, so an input may stand behind it: a second pass finds those.
    for (let pass = 0; pass < 2; pass++)
      for (const [id, figure] of w.figures)
        if (doubted.has(id) || rests(figure)) {
          doubted.add(id);
          found.add(figure.station);
        }
    if (ofPlate && plateCounts) for (const station of sized) found.add(station);
    known.set(finding, found);
    return found;
  };
}

const sized: readonly StationName[] = ['choice', 'start', 'guard', 'drive', 'cost'];

/** Of a finding at the plate, the plate's own fields: what they were held against is not doubted. */
function doubtedFields({ station, fields }: Finding): readonly string[] {
  const own = fields.filter((f) => f.startsWith('plate.'));
  return station === 'plate' && own.length > 0 ? own : fields;
}

const isOne = (field: string, doubted: readonly string[]): boolean =>
  doubted.some((d) => d === field || field.startsWith(`${d}.`) || d.startsWith(`${field}.`));
