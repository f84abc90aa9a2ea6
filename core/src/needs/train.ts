import type { Case } from '../case';
import type { TrainKind } from '../physics';

type Train = NonNullable<NonNullable<Case['load']>['train']>;

/** Beyond this one belt or chain does not change the speed (common practice): gears do. */
const mostOfBelt = 8;

/**
 * What is on the motor's shaft, and why it is taken where nobody said: a sheave asks a belt, and so does a ratio as
 * belts have it; one beyond is a gearbox's.
 */
export function shaftStage(train: Train | undefined): { readonly kind: TrainKind; readonly taken?: string } {
  const { kind, ratio, sheave, permittedPull, stages } = train ?? {};
  const said = stages ? stages[0]?.kind : kind;
  if (said !== undefined) return { kind: said };
  if (sheave !== undefined || permittedPull !== undefined)
    return { kind: 'belt', taken: 'not said: a sheave is given' };
  const changes = stages ? stages[0]?.ratio : ratio;
  if (changes === undefined || Math.abs(changes - 1) < 0.005) return { kind: 'direct' };
  const steep = Math.max(changes, 1 / changes) > mostOfBelt;
  return { kind: steep ? 'gearbox' : 'belt', taken: `not said: ${steep ? 'gears' : 'a belt'} at this ratio` };
}
