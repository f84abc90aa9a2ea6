import { lessonIds, type LessonId } from '../../nameplate';
import { writeQuantity } from '../../quantity';
import type { RemedyKind } from '../../practice';
import { judgeLesson } from '../lessons';
import { code } from '../code';
import { requirement, type Requirement } from '../requirement';

/** Lessons that a gentler start or a drive may answer; the others are the motor's own. */
const byMethod: ReadonlySet<LessonId> = new Set([
  'history-starts',
  'history-phase-loss',
  'history-shaft-current',
  'history-pulses',
  'history-shock',
  'history-cooling',
]);

/** What is bought against a cause that comes again. */
const answeredBy: Readonly<Partial<Record<LessonId, RemedyKind>>> = {
  'history-bearing': 'roller-bearing',
  'history-shaft-current': 'insulated-bearing',
  'history-phase-loss': 'phase-relay',
  'history-cooling': 'blower',
};

const boughtFor: Readonly<Partial<Record<LessonId, string>>> = {
  'history-bearing': 'a roller bearing at the drive end',
  'history-shaft-current': 'a shaft grounding ring and, above about 75 kW, an insulated bearing',
  'history-phase-loss': 'an overload relay that sees the loss of a phase',
  'history-cooling': 'a blower of its own on the motor',
};

/** What the old motor's failure taught, as requirements; each applies where the history taught it. */
export const lessons: readonly Requirement<LessonId>[] = lessonIds.map((id) =>
  requirement({
    id,
    of: byMethod.has(id) ? 'method' : 'motor',
    told: id === 'history-reserve',
    figures: id === 'history-reserve' ? ['plate.ratedPower', 'place.motorDerating'] : [],
    applies: (needs) => needs.lessons.some((lesson) => lesson.requirement === id),
    judge({ needs, motors }, e) {
      const motor = motors[e.i];
      if (!motor) return code.none;
      const { outcome, margin } = judgeLesson(needs, id, motor, e.method);
      e.margin = margin;
      const said = id === 'history-cooling' && needs.drive?.cooling !== undefined;
      if (outcome === 'caution' && !said) e.remedy = answeredBy[id];
      // A load that was given stands against the rating that was overheated: the choice holds if it is measured.
      e.condition = id === 'history-reserve' && needs.load.basis === 'load';
      return code[outcome];
    },
    holdsIf: ({ needs, motor }) => {
      const limit = writeQuantity(motor.power * needs.place.motorDerating, 'W', needs.practice.words.units);
      return {
        field: 'load.demand.uncertainty',
        limit,
        text:
          `Holds if the load, measured at the running machine, is at most ${limit}: the old motor was overheated. ` +
          'Give how well it is known.',
      };
    },
    remedied: () => boughtFor[id] ?? '',
    sentence: ({ needs, motor, method }) => judgeLesson(needs, id, motor, method).text(),
    // Only too little cooling and an open motor fail.
    cure: () => (id === 'history-cooling' ? 'a higher lowest speed' : 'an enclosed motor'),
  }),
);
