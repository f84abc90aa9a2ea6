import {
  figureName,
  isSaidInPercent,
  type Assumed,
  type Fact,
  type Figure,
  type FigureId,
  type Finding,
  type FindingId,
  type IdIn,
  type LevelOf,
  type Origin,
  type Source,
  type StationName,
  type Suggestion,
  type UnitOf,
} from '../contract';
import { clip, isMoney, q, trim, writeMoney, writeQuantity, type Q, type UnitId } from '../quantity';
import { outside, type Arguments, type Law, type Takes } from './law';
import { rangeText } from './range';

/** A number handed to a law that is not itself a figure. */
export interface Given<U extends UnitId> {
  readonly value: Q<U> | undefined;
  readonly field?: string;
  readonly rule?: string;
  readonly source?: Source;
  readonly text?: string;
  readonly assumed?: string;
}

export type Input<U extends UnitId> = IdIn<U> | Given<U>;

/** A value typed or stamped in a field of the case. Undefined means missing, and the field is reported as wanted. */
export const field = <U extends UnitId>(path: string, value: Q<U> | undefined, text?: string): Given<U> => ({
  field: path,
  value,
  text,
});

/** A value taken because its field is empty; shown as assumed wherever it is used. */
export const assumed = <U extends UnitId>(path: string, value: Q<U>, why: string): Given<U> => ({
  field: path,
  value,
  assumed: why,
});

/** A value out of a standard's table or a practice's prescription. */
export const prescribed = <U extends UnitId>(value: Q<U>, source: Source): Given<U> => ({ value, source });

/** A value a house rule sets. */
export const byRule = <U extends UnitId>(rule: string, value: Q<U>): Given<U> => ({ rule, value });

export interface FigureOptions {
  /** Instead of the law's own: who prescribed what went in. */
  readonly source?: Source;
  readonly estimate?: boolean;
  /** Where its unit is not how people say it. */
  readonly say?: (value: number) => string;
  /** What a law over rows (a profile, a shape) rests on beyond its named inputs. */
  readonly assumed?: readonly Assumed[];
}

export interface FindingSpec {
  readonly fields?: readonly string[];
  readonly figures?: readonly FigureId[];
  readonly source?: Source;
  readonly doubt?: boolean;
  readonly suggestions?: readonly Suggestion[];
}

/** What stations write into: figures with their working, findings, and the fields that are still wanted. */
export class Workings {
  readonly figures = new Map<FigureId, Figure>();
  readonly findings: Finding[] = [];
  readonly facts: Fact[] = [];
  readonly #missing = new Map<StationName, Set<string>>();
  #station: StationName = 'plate';
  /** Figures that were computed, given, or found to be missing for a reason that was told. */
  readonly #tried = new Set<FigureId>();

  /** `currency`: what amounts of money are in; empty where nobody said. */
  constructor(readonly currency = '') {}

