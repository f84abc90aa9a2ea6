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
  problems: ['start.too-hot'],
  applies: ({ load }) => load.startKnown,
  judge: whenSimulated,
  marginOf: (_, __, { run }) => (run ? 1 - Math.max(run.statorHeat, run.rotorHeat) : 0),
  sentence: ({ tried, margin }) =>
    problemText(tried, ['start.too-hot']) ?? `Takes ${percent(1 - margin)} of the heat it bears from hot.`,
  cure: () => 'less inertia, or a start with more torque or less current',
});

export const startsAnHour = requirement({
  id: 'starts',
  of: 'method',
  told: true,
  fields: ['load.startsPerHour'],
  problems: ['start.too-often'],
  applies: ({ start, load }) => start.perHour !== undefined && load.startKnown,
  judge: whenSimulated,
  marginOf: ({ needs }, _, { starts }) => (starts ?? 0) / (needs.start.perHour ?? 1) - 1,
  sentence: ({ tried, needs }) =>
    problemText(tried, ['start.too-often']) ?? `Bears ${needs.start.perHour} starts an hour.`,
  cure: ({ tried }) => `at most ${Math.floor(tried?.starts ?? 0)} starts an hour`,
});
