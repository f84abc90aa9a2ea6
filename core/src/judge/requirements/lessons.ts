import { lessonIds, type LessonId } from '../../nameplate';
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
      return code[outcome];
    },
    sentence: ({ needs, motor, method }) => judgeLesson(needs, id, motor, method).text(),
    cure: ({ needs }) =>
      needs.speed.variable && id === 'history-cooling' ? 'a higher lowest speed' : 'what its verdict says',
  }),
);
