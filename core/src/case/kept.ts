import { z } from 'zod';
import {
  figureSchema,
  findingSchema,
  isStation,
  sourceSchema,
  stations,
  unitOfFigure,
  type Figure,
  type Finding,
  type Frozen,
  type StationName,
} from '../contract';
import { isRecord, readResult, reasoned } from './migrate';
import { choiceSchema, stationSchema, subjectSchema, verdictSchema, type Result, type Verdict } from './result';

/**
 * A figure without its formula and the origins of its inputs, and of what was assumed only what was assumed for it
 * itself; `source` is its place in the table of sources. Unit and
 * station only where its id does not tell them (`homeOf`).
 */
const keptFigure = figureSchema.pick({ value: true, text: true, inputs: true }).extend({
  unit: figureSchema.shape.unit.optional(),
  station: figureSchema.shape.station.optional(),
  source: z.int().min(0),
  assumed: figureSchema.shape.assumed.optional(),
});

/** A source without what is left out of most: that it was at hand. */
const keptSource = sourceSchema.extend({ fromMemory: z.boolean().optional() });

/** A verdict without what most have not: a waiver, a remedy, a condition, that it is tight, figures. */
const keptVerdict = verdictSchema.partial({ waived: true, tight: true, remedy: true, condition: true, figures: true });
type KeptVerdict = Frozen<z.output<typeof keptVerdict>>;

/** A finding without what most have not: a source, that it is a doubt, was let stand, or offers something to take. */
const keptFinding = findingSchema.partial({ source: true, doubt: true, suggestions: true, accepted: true });

/**
 * `pilgrim.kept/1`: what a revision keeps of its result, a sixth of it: what was answered and on what it rested. The
 * rest (workings, curves, the fifty) is the same case solved again.
 */
export const keptSchema = z.strictObject({
  format: z.literal('pilgrim.kept/1'),
  core: z.string(),
  name: z.string().nullable(),
  practice: z.string(),
  figures: z.record(z.string(), keptFigure),
  sources: z.array(keptSource),
  findings: z.array(keptFinding),
  choice: choiceSchema.nullable(),
  subject: subjectSchema.nullable(),
  /** Of the first choice. */
  verdicts: z.array(keptVerdict),
  stations: z.record(z.enum(stations), stationSchema),
});
type KeptFigure = Frozen<Omit<z.output<typeof keptFigure>, 'unit'>> & Partial<Pick<Figure, 'unit'>>;
export type Kept = Frozen<Omit<z.output<typeof keptSchema>, 'figures'>> & {
  readonly figures: Readonly<Record<string, KeptFigure>>;
};

const stationInId = (id: string): StationName | undefined => {
  const head = id.slice(0, id.indexOf('.'));
  return isStation(head) ? head : undefined;
};

/** Unit and station of a figure as kept or whole: its own, or what its id tells. */
export const homeOf = (
  id: string,
  f: Partial<Pick<Figure, 'unit' | 'station'>>,
): Pick<Figure, 'unit' | 'station'> | undefined => {
  const [unit, station] = [f.unit ?? unitOfFigure(id), f.station ?? stationInId(id)];
  return unit === undefined || station === undefined ? undefined : { unit, station };
};

/** Digits that an input needs to be recognised, and a value to be compared. */
const inputDigits = 6;
const valueDigits = 7;

/** What is kept of a result. */
export function keep(result: Result): Kept {
  // In an order of their own, so that the same result gives the same table, however its keys were kept.
  const known = new Map<Figure['source'], string>();
  const keyOf = (source: Figure['source']): string => {
    const key = known.get(source) ?? JSON.stringify(sourceSchema.parse(source));
    known.set(source, key);
    return key;
  };
  const keys = [...new Set(Object.values(result.figures).map((f) => keyOf(f.source)))].toSorted();
  const places = new Map(keys.map((key, place) => [key, place]));
  // What a figure rests on by another is kept with that one.
  const own = (f: Figure): Figure['assumed'] => {
    const inherited = Object.values(f.inputs).flatMap((x) =>
      typeof x === 'string' ? (result.figures[x]?.assumed ?? []) : [],
    );
    return f.assumed.filter((a) => !inherited.some((b) => a.field === b.field && a.value === b.value));
  };
  const lean = (id: string, f: Figure): KeptFigure => ({
    value: Number(f.value.toPrecision(valueDigits)),
    ...(f.unit === unitOfFigure(id) ? {} : { unit: f.unit }),
    ...(f.station === stationInId(id) ? {} : { station: f.station }),
    text: f.text,
    inputs: Object.fromEntries(
      Object.entries(f.inputs).map(([symbol, x]) => [
        symbol,
        typeof x === 'number' ? Number(x.toPrecision(inputDigits)) : x,
      ]),
    ),
    source: places.get(keyOf(f.source)) ?? 0,
    ...(own(f).length > 0 ? { assumed: own(f) } : {}),
  });
  const { core, name, practice, findings, stations: told, choice: chosen } = result;
  const first = result.candidates.find((c) => c.motor.id === chosen?.motor.id && c.method === chosen.method);
  return {
    format: 'pilgrim.kept/1',
    ...{ core, name, practice },
    figures: Object.fromEntries(Object.entries(result.figures).map(([id, f]) => [id, lean(id, f)])),
    sources: keys.map((key) => leanSource(sourceSchema.parse(JSON.parse(key)))),
    ...{
      findings: findings.map(leanFinding),
      choice: chosen,
      subject: result.subject,
      verdicts: (first?.verdicts ?? []).map(leanVerdict),
      stations: told,
    },
  };
}

const leanVerdict = ({ waived, tight, remedy, condition, figures, ...verdict }: Verdict): KeptVerdict => ({
  ...verdict,
  ...(waived !== null && { waived }),
  ...(tight && { tight }),
  ...(remedy && { remedy }),
  ...(condition && { condition }),
  ...(figures.length > 0 && { figures }),
});

/** A finding as kept or whole, whole. */
export const wholeFinding = (finding: Kept['findings'][number]): Finding => ({
  ...{ source: null, doubt: false, suggestions: [], accepted: null },
  ...finding,
});

const leanFinding = ({ source, doubt, suggestions, accepted, ...finding }: Finding): Kept['findings'][number] => ({
  ...finding,
  ...(source && { source }),
  ...(doubt && { doubt }),
  ...(suggestions.length > 0 && { suggestions }),
  ...(accepted !== null && { accepted }),
});

const leanSource = ({ fromMemory, ...source }: Figure['source']): z.output<typeof keptSource> =>
  fromMemory ? { ...source, fromMemory } : source;

/** Reads what a revision keeps, or a whole result of this or an earlier core; undefined where it is neither. */
export function readKept(value: unknown): Kept | undefined {
  const filled = isRecord(value) && value.format === 'pilgrim.kept/1' ? { ...value, ...reasoned(value) } : value;
  if (isKept(filled)) return filled;
  const whole = readResult(value);
  return whole && keep(whole);
}

const isKept = (value: unknown): value is Kept => keptSchema.safeParse(value).success;
