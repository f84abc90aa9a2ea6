import { existingMotor, type Motor } from '../catalogue';
import type { Case, Choice } from '../case';
import { explain, findFirst, judge } from '../judge';
import { comparedMethods, type Method } from '../contract';
import { motorOfPlate, plateAt } from '../nameplate';
import { starterThere, type Needs, type Walk } from '../needs';

type Option = NonNullable<Choice['options']>[number];
type Kind = Option['kind'];
/** A way as judged, and the price index of what it counts on beside motor and starter. */
type Judged = Option & { readonly beside: number };

/** What runs a motor at one speed from this supply: on one phase nothing does. */
export const withoutDrive = ({ supply }: Pick<Case, 'supply'>): readonly Method[] =>
  supply?.phases === 1 ? [] : comparedMethods.filter((m) => m !== 'drive');

/** The motor that is there, where its plate makes one; what is asked at fixed speed, and along the profile. */
export function waysOf({ input, practice }: Pick<Walk, 'input' | 'practice'>, needs: Needs) {
  const made =
    input.plate && motorOfPlate(plateAt(input.plate, input.supply?.frequency?.value), practice, { id: existingMotor });
  const old: readonly Motor[] = made?.ok ? [made.motor] : [];
  const least = needs.speed.rows.reduce((a, { hours, flow }) => (hours > 0 ? Math.min(a, flow) : a), 1);
  const fixed: Needs = { ...needs, speed: { ...needs.speed, variable: false } };
  const variable: Needs = {
    ...needs,
    speed: needs.speed.variable ? needs.speed : { ...needs.speed, variable: true, min: Math.max(0.1, least), max: 1 },
  };
  return { old, fixed, variable };
}

/**
 * What may be done with a wasteful motor: keep all, a drive on it, another motor, another motor on a drive. Each is
 * judged as it would run, whatever was said of the speed: at full speed with the present control, or along the profile.
 */
export function optionsOf(walk: Pick<Walk, 'input' | 'practice'>, needs: Needs, motors: readonly Motor[]): Option[] {
  const { old, fixed, variable } = waysOf(walk, needs);
  return [
    keptAsIs({ fixed, variable }, old, starterThere(walk.input)),
    ...(starterThere(walk.input) === 'drive' ? [] : [option('drive', variable, old, ['drive'])]),
    option('replace', fixed, motors, withoutDrive(walk.input)),
    option('replace-drive', variable, motors, ['drive']),
  ].flatMap((o) => {
    if (!o) return [];
    const { beside: _, ...said } = o;
    return [said];
  });
}

/** What is there, with the starter that is there: it runs, so it never fails; what it would fail is told. */
export function keptAsIs(
  { fixed, variable }: Readonly<Record<'fixed' | 'variable', Needs>>,
  old: readonly Motor[],
  method: Method,
): Judged | undefined {
  const kept = option('keep', method === 'drive' ? variable : fixed, old, [method]);
  if (kept?.outcome !== 'fail') return kept;
  return {
    ...kept,
    outcome: 'caution',
    text: `It runs today, but as it stands here it would not be chosen: ${kept.text}`,
  };
}

export function option(
  kind: Kind,
  needs: Needs,
  motors: readonly Motor[],
  methods: readonly Method[],
): Judged | undefined {
  if (motors.length === 0 || methods.length === 0) return undefined;
  const kept = kind === 'keep' || kind === 'drive';
  const judged = judge(needs, motors, methods, kept);
  findFirst(judged);
  const entry = judged.order[0];
  if (entry === undefined) return undefined;
  const { motor, method, control, outcome, verdicts, cost } = explain(needs, judged, entry);
  // What is there is not bought again: nothing where all stays, all but the motor where a drive is put on it.
  const owned = kind === 'keep' ? cost.priceIndex : kept ? (judged.columns.priceIndex[0] ?? 0) : 0;
  const lifeCycle = Math.round(cost.lifeCycle - owned);
  const against = verdicts.find((v) => v.outcome === (outcome === 'fail' ? 'fail' : 'caution') && v.waived === null);
  return {
    kind,
    motor,
    method,
    control,
    outcome,
    lifeCycle,
    beside: verdicts.reduce((sum, v) => sum + (v.waived === null ? (v.remedy?.priceIndex ?? 0) : 0), 0),
    text: against?.text ?? 'Meets every requirement.',
  };
}
