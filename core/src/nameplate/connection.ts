import { remembered, type Source } from '../contract';
import type { Practice } from '../practice';

export const terminalSource = remembered('standard', 'NEMA MG 1', '2016', 'Part 2 (terminal markings)');
export const iecTerminalSource = remembered('standard', 'IEC 60034-8', '2007', 'terminal markings');

export type ConnectionKind = 'single' | 'series-parallel' | 'delta-star' | 'unknown';

/** How two voltages of a plate come from one winding, by their ratio: 2:1 or √3:1. */
export function connectionKind(groups: readonly (readonly number[])[]): ConnectionKind {
  if (groups.length < 2) return 'single';
  if (groups.length > 2) return 'unknown';
  const [low, high] = groups;
  const near = (ratio: number): boolean =>
    (low ?? []).some((a) => (high ?? []).some((b) => Math.abs(b / a / ratio - 1) < 0.03));
  if (near(2)) return 'series-parallel';
  return near(Math.sqrt(3)) ? 'delta-star' : 'unknown';
}

export interface Wiring {
  readonly words: string;
  /**
   * Voltage over one coil group per line volt: the same on every line the plate permits (nine leads taken as
   * star-wound).
   */
  readonly windingShare: number;
  /** Whether star-delta starting is possible on this line. */
  readonly starDelta: boolean;
  readonly source: Source;
}

/** How to join the leads for the group in use, and what it means for star-delta. Defers to the diagram in the lid. */
export function wiringFor(
  kind: ConnectionKind,
  index: number,
  leads: number | undefined,
  marks: Practice['leadMarks'],
): Wiring {
  const root = 1 / Math.sqrt(3);
  const numbers = marks === 'numbers';
  if (kind === 'delta-star') {
    const star = index > 0;
    const how = numbers
      ? star
        ? 'star: line to 1, 2, 3; join 4-5-6'
        : 'delta: line to 1-6, 2-4, 3-5'
      : star
        ? 'star: line to U1, V1, W1; join U2-V2-W2'
        : 'delta: bars U1-W2, V1-U2, W1-V2';
    return {
      words:
        `${how}; six ` +
        `leads${star ? '. Star-delta would need delta on this line: not possible here' : '. Star-delta is possible'}`,
      windingShare: star ? root : 1,
      starDelta: !star,
      source: numbers ? terminalSource : iecTerminalSource,
    };
  }
  if (kind === 'series-parallel') {
    const low = index === 0;
    const twelve = leads === 12;
    const nine = low
      ? 'parallel: line to 1-7, 2-8, 3-9; join 4-5-6 (star-wound; delta-wound: 1-6-7, 2-4-8, 3-5-9)'
      : 'series: line to 1, 2, 3; join 4-7, 5-8, 6-9';
    const words = twelve
      ? `${low ? 'parallel' : 'series'}, by the diagram in the lid; twelve leads, so star-delta is possible`
      : `${nine}; ${leads === undefined ? 'nine leads, commonly' : `${leads} leads`}: ` +
        `no star-delta start on those, it wants twelve`;
    return { words, windingShare: low ? root : root / 2, starDelta: twelve, source: terminalSource };
  }
  const six = leads !== undefined && leads >= 6;
  return {
    words:
      kind === 'unknown'
        ? 'the ratio of its voltages is neither 2 nor √3: go by the diagram in the lid'
        : six
          ? `one voltage, ${leads} leads: line in delta if its diagram says so; star-delta is possible where it does`
          : `one voltage${leads === undefined ? '' : `, ${leads} leads`}: connected inside, nothing to choose`,
    windingShare: 1,
    starDelta: six,
    source: numbers ? terminalSource : iecTerminalSource,
  };
}
