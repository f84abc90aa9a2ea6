import type { FailureHistory } from '../../case';
import { commonPractice } from '../../contract';
import { field } from '../../law';
import { learn, suspects, type Circumstances, type Lesson } from '../../nameplate';
import { lifetime, perYear } from '../../physics';
import { q } from '../../quantity';
import { shaftStage, type LoadNeeds, type PlaceNeeds, type PlateFacts, type SpeedNeeds, type Walk } from '../../needs';

/** What killed the old motor, and what the new choice must do differently because of it. */
export function learnFromFailure(
  walk: Walk,
  plate: PlateFacts,
  load: LoadNeeds | undefined,
  place: PlaceNeeds,
  speed: SpeedNeeds,
): { readonly history: FailureHistory | null; readonly lessons: readonly Lesson[] } {
  const { input, w } = walk;
  w.enter('plate');
  const history = input.history;
  const years = life(walk);
  const seen = history?.causes ?? [];
  if (!history) return { history: null, lessons: [] };
  const supply = input.supply?.voltage?.value;
  const { dirt, water } = input.place ?? {};
  const circumstances: Circumstances = {
    method: history.method,
    belt: shaftStage(input.load?.train).kind === 'belt',
    variableSpeed: speed.variable,
    loading: load && plate.power !== undefined ? load.power / plate.power : undefined,
    derating: input.place?.ambient || input.place?.altitude ? place.motorDerating : undefined,
    unbalance: input.supply?.unbalance,
    startsPerHour: input.load?.startsPerHour,
    cable: place.cable,
    lowestSpeed: speed.variable ? speed.min : undefined,
    supplyOverPlate: supply !== undefined && plate.voltage !== undefined ? supply / plate.voltage : undefined,
    open: plate.enclosure === 'open',
    wet: water !== undefined && water !== 'dry',
    dirty: dirt !== undefined && dirt !== 'clean',
    jams: (input.load?.overload?.ratio ?? 1) > 1.3,
    years,
  };
  if (seen.every((s) => s === 'unknown')) unknownCause(walk, suspects(circumstances));
  if (seen.length === 0) return { history: null, lessons: [] };
  const { causes, lessons } = learn(seen, circumstances);
  if (
    history.method === undefined &&
    seen.some((s) => s === 'fluted-race' || s === 'insulation-punctured' || s === 'overheated')
  )
    w.want('history.method');
  const first = causes.find((c) => c.likelihood === 'likely');
  if (first) {
    w.finding(
      'history.likely-cause',
      'caution',
      `Likely cause of the failure: ${first.title.toLowerCase()}. ${first.reasons.join(' ')} ${first.remedy}`,
      {
        fields: ['history.causes'],
        source: commonPractice('What failed motors show, and what speaks for it in this case'),
      },
    );
  }
  return {
    history: { causes, lessons: lessons.map(({ requirement, cause, text }) => ({ requirement, cause, text })) },
    lessons,
  };
}

/** A motor that died early must not be replaced by the same motor into the same trouble. Gives years, where dated. */
function life({ input, w }: Walk): number | undefined {
  const { installed, failed, causes, hours } = input.history ?? {};
  if (installed === undefined || failed === undefined) return undefined;
  const months = monthsOf(failed) - monthsOf(installed);
  if (months < 0) {
    w.finding('history.order', 'caution', 'The motor failed before it was installed: one of the two dates is wrong.', {
      fields: ['history.installed', 'history.failed'],
    });
    return undefined;
  }
  const at = (date: string, path: string) => field(path, q(monthsOf(date) / 12, 'a'), date);
  w.figure('history.life', lifetime, {
    t_i: at(installed, 'history.installed'),
    t_f: at(failed, 'history.failed'),
  });
  if (hours !== undefined && months > 0)
    w.figure('history.hoursPerYear', perYear, { h: field('history.hours', q(hours, 'h')), t: 'history.life' });
  if (hours !== undefined && hours > (months + 1) * 744)
    w.finding('history.hours', 'caution', `${hours} h do not fit into ${months} months.`, {
      fields: ['history.hours', 'history.installed', 'history.failed'],
    });
  if (months < 60)
    w.finding(
      'history.early-failure',
      'caution',
      `The motor lasted ${months} ` +
        `months${causes && causes.length > 0 ? ` (${causes.join(', ').replaceAll('-', ' ')})` : ''}. ` +
        `Ask what killed it before putting the same motor into the same trouble.`,
      {
        fields: ['history.installed', 'history.failed'],
        source: commonPractice('A motor is expected to last well beyond five years'),
      },
    );
  return months / 12;
}

/** Months of a "2025-07" or "2025" since year nought. */
function monthsOf(date: string): number {
  const [year, month] = date.split('-').map(Number);
  return (year ?? 0) * 12 + (month ?? 1);
}

/** Nobody knows what killed it: in which order one looks, and what of the case is suspect. */
function unknownCause({ w }: Walk, suspicions: readonly string[]): void {
  w.finding(
    'history.unknown-cause',
    'note',
    'The cause is not known; the usual order is bearings, then insulation, then heat. Turn the shaft by hand: ' +
      'rough or loose is a bearing. Measure the winding to earth and the three resistances against each other: low ' +
      'or unequal is insulation. Look at the winding: dark all over is overload or cooling, one phase dark is a lost ' +
      'phase.' +
      (suspicions.length > 0 ? ` Suspect here: ${suspicions.slice(0, 3).join(' ')}` : ''),
    { fields: ['history.causes'], source: commonPractice('Where failed motors are looked at first') },
  );
}
