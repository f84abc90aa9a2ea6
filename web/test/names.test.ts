import { describe, expect, it } from 'vitest';
import { figureIds } from '@pilgrim/core';
import {
  fieldName,
  figureName,
  isStation,
  markOf,
  markOfAll,
  namedFields,
  stationIds,
  stationNames,
  stationOfField,
} from '$lib/ui/names';

describe('names', () => {
  it('a field leads to the station on whose desk it stands', () => {
    const expected = {
      'load.demand.force': 'load',
      'supply.source': 'start',
      'supply.source.rating': 'start',
      'start.softStarter.limit': 'start',
      'rules.ranking': 'choice',
      method: 'choice',
      waived: 'choice',
      'money.energyPrice': 'cost',
      'history.failed': 'plate',
      'speed.profile[1].hours': 'speed',
      'place.cable.length': 'place',
    };
    for (const [path, station] of Object.entries(expected)) expect(stationOfField(path)).toBe(station);
  });
  it('what passes on a condition is no tick; what does not pass, or is not counted, keeps its own mark', () => {
    const condition = { field: 'place.cable.length', limit: '15 m', text: 'Holds with 15 m or less.' };
    const plain = { outcome: 'pass', condition: null, waived: null } as const;
    expect(markOf(plain)).toBe('pass');
    expect(markOf({ ...plain, condition })).toBe('condition');
    expect(markOf({ ...plain, condition, waived: 'nobody asks' })).toBe('pass');
    expect(markOf({ ...plain, outcome: 'caution', condition })).toBe('caution');
    expect(markOfAll('pass', [plain, plain])).toBe('pass');
    expect(markOfAll('pass', [plain, { ...plain, condition }])).toBe('condition');
    expect(markOfAll('fail', [plain, { ...plain, condition }])).toBe('fail');
  });
  it('every figure reads as words', () => {
    for (const id of figureIds) expect(figureName(id)).toMatch(/^[A-Z][^.]*$/);
    expect(figureName('start.direct.voltageDip')).toBe('Dip at the bus, direct on line');
  });
  it('a field is called as its screen calls it; where screens differ, by the end of its path', () => {
    expect(fieldName('load.demand.drumDiameter')).toBe('Drum diameter');
    expect(fieldName('load.demand.liftHeight')).toBe('demand lift height');
    expect(fieldName('supply.source.nothing')).toBe('source nothing');
  });
  it('the names of fields are there for all stations but choice, whose field is the motor', () => {
    const named = new Set(namedFields().map(([path]) => stationOfField(path)));
    expect([...named]).toEqual(expect.arrayContaining(['plate', 'load', 'place', 'speed', 'start', 'cost']));
  });
  it('stations are ten, in working order, each named', () => {
    expect(stationIds.map((s) => stationNames[s])).toEqual([
      'Plate',
      'Load',
      'Place',
      'Speed',
      'Choice',
      'Start',
      'Guard',
      'Drive',
      'Cost',
      'Sheet',
    ]);
    expect(isStation('sheet')).toBe(true);
    expect(isStation('toString')).toBe(false);
  });
});
