import type { Pair } from './bench.svelte';

/** Points for a guess that is off by so much, as a share. */
const steps = [
  [0.1, 3],
  [0.25, 2],
  [0.5, 1],
] as const;
export const mostPoints = 3;

export const pointsFor = (guess: number, truth: number): number =>
  steps.find(([off]) => Math.abs(guess - truth) <= off * Math.abs(truth))?.[1] ?? 0;

/** Points had, and how many there were to have. */
export interface Score {
  readonly points: number;
  readonly of: number;
}

const key = 'pilgrim.bench.score';
export function keptScore(): Score {
  try {
    const { points, of } = JSON.parse(localStorage.getItem(key) ?? '{}') as Partial<Score>;
    return typeof points === 'number' && typeof of === 'number' ? { points, of } : { points: 0, of: 0 };
  } catch {
    return { points: 0, of: 0 };
  }
}
export function keepScore(score: Score): void {
  try {
    localStorage.setItem(key, JSON.stringify(score));
  } catch {
    // A browser that keeps nothing: the score is of this page.
  }
}

/** How a guess went, in words. */
export function guessWords(name: string, guess: number, truth: number, write: (w: number) => string): string {
  const off = guess / truth - 1;
  const by = Math.abs(off) < 0.005 ? 'right' : `${Math.abs(100 * off).toFixed(0)} % too ${off > 0 ? 'high' : 'low'}`;
  const points = pointsFor(guess, truth);
  const won = `${points} ${points === 1 ? 'point' : 'points'}`;
  return `${name}: you said ${write(guess)}, it is ${write(truth)}, ${by}: ${won}.`;
}

/** What both were guessed at; null while one is no number above 0. */
export function readGuesses(texts: Pair<string>): Pair<number> | null {
  const read = (text: string): number => {
    const [, number = '', k = ''] = /^\s*([\d.,]+)\s*(k?)w?\s*$/i.exec(text) ?? [];
    return Number(number.replace(',', '.')) * (k === '' ? 1 : 1000);
  };
  const guesses = { throttle: read(texts.throttle), drive: read(texts.drive) };
  return guesses.throttle > 0 && guesses.drive > 0 ? guesses : null;
}
