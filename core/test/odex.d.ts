/** The part of odex 2.0.4 that tests and benchmarks use; the package ships no declarations. */
export class Solver {
  constructor(n: number);
  relativeTolerance: number;
  absoluteTolerance: number;
  maxSteps: number;
  solve(
    f: (x: number, y: number[]) => number[],
    x: number,
    y: readonly number[],
    xEnd: number,
    out?: (n: number, xOld: number, x: number, y: number[]) => boolean | void,
  ): { y: number[]; outcome: number; nStep: number; nEval: number };
}
