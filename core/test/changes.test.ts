import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  carriedCase,
  changesBetween,
  choiceInWords,
  fieldChanges,
  mergeCases,
  methodOfFigure,
  type CaseText,
} from '@pilgrim/core';
import { conveyor, solved } from './cases';

describe('what one answer says and another does not', () => {
  const of = (change: object) => solved({ ...conveyor, ...change } as CaseText);

  it('is nothing where both are the same', () => {
    expect(changesBetween(of({}), of({}))).toEqual({ choice: null, figures: [], gone: [], come: [], reworded: [] });
  });

  it('names choice, figures by station, and the findings that went and came; backwards it is the same, turned', () => {
    const [a, b] = [of({}), of({ load: { ...conveyor.load, demand: { ...conveyor.load.demand, force: '480 lbf' } } })];
    const there = changesBetween(a, b);
    expect(there.choice).toEqual({ before: choiceInWords(a.choice!), after: choiceInWords(b.choice!) });
    expect(there.choice?.before).toContain(a.choice!.motor.name);
    expect(there.figures.find((f) => f.id === 'load.power')).toMatchObject({ station: 'load' });
    expect(there.figures.every((f) => f.before?.text !== f.after?.text)).toBe(true);
    const places = there.figures.map((f) => f.station);
    expect(places.indexOf('load')).toBeLessThan(places.indexOf('choice'));
    const back = changesBetween(b, a);
    expect(back.gone).toEqual(there.come);
    expect(back.come).toEqual(there.gone);
    expect(back.reworded.map((f) => f.id)).toEqual(there.reworded.map((f) => f.id));
    expect(back.figures).toHaveLength(there.figures.length);
  });

  it('says that a choice is gone, and shows the figures that went with it', () => {
    const changes = changesBetween(of({}), of({ load: undefined, plate: undefined }));
    expect(changes.choice?.after).toBeNull();
    expect(changes.figures.find((f) => f.id === 'load.power')).toMatchObject({ after: null });
  });

  it('compares the start of the chosen method only', () => {
    const changes = changesBetween(
      of({}),
      of({ supply: { ...conveyor.supply, source: { kind: 'transformer', rating: '75 kVA', impedance: 0.05 } } }),
    );
    const told = new Set(changes.figures.flatMap((f) => methodOfFigure(f.id) ?? []));
    expect(told.size).toBe(1);
  });
});

describe('fields two states of a case have differently', () => {
  it('are told by their path, with what stands there and what stood there', () => {
    const before = {
      name: 'Fan',
      load: { machine: 'fan', train: [{ kind: 'belt', ratio: 2 }] },
      supply: { voltage: '400 V' },
    };
    const after = {
      name: 'Fan',
      load: { machine: 'fan', train: [{ kind: 'belt', ratio: 3 }] },
      place: { dirt: 'dusty' },
    };
    expect(fieldChanges(before, after)).toEqual([
      { path: 'load.train[0].ratio', before: 2, after: 3 },
      { path: 'supply.voltage', before: '400 V', after: undefined },
      { path: 'place.dirt', before: undefined, after: 'dusty' },
    ]);
  });

  it('holds an empty part for no part, and an empty list for a list', () => {
    expect(fieldChanges({ load: {} }, {})).toEqual([]);
    expect(fieldChanges({ load: { train: [] } }, {})).toHaveLength(1);
    expect(fieldChanges({ load: { train: [] } }, { load: { train: [] } })).toEqual([]);
  });
});

describe('two people on one case', () => {
  const base = {
    name: 'Fan',
    supply: { voltage: '400 V', frequency: '50 Hz' },
    load: { demand: { kind: 'power', power: '5 kW' } },
  };

  it('keeps what each changed where the other did not', () => {
    const mine = { ...base, supply: { ...base.supply, voltage: '690 V' } };
    const theirs = { ...base, supply: { ...base.supply, frequency: '60 Hz' }, place: { dirt: 'dusty' } };
    const { merged, disputed } = mergeCases(base, mine, theirs);
    expect(disputed).toEqual([]);
    expect(merged).toEqual({ ...base, supply: { voltage: '690 V', frequency: '60 Hz' }, place: { dirt: 'dusty' } });
  });

  it('names what both changed, each otherwise, and stands by mine; the same change is no dispute', () => {
    const mine = { ...base, name: 'Fan 1', supply: { voltage: '690 V', frequency: '60 Hz' } };
    const theirs = { ...base, name: 'Fan 2', supply: { voltage: '690 V', frequency: '50 Hz' } };
    const { merged, disputed } = mergeCases(base, mine, theirs);
    expect(disputed).toEqual([{ path: 'name', mine: 'Fan 1', theirs: 'Fan 2' }]);
    expect(merged).toMatchObject({ name: 'Fan 1', supply: { voltage: '690 V', frequency: '60 Hz' } });
  });

  it('does not mix two kinds of demand, and takes what one deleted away', () => {
    const mine = { ...base, load: { demand: { kind: 'torque', torque: '50 N.m' } } };
    const theirs = { ...base, load: { demand: { kind: 'fan', flow: '2 m3/s' } } };
    expect(mergeCases(base, mine, theirs)).toMatchObject({
      merged: { load: mine.load },
      disputed: [{ path: 'load.demand' }],
    });
    const without = { name: base.name, load: base.load };
    expect(mergeCases(base, without, base).merged).toEqual(without);
    expect(mergeCases(base, base, without).merged).toEqual(without);
  });

  it('law: against nobody’s change a change stands whole, and both ways round the same fields are disputed', () => {
    const leaf = fc.constantFrom('1', '2', '3');
    const part = fc.dictionary(fc.constantFrom('a', 'b', 'c'), leaf, { maxKeys: 3, noNullPrototype: true });
    const any = fc.dictionary(fc.constantFrom('x', 'y', 'z'), fc.oneof(leaf, part, fc.array(leaf)), {
      noNullPrototype: true,
    });
    fc.assert(
      fc.property(any, any, any, (b, m, t) => {
        expect(fieldChanges(mergeCases(b, m, b).merged, m)).toEqual([]);
        expect(fieldChanges(mergeCases(b, b, t).merged, t)).toEqual([]);
        const paths = (of: ReturnType<typeof mergeCases>) => of.disputed.map((d) => d.path).toSorted();
        expect(paths(mergeCases(b, m, t))).toEqual(paths(mergeCases(b, t, m)));
      }),
    );
  });

  it('law: carried to a new name, a case differs from its own in nothing but what belongs to that motor', () => {
    const own = { ...base, history: { causes: ['water'] }, place: { hazardous: false, dirt: 'dusty' } };
    expect(fieldChanges(own, carriedCase(own, 'Fan 2')).map((c) => c.path)).toEqual([
      'name',
      'history.causes[0]',
      'place.hazardous',
    ]);
  });
});
