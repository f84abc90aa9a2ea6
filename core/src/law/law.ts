import { q, type Q, type UnitId } from '../quantity';
import type { Source } from '../contract';

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

export interface LawSpec<A extends Takes, U extends UnitId> {
  readonly name: string;
  readonly symbol: string;
  readonly unit: U;
  readonly takes: A;
  readonly formula: string;
  readonly source: Source;
  readonly method?: true;
  readonly estimate?: Estimate;
  readonly of: (a: Arguments<A>) => number;
}

/** States a law. The result of `of` is branded with the law's unit here and nowhere else. */
export function law<const A extends Takes, const U extends UnitId>(spec: LawSpec<A, U>): Law<A, U> {
  return { ...spec, method: spec.method ?? false, of: (a) => q(spec.of(a), spec.unit) };
}

/** True for anything made by `law`: the documentation and the formula test walk modules with it. */
export function isLaw(x: unknown): x is Law {
  return typeof x === 'object' && x !== null && 'takes' in x && 'formula' in x && 'of' in x;
}