  /** A value in words, money in the case's own currency. */
  #written(value: number, unit: UnitId): string {
    return isMoney(unit) ? writeMoney(value, unit, this.currency) : writeQuantity(value, unit);
  }

  /** The same of a figure, as people say it. */
  #said(id: FigureId, value: number, unit: UnitId): string {
    if (!isSaidInPercent(id)) return this.#written(value, unit);
    const percent = Math.abs(100 * value);
    return `${percent < 100 ? trim((100 * value).toFixed(percent < 10 ? 2 : 1)) : Math.round(100 * value)} %`;
  }

  /** From here on, what is written belongs to this station. */
  enter(station: StationName): void {
    this.#station = station;
  }

  /**
   * Computes a figure by a law and records how. Inputs are ids of other figures or given values.
   * Undefined where an input is missing, or where the law has no finite answer (a finding then names the fields).
   */
  figure<I extends FigureId, A extends Takes>(
    id: I,
    by: Law<A, UnitOf<I>>,
    inputs: { readonly [K in keyof A]: Input<A[K]> },
    options: FigureOptions = {},
  ): Q<UnitOf<I>> | undefined {
    this.#tried.add(id);
    const shown: Record<string, string | number> = {};
    const origins: Record<string, Origin> = {};
    const taken: Assumed[] = [...(options.assumed ?? [])];
    const values: { [K in keyof A]?: Q<A[K]> } = {};
    const fields: string[] = [];
    let complete = true;
    let estimate = by.estimate !== undefined || options.estimate === true;
    const names: (keyof A & string)[] = Object.keys(by.takes);
    for (const name of names) {
      const input: Input<A[typeof name]> = inputs[name];
      if (isId(input)) {
        const figure = this.figures.get(input);
        if (!figure) {
          complete = false;
          if (!this.#tried.has(input)) this.#gap(id, input);
          continue;
        }
        values[name] = q<A[typeof name]>(figure.value);
        shown[name] = input;
        taken.push(...figure.assumed);
        estimate ||= figure.estimate;
      } else if (input.value === undefined) {
        complete = false;
        if (input.field) this.want(input.field);
      } else {
        values[name] = input.value;
        shown[name] = input.value;
        origins[name] = originOf(input, by.takes[name] ?? '1', (v, u) => this.#written(v, u));
        if (input.field) fields.push(input.field);
        if (input.assumed !== undefined) {
          taken.push({ field: input.field ?? name, value: input.value, why: input.assumed });
        }
      }
    }
    if (!complete || !isComplete(values, names)) return undefined;
    const value = by.of(values);
    if (!Number.isFinite(value)) {
      const figures = names.flatMap((name) => {
        const input: Input<A[typeof name]> = inputs[name];
        return isId(input) ? [input] : [];
      });
      this.finding('case.impossible', 'caution', `${by.name} has no finite answer for these values.`, {
        ...{ fields, figures },
      });
      return undefined;
    }
    this.noteOutside(by, values, inputs, id);
    this.figures.set(id, {
      value,
      unit: by.unit,
      text: options.say?.(value) ?? this.#said(id, value, by.unit),
      symbol: by.symbol,
      formula: by.formula,
      inputs: shown,
      origins,
      source: options.source ?? by.source,
      estimate,
      band: by.estimate ? [by.estimate.band[0] * value, by.estimate.band[1] * value] : null,
      assumed: unique(taken),
      station: this.#station,
    });
    return q<UnitOf<I>>(value, by.unit);
  }

  /** A figure that was never asked for is missed: a mistake of ours, named instead of passed over. */
  #gap(id: FigureId, needs: FigureId): void {
    const text = `${figureName(id)} is not computed: nothing gives ${lower(figureName(needs))}.`;
    this.finding('case.gap', 'note', text);
  }

  /**
   * Says where a law is used beyond the values for which it holds, in a figure or for a row; once for each law and
   * value. `told`: the figure that is, where the value itself is none and no field's.
   */
  noteOutside<A extends Takes>(
    by: Law<A>,
    values: Arguments<A>,
    inputs: { readonly [K in keyof A]: Input<A[K]> },
    told?: FigureId,
  ): void {
    for (const name of outside(by, values)) {
      const unit = by.takes[name];
      if (unit === undefined) continue;
      const input: Input<A[typeof name]> = inputs[name];
      const write = (value: number): string => writeQuantity(value, unit);
      const text =
        `${by.name} holds for ${name} ${rangeText(by.range[name], write)}; ` + `here it is ${write(values[name])}.`;
      if (this.findings.some((f) => f.text === text)) continue;
      const fields = !isId(input) && input.field ? [input.field] : [];
      const figures = isId(input) ? [input] : fields.length === 0 && told ? [told] : [];
      this.finding('case.beyond-law', 'note', text, { fields, figures, source: by.source });
    }
  }

  /** Says that these figures cannot be had, where a finding has told why: laws that need them then make none. */
  without(...ids: readonly FigureId[]): void {
    for (const id of ids) this.#tried.add(id);
  }

  /** Records a figure that was stamped on the plate or typed by the engineer. */
  given<I extends FigureId>(
    id: I,
    unit: UnitOf<I>,
    path: string,
    value: Q<UnitOf<I>> | undefined,
  ): Q<UnitOf<I>> | undefined {
    this.#tried.add(id);
    if (value === undefined) {
      this.want(path);
      return undefined;
    }
    this.stated(id, unit, value, { kind: 'given', title: `Given in ${path}`, fromMemory: false }, { field: path });
    return value;
  }

  /** Records a figure read directly from a table, a catalogue row or a prescription. */
  stated<I extends FigureId>(
    id: I,
    unit: UnitOf<I>,
    value: Q<UnitOf<I>>,
    source: Source,
    from: {
      readonly field?: string;
      readonly assumed?: string;
      readonly symbol?: string;
      readonly text?: string;
      /** What the field holds, or is taken to hold, where the figure is read by it and is not it. */
      readonly holds?: string | number;
    } = {},
  ): void {
    const text = from.text ?? this.#said(id, value, unit);
    this.#tried.add(id);
    this.figures.set(id, {
      value,
      unit,
      text,
      symbol: from.symbol ?? id.slice(id.lastIndexOf('.') + 1),
      formula: source.kind === 'given' ? 'given' : 'read from the source',
      inputs: from.field ? { value } : {},
      origins: from.field ? { value: { field: from.field, text: from.holds?.toString() ?? text } } : {},
      source,
      estimate: false,
      band: null,
      assumed: from.assumed ? [{ field: from.field ?? id, value: from.holds ?? value, why: from.assumed }] : [],
      station: this.#station,
    });
  }

  /** Raises a finding, at one of the levels the contract names for it. */
  finding<I extends FindingId>(id: I, level: LevelOf<I>, text: string, spec: FindingSpec = {}): void {
    this.findings.push({
      id,
      level,
      text,
      fields: spec.fields ?? [],
      figures: spec.figures ?? [],
      source: spec.source ?? null,
      station: this.#station,
      doubt: spec.doubt ?? false,
      suggestions: spec.suggestions ?? [],
      accepted: null,
    });
  }

  /** Records what was worked out in words. */
  fact(
    id: string,
    label: string,
    text: string,
    source: Source,
    spec: {
      readonly fields?: readonly string[];
      readonly figures?: readonly FigureId[];
      readonly estimate?: boolean;
    } = {},
  ): void {
    this.facts.push({
      id,
      label,
      text,
      fields: spec.fields ?? [],
      figures: spec.figures ?? [],
      source,
      estimate: spec.estimate ?? false,
      station: this.#station,
    });
  }

  /** Says that this station needs a field it has not got. */
  want(path: string): void {
    const set = this.#missing.get(this.#station) ?? new Set();
    this.#missing.set(this.#station, set.add(path));
  }

  wanted(station: StationName): readonly string[] {
    return [...(this.#missing.get(station) ?? [])];
  }

  value<I extends FigureId>(id: I): number | undefined {
    return this.figures.get(id)?.value;
  }

  text(id: FigureId): string {
    return this.figures.get(id)?.text ?? '—';
  }
}

const isId = (input: FigureId | Given<UnitId>): input is FigureId => typeof input === 'string';

function isComplete<A extends Takes>(
  values: { [K in keyof A]?: Q<A[K]> },
  names: readonly (keyof A)[],
): values is { [K in keyof A]: Q<A[K]> } {
  return names.every((n) => values[n] !== undefined);
}

const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

function originOf(input: Given<UnitId>, unit: UnitId, write: (value: number, unit: UnitId) => string): Origin {
  const text = input.text ? clip(input.text) : write(input.value ?? 0, unit);
  return { field: input.field, rule: input.rule, source: input.source, text };
}

function unique(list: readonly Assumed[]): Assumed[] {
  return [...new Map(list.map((a) => [a.field, a])).values()];
}
