import { describe, expect, it } from 'vitest';
import { guessWords, pointsFor, readGuesses } from '../src/lib/bench/guess';

describe('a guess', () => {
  it.each([
    [110, 3],
    [89, 2],
    [90, 3],
    [125, 2],
    [126, 1],
    [150, 1],
    [151, 0],
    [49, 0],
  ])('of %d at 100 W is worth %d', (guess, points) => {
    expect(pointsFor(guess, 100)).toBe(points);
  });
  it.each([
    ['9 kW', '4200', { throttle: 9000, drive: 4200 }],
    ['9,5kw', '12 W', { throttle: 9500, drive: 12 }],
    ['nine', '4', null],
    ['0', '4', null],
    ['', '', null],
  ])('“%s” and “%s”', (throttle, drive, read) => {
    expect(readGuesses({ throttle, drive })).toEqual(read);
  });
  it('is told by how much it is off', () => {
    const write = (w: number) => `${w} W`;
    expect(guessWords('Throttled', 80, 100, write)).toBe(
      'Throttled: you said 80 W, it is 100 W, 20 % too low: 2 points.',
    );
    expect(guessWords('Throttled', 100.2, 100, write)).toContain('right: 3 points');
  });
});
