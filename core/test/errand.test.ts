import { describe, expect, it } from 'vitest';
import { errandAsks, errands, errandState, errandStops, stations, type CaseText } from '@pilgrim/core';
import { conveyor, ordinaryPlate, solved } from './cases';

const state = (errand: (typeof errands)[number], text: object) =>
  errandState(errand, text, solved({ ...(text as CaseText), errand }));
const bare = { format: 'pilgrim.case/1', practice: 'north-america' } as const;

describe('an errand', () => {
  it.each(errands)('%s walks stations there are, each once, and asks what it walks', (errand) => {
    const stops = errandStops[errand];
    expect(stations).toEqual(expect.arrayContaining([...stops]));
    expect(new Set(stops).size).toBe(stops.length);
    expect(errandAsks[errand].length).toBeGreaterThan(0);
  });

  it('asks everything first, and has not enough, while nothing is known', () => {
    for (const errand of errands) {
      const { open, enough, text } = state(errand, bare);
      expect(open).toEqual(errandAsks[errand]);
      expect(enough).toBe(false);
      expect(text).toBe(`${open.length} of ${open.length} asked first still open`);
    }
    expect(errandState('failed', bare, null).enough).toBe(false);
  });

  it('a failed motor: enough is known when a choice stands, and what was not said is still asked', () => {
    const { open, enough, text } = state('failed', { ...bare, plate: ordinaryPlate, supply: conveyor.supply });
    expect(enough).toBe(true);
    expect(open).toEqual(['history.causes', 'load.machine']);
    expect(text).toBe('Enough is known to choose; 2 of 10 asked first still open');
  });

  it('a new machine needs no plate', () => {
    expect(state('new', conveyor)).toMatchObject({ enough: true, open: ['load.inertia'] });
    expect(state('new', { ...conveyor, load: undefined }).enough).toBe(false);
  });

  it('a price by time of the week answers for the price of energy; an empty one does not', () => {
    const open = (money: object) => errandState('wasteful', { ...bare, money }, null).open;
    expect(open({})).toContain('money.energyPrice');
    expect(open({ tariff: [] })).toContain('money.energyPrice');
    expect(open({ tariff: [{ from: '00:00', to: '00:00', price: 0.2 }] })).not.toContain('money.energyPrice');
    expect(open({ energyPrice: 0.2 })).not.toContain('money.energyPrice');
  });

  it('a plate is read when the plate is there; an empty list is nothing given', () => {
    const read = { ...bare, plate: ordinaryPlate, supply: { voltage: '460 V', frequency: '60 Hz' } };
    expect(state('read', read)).toEqual({ open: [], enough: true, text: 'The plate is read' });
    expect(errandState('failed', { history: { causes: [] } }, null).open).toContain('history.causes');
    expect(errandState('failed', { history: { causes: ['water'] } }, null).open).not.toContain('history.causes');
  });

  it('a wasteful motor is compared when what may be kept and bought stands side by side', () => {
    const wasteful = { ...conveyor, plate: ordinaryPlate, money: { energyPrice: 0.1, currency: 'USD' } };
    const { enough, text } = state('wasteful', wasteful);
    expect(enough).toBe(true);
    expect(text).toContain('Enough is known to compare');
  });

  it('what draws too much is judged when all of it is there', () => {
    expect(state('overloaded', { ...bare, plate: ordinaryPlate, supply: conveyor.supply }).enough).toBe(false);
    const all = {
      ...conveyor,
      plate: ordinaryPlate,
      load: { ...conveyor.load, startsPerHour: 2 },
      history: { causes: ['overheated'] },
    };
    expect(state('overloaded', all)).toMatchObject({ open: [], enough: true });
  });

  it('a stop is never enough, and says where it stands', () => {
    const hazardous = { ...conveyor, place: { ...conveyor.place, hazardous: true } };
    expect(state('new', hazardous)).toMatchObject({ enough: false, text: 'A stop stands at Place' });
  });
});
