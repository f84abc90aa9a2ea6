import { commonPractice, type FlowControl } from '../../contract';
import { hoursOf, meanFlow } from '../../physics';
import { askFlow } from './flow';
import { priceShare, type SpeedNeeds, type Walk, type YearRow } from '../../needs';

/** Full flow, for ranking only, where nobody said how the year goes. */
const assumedYear: readonly YearRow[] = [{ hours: 4000, flow: 1, price: 1 }];

/** What speed is for: range, the hours a year at each flow, and how flow is controlled now. */
export function askSpeed(walk: Walk): SpeedNeeds {
  const { input, w } = walk;
  w.enter('speed');
  const speed = input.speed;
  if (speed?.need === undefined) w.want('speed.need');
  const rows = (speed?.profile ?? [])
    .filter((row) => row.hours > 0)
    .map((row): YearRow => ({ hours: row.hours, flow: row.flow, price: priceShare(input.money, row) }));
  if (rows.length > 0) {
    w.figure('speed.hours', hoursOf(rows), {});
    w.figure('speed.meanFlow', meanFlow(rows), { H: 'speed.hours' });
  } else w.want('speed.profile');
  if (rows.length === 0 && speed?.profile && speed.profile.length > 0)
    w.finding(
      'speed.no-hours',
      'caution',
      'The profile has no hours: a machine that never runs saves nothing and costs nothing. Give the hours a year at ' +
        'each flow.',
      { fields: speed.profile.map((_, i) => `speed.profile[${i}].hours`) },
    );
  if (speed?.min !== undefined && speed.max !== undefined && speed.min > speed.max) {
    w.finding(
      'speed.range',
      'caution',
      'The lowest speed is above the highest: the two are taken the other way round.',
      {
        fields: ['speed.min', 'speed.max'],
      },
    );
  }
  const lowest = lowestFlow(rows);
  const varies = rows.some((row) => Math.abs(row.flow - 1) > aboutFull);
  if (speed?.need === 'variable' && rows.length > 0 && !varies) {
    w.finding(
      'drive.no-use',
      'caution',
      'The profile is full flow all year: speed control has nothing to save here. ' +
        'A drive then only starts the motor; compare a soft starter.',
      {
        fields: ['speed.profile', 'speed.need'],
      },
    );
  }
  const { machine } = input.load ?? {};
  if (machine === 'displacement-pump' && speed?.control === 'throttle-valve')
    w.finding(
      'cost.displacement-throttled',
      'stop',
      'A displacement pump is not throttled: it moves the same flow against a closing valve until something bursts ' +
        'or its relief valve lifts. Control its speed, or return flow through a bypass; keep the relief valve.',
      { fields: ['speed.control', 'load.machine'], source: displacementSource },
    );
  const [a, b] = [speed?.min ?? lowest, speed?.max ?? 1];
  return {
    variable: speed?.need === 'variable',
    throttled: throttles(speed?.control) && rows.some((row) => row.flow < 1 - aboutFull),
    min: Math.min(a, b),
    max: Math.max(a, b),
    rows: rows.length > 0 ? rows : assumedYear,
    control: speed?.control ?? 'none',
    flow: askFlow(walk, rows),
    assumedHours: rows.length === 0,
  };
}

/** Within this of full flow, flow is full (common practice). */
const aboutFull = 0.02;

/** Whether a way of control holds back what the machine would deliver, at full speed. */
const throttles = (control: FlowControl | undefined): boolean =>
  control !== undefined && control !== 'none' && control !== 'on-off';

const displacementSource = commonPractice('Displacement pumps: speed or bypass, never a valve in the line');

/** Lowest flow of the year, which is the lowest speed where nobody gave one. */
const lowestFlow = (rows: readonly Pick<YearRow, 'flow'>[]): number =>
  rows.reduce((least, row) => Math.min(least, row.flow), 1);

export function speedKey({ input, w }: Walk): string {
  const speed = input.speed;
  if (!speed?.need) return 'not said';
  if (speed.need === 'fixed') return 'fixed';
  const least = speed.min ?? lowestFlow((speed.profile ?? []).filter((row) => row.hours > 0));
  const range = `${Math.round(least * 100)} to ${Math.round((speed.max ?? 1) * 100)} %`;
  const hours = w.figures.get('speed.hours')?.text;
  return hours ? `${range}, ${hours}` : range;
}
