import type { Case } from '../../case';
import { commonPractice, type Source } from '../../contract';
import { assumed, field, prescribed, type Given, type Input } from '../../law';
import { beltPull, stagesEfficiency, stagesInertia, stagesRatio, type TrainKind } from '../../physics';
import { q, writeQuantity } from '../../quantity';
import { shaftStage, type Walk } from '../../needs';
import { rollerBearing } from '../../practice';

type Train = NonNullable<NonNullable<Case['load']>['train']>;

/** Between motor and machine: ratio and efficiency as a law takes them, and what hangs on the motor's shaft. */
export interface Drivetrain {
  readonly ratio: Input<'1'>;
  readonly efficiency: Input<'1'>;
  readonly ratioValue: number;
  /** Kind of the stage on the motor's shaft. */
  readonly first: TrainKind;
}

/** Usual efficiency of one stage at rated load. */
export const usualTrainEfficiency: Readonly<Record<TrainKind, number>> = {
  direct: 1,
  belt: 0.95,
  gearbox: 0.94,
  chain: 0.96,
};
const efficiencySource: Source = commonPractice(
  'V-belts 95 %, chain 96 %, a gearbox of one or two steps 94 %; worm gears far less',
);
const pullFactor: Readonly<Record<TrainKind, number>> = { direct: 0, belt: 1.5, gearbox: 0, chain: 1 };

/** The train of one to three stages: its ratio and efficiency in all, as figures where there are stages. */
export function readTrain(walk: Walk): Drivetrain {
  const train = walk.input.load?.train;
  return train?.stages ? ofStages(walk, train, train.stages) : ofWhole(train);
}

function ofWhole(train: Train | undefined): Drivetrain {
  const { kind, taken } = shaftStage(train);
  const ratio: Given<'1'> =
    train?.ratio === undefined
      ? assumed('load.train.ratio', q(1, '1'), 'no ratio given: the motor turns as fast as the machine')
      : field('load.train.ratio', q(train.ratio, '1'));
  const efficiency: Given<'1'> =
    train?.efficiency === undefined
      ? assumed('load.train.efficiency', q(usualTrainEfficiency[kind], '1'), whyUsual(kind, taken))
      : field('load.train.efficiency', q(train.efficiency, '1'));
  return { ratio, efficiency, ratioValue: train?.ratio ?? 1, first: kind };
}

function ofStages(walk: Walk, train: Train, given: NonNullable<Train['stages']>): Drivetrain {
  const { w } = walk;
  const stages = given.map((s) => {
    const kind = s.kind ?? 'direct';
    return {
      ratio: s.ratio ?? 1,
      efficiency: s.efficiency ?? usualTrainEfficiency[kind],
      inertia: s.inertia?.value ?? 0,
    };
  });
  if (train.ratio !== undefined || train.efficiency !== undefined || train.kind !== undefined)
    w.finding('load.train-twice', 'caution', 'The train is given as a whole and by stages: the stages count.', {
      fields: ['load.train.ratio', 'load.train.stages'],
    });
  const taken = given.flatMap((s, i) => {
    const kind = s.kind ?? 'direct';
    const path = `load.train.stages[${i}]`;
    return [
      ...(s.ratio === undefined ? [{ field: `${path}.ratio`, value: 1, why: 'no ratio given for this stage' }] : []),
      ...(s.efficiency === undefined
        ? [{ field: `${path}.efficiency`, value: usualTrainEfficiency[kind], why: whyUsual(kind) }]
        : []),
    ];
  });
  w.figure('load.ratio', stagesRatio(stages), {}, { assumed: taken.filter((a) => a.field.endsWith('ratio')) });
  w.figure(
    'load.trainEfficiency',
    stagesEfficiency(stages),
    {},
    { assumed: taken.filter((a) => a.field.endsWith('efficiency')), source: efficiencySource },
  );
  if (stages.some((s) => s.inertia > 0)) w.figure('load.trainInertia', stagesInertia(stages), {});
  return {
    ratio: 'load.ratio',
    efficiency: 'load.trainEfficiency',
    ratioValue: stages.reduce((i, s) => i * s.ratio, 1),
    first: shaftStage(train).kind,
  };
}

const whyUsual = (kind: TrainKind, taken?: string): string =>
  kind === 'direct' ? 'direct drive loses nothing' : `usual for a ${kind}${taken === undefined ? '' : ` (${taken})`}`;

/** How hard a belt or chain pulls on the motor's shaft, and what that means for its bearing. */
export function tellPull({ input, w }: Walk, { first }: Drivetrain): void {
  const factor = pullFactor[first];
  const sheave = input.load?.train?.sheave;
  if (factor === 0) {
    if (sheave)
      w.finding(
        'load.sheave-unused',
        'note',
        'A sheave is given, but neither belt nor chain is on the motor’s shaft: it is not used.',
        { fields: ['load.train.sheave'] },
      );
    return;
  }
  if (!sheave) return;
  const pull = w.figure('load.beltPull', beltPull, {
    k: prescribed(q(factor, '1'), commonPractice('Tension factor: V-belt 1.5, chain 1.0')),
    T_m: 'load.motorTorque',
    d: field('load.train.sheave', sheave.value, sheave.text),
  });
  if (pull === undefined) return;
  w.finding(
    'load.belt-pull',
    'note',
    `The ${first} pulls the motor’s shaft sideways with about ${writeQuantity(pull, 'N')}. Mount the sheave ` +
      `close to the bearing and tension by ` +
      `gauge. Above ${writeQuantity(rollerBearing.above, 'W')} of motor its drive end has a roller bearing; ` +
      'below, a ball bearing carries this as long as the sheave is no smaller than the standard’s least.',
    {
      fields: ['load.train.sheave'],
      figures: ['load.beltPull'],
      source: rollerBearing.source,
    },
  );
}
