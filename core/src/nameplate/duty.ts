import { remembered, type Source } from '../contract';

export const dutySource = remembered('standard', 'IEC 60034-1', '2022', 'clause 4 (duty types S1 to S10)');

export interface Duty {
  /** S1 to S10; minutes stamped alone are S2. */
  readonly type: string;
  readonly minutes?: number;
  /** Share of the cycle under load. */
  readonly share?: number;
  readonly continuous: boolean;
  readonly words: string;
  readonly source: Source;
}

const meanings: Readonly<Record<string, string>> = {
  S1: 'continuous at constant load',
  S2: 'short time, then rest until cold',
  S3: 'intermittent, starting does not heat it noticeably',
  S4: 'intermittent, with starting',
  S5: 'intermittent, with electric braking',
  S6: 'continuous running, load on and off',
  S7: 'continuous running with electric braking',
  S8: 'continuous running with related changes of load and speed',
  S9: 'load and speed vary irregularly, overloads included',
  S10: 'discrete constant loads and speeds',
};

/** Reads a plate's duty: "CONT", "30 MIN", "S3 40 %", "S2-30 min". Undefined where it is none of these. */
export function readDuty(text: string): Duty | undefined {
  const t = text.trim().toUpperCase();
  const type = /\bS\s?(10|[1-9])\b/.exec(t)?.[1];
  const minutes = /(\d+(?:[.,]\d+)?)\s*(?:MIN|MN|′|')/.exec(t)?.[1];
  const hours = /(\d+(?:[.,]\d+)?)\s*(?:H|HR|HRS|HOURS?)\b/.exec(t)?.[1];
  const percent = /(\d+(?:[.,]\d+)?)\s*%/.exec(t)?.[1];
  const number = (s: string): number => Number(s.replace(',', '.'));
  const time = minutes !== undefined ? number(minutes) : hours !== undefined ? number(hours) * 60 : undefined;
  // "24 H" is a plate's way of saying all day.
  const always = /CONT|DAUERB|\bCT\b/.test(t) || t === 'C' || (time !== undefined && time >= 1440);
  const name = type ? `S${type}` : always ? 'S1' : time !== undefined ? 'S2' : percent !== undefined ? 'S3' : undefined;
  if (name === undefined) return undefined;
  const details = [
    time !== undefined && name !== 'S1' ? `${time} min` : '',
    percent !== undefined ? `${number(percent)} % of the cycle` : '',
  ].filter(Boolean);
  return {
    type: name,
    ...(time !== undefined && name !== 'S1' ? { minutes: time } : {}),
    ...(percent !== undefined ? { share: number(percent) / 100 } : {}),
    continuous: name === 'S1',
    words: [`${name}, ${meanings[name] ?? ''}`, ...details].join('; '),
    source: dutySource,
  };
}
