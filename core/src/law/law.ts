import { q, type Q, type UnitId } from '../quantity';
import type { Source } from '../contract';
import type { Range } from './range';

export type Takes = Readonly<Record<string, UnitId>>;
export type Arguments<A extends Takes> = { readonly [K in keyof A]: Q<A[K]> };

/** How a number is computed, with its papers: symbol, units, formula and source beside the code. */
export interface Law<A extends Takes = Takes, U extends UnitId = UnitId> {
  readonly name: string;
  readonly symbol: string;
  readonly unit: U;
  readonly takes: A;
  /** Plain ASCII; evaluable by a general expression library unless `method` is set. */
  readonly formula: string;
  readonly source: Source;
  /** For each input the lowest and highest value for which the law holds; use outside becomes a note in the result. */
  readonly range: { readonly [K in keyof A]: Range };
  /** Missing only where a law reads off a simulated run, which has tests of its own. */
  readonly example?: Example<A>;
  /** Set where the law is a numerical method and `formula` says in words what is solved. */
  readonly method: boolean;
  /** Present where the value is an estimate: what it rests on, and the relative band around it. */
  readonly estimate?: Estimate;
  readonly of: (a: Arguments<A>) => Q<U>;
}

export interface Estimate {
  readonly basis: string;
  /** Lowest and highest value as a share of the estimate, e.g. [0.8, 1.2]. */
  readonly band: readonly [number, number];
}

/**
 * A worked example: inputs in the law's units, the value, and where it is from. Never copied from the law's own
 * answer.
 */
export interface Example<A extends Takes = Takes> {
  readonly of: { readonly [K in keyof A]: number };
  readonly gives: number;
  readonly from: string;
  /** Relative difference allowed, where the source rounds; 1 in 2,000 otherwise. */
  readonly within?: number;
  /** Of a law made for the rows or the machine of a case: those of the example, in words, and the law made for them. */
  readonly made?: { readonly for: string; readonly law: () => unknown };
}

export interface LawSpec<A extends Takes, U extends UnitId> {
  readonly name: string;
  readonly symbol: string;
  readonly unit: U;
  readonly takes: A;
  readonly formula: string;
  readonly source: Source;
  readonly range: { readonly [K in keyof A]: Range };
  readonly example?: Example<A>;
  readonly method?: true;
  readonly estimate?: Estimate;
  readonly of: (a: Arguments<A>) => number;
}

/** States a law. The result of `of` is branded with the law's unit here and nowhere else. */
export function law<const A extends Takes, const U extends UnitId>(spec: LawSpec<A, U>): Law<A, U> {
  return { ...spec, method: spec.method ?? false, of: (a) => q(spec.of(a), spec.unit) };
}

/** Inputs that lie outside the range of a law, each with its limits. Empty where the law holds. */
export function outside<A extends Takes>(by: Law<A>, values: Arguments<A>): (keyof A & string)[] {
  const names: (keyof A & string)[] = Object.keys(by.takes);
  // The last bits of a converted value are not outside.
  return names.filter((name) => {
    const [low, high] = by.range[name];
    const slack = 1e-9 * Math.abs(values[name]);
    return values[name] < low - slack || values[name] > high + slack;
  });
}

/** True for anything made by `law`. */
export function isLaw(x: unknown): x is Law {
  return typeof x === 'object' && x !== null && 'takes' in x && 'formula' in x && 'of' in x;
}

/**
 * Every law that a module exports, those made for the rows or the machine of a case among them (an empty one shows
 * their papers):
 * documentation and tests walk modules with it.
 */
export function lawsIn(module: object): Law[] {
  return Object.values(module).flatMap((x: unknown) => {
    if (isLaw(x)) return [x];
    if (typeof x !== 'function' || x.length !== 1) return [];
    try {
      const made: unknown = x([]);
      if (isLaw(made)) return [made];
      return typeof made === 'object' && made !== null ? Object.values(made).filter(isLaw) : [];
    } catch {
      return [];
    }
  });
}
