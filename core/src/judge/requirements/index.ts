import { bearings } from './bearings';
import { cable } from './cable';
import { construction } from './construction';
import { efficiencyFloor } from './efficiencyFloor';
import { enclosure } from './enclosure';
import { frame } from './frame';
import { frequency } from './frequency';
import { insulation } from './insulation';
import { interchange } from './interchange';
import { keeps, vertical } from './keeps';
import { leads } from './leads';
import { loading } from './loading';
import { lessons } from './lessons';
import { noise } from './noise';
import { peakTorque } from './peakTorque';
import { power } from './power';
import { runUp } from './runUp';
import { serviceFactor } from './serviceFactor';
import { shaft } from './shaft';
import { source } from './source';
import { spare } from './spare';
import { speed } from './speed';
import { speedControl } from './speedControl';
import { startHeat, startsAnHour, startTime } from './startLimits';
import { startingTorque } from './startingTorque';
import { supply } from './supply';
import { turndown } from './turndown';
import { voltage } from './voltage';
import { winding } from './winding';

/** All that is asked of a motor with its starter, in the order it is told. */
export const asked = [
  power,
  loading,
  peakTorque,
  voltage,
  frequency,
  speed,
  enclosure,
  construction,
  frame,
  interchange,
  ...keeps,
  vertical,
  shaft,
  spare,
  bearings,
  efficiencyFloor,
  noise,
  speedControl,
  source,
  supply,
  startingTorque,
  runUp,
  startTime,
  startHeat,
  startsAnHour,
  cable,
  leads,
  turndown,
  winding,
  insulation,
  serviceFactor,
  ...lessons,
] as const;

/** Fields of the case that decide a requirement; the method where it names none. */
export const requirementFields = (id: string): readonly string[] => {
  const fields = asked.find((r) => r.id === id)?.fields ?? [];
  return fields.length > 0 ? fields : ['method'];
};

export type RequirementId = (typeof asked)[number]['id'];
export const requirements: readonly RequirementId[] = asked.map((r) => r.id);
