import { percent } from '../../needs';
import { writeQuantity } from '../../quantity';
import { problemText, requirement, whenSimulated } from '../requirement';

export const startTime = requirement({
  id: 'start-time',
  of: 'method',
  told: true,
  fields: ['load.maxStartTime', 'load.inertia'],
  problems: ['start.too-long'],
  applies: ({ load }) => load.startKnown,
  limitless: ({ needs: { start } }) => start.permitted.value === Infinity,
  judge: whenSimulated,
  marginOf: ({ needs }, _, { run }) =>
    run?.time === undefined || needs.start.permitted.value === Infinity
      ? 0
      : 1 - run.time / needs.start.permitted.value,
  sentence: ({ tried }) =>
    problemText(tried, ['start.too-long']) ?? `At speed in ${writeQuantity(tried?.run?.time ?? 0, 's')}.`,
  cure: () => 'a longer permitted start, or less inertia',
});

export const startHeat = requirement({
  id: 'start-heat',
  of: 'method',
  told: true,
  fields: ['load.inertia', 'start.stallTime'],
  problems: ['start.too-hot', 'start.heavy', 'start.stall-unknown'],
  applies: ({ load }) => load.startKnown,
  judge: whenSimulated,
  marginOf: (_, __, { run }) => (run ? 1 - Math.max(run.statorHeat, run.rotorHeat) : 0),
  sentence: ({ tried, margin }) =>
    problemText(tried, ['start.too-hot', 'start.heavy', 'start.stall-unknown']) ??
    `Takes ${percent(1 - margin)} of the heat it bears from hot.`,
  holdsIf({ tried, needs }) {
    const heat = tried?.run ? Math.max(tried.run.statorHeat, tried.run.rotorHeat) : 0;
    const limit = writeQuantity(heat * needs.start.stallTime, 's');
    return {
      field: 'start.stallTime',
      limit,
      text: `Holds if the motor bears standing still for ${limit} from hot: no standard names it here, ask its maker.`,
    };
  },
  cure: () => 'less inertia, or a start with more torque or less current',
});

export const startsAnHour = requirement({
  id: 'starts',
  of: 'method',
  told: true,
  fields: ['load.startsPerHour'],
  problems: ['start.too-often'],
  applies: ({ start, load }) => start.perHour !== undefined && load.startKnown,
  // On a drive a start is no heat that is counted.
  limitless: ({ tried }) => tried?.starts === undefined,
  judge: whenSimulated,
  marginOf: ({ needs }, _, { starts }) => (starts === undefined ? 0 : starts / (needs.start.perHour ?? 1) - 1),
  sentence: ({ tried, needs }) =>
    problemText(tried, ['start.too-often']) ??
    `Bears the ${needs.start.perHour} ${needs.start.perHour === 1 ? 'start' : 'starts'} an hour asked` +
      `${tried?.starts === undefined ? '' : `: ${Math.floor(tried.starts)} at most`}.`,
  cure: ({ tried }) => `at most ${Math.floor(tried?.starts ?? 0)} starts an hour`,
});
