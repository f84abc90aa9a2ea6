import { describe, expect, it } from 'vitest';
import {
  genericMotors,
  motorById,
  nameplate,
  practiceById,
  readCase,
  solve,
  type CaseText,
  type Result,
} from '@pilgrim/core';
import { conveyor, findingIds, solved } from './cases';

const { lacking, specialParts } = nameplate;
const nema = practiceById('north-america');
const letters = (plate: Parameters<typeof specialParts>[0]) =>
  specialParts(plate, plate.frame === undefined ? undefined : nema.frame(plate.frame, 4)).map((p) => p.letter);

describe('a shaft or face that a plain motor does not have', () => {
  it.each([
    ['256TZ', ['Z']], ['256TCZ', ['C', 'Z']], ['182JM', ['JM']], ['184JP', ['JP']], ['56C', ['C']], ['56J', ['J']], ['143TC', ['C']], ['284TSC', ['C']],
    ['213TD', ['D']], ['256TP', ['P']], ['L56C', ['C']], ['F143TC', ['C']],
    ['256T', []], ['286TS', []], ['256TY', []], ['56H', []], ['145T', []], ['254U', []], ['160L', []],
  ] as const)('frame %s: %j', (frame, wanted) => expect(letters({ frame })).toEqual(wanted)); // prettier-ignore

  it.each([
    ['C-FACE', ['C']], ['C FACE FOOTLESS', ['C']], ['D-FLANGE', ['D']], ['JM PUMP', ['JM']], ['JP', ['JP']], ['special shaft', ['Z']],
    ['F-1', []], ['IM B3', []], ['surface coated', []],
  ] as const)('said in words, "%s": %j', (mounting, wanted) => expect(letters({ mounting })).toEqual(wanted)); // prettier-ignore

  it('a face of another bolt circle is another face', () => {
    const of = (frame: string) => specialParts({ frame }, nema.frame(frame, 4));
    expect(lacking(of('143TC'), of('145TC'))).toEqual([]);
    expect(lacking(of('143TC'), of('184TC'))).toHaveLength(1);
    expect(lacking(of('184TC'), of('182T'))).toHaveLength(1);
    expect(lacking(of('182T'), of('184TC'))).toEqual([]);
  });
});

const plate = {
  power: '20 hp',
  voltage: '230/460 V',
  current: '48/24 A',
  speed: '1765 rpm',
  frequency: '60 Hz',
  phases: 3,
  enclosure: 'TEFC',
} as const;
const replacing = (frame: string, extra: Partial<CaseText> = {}): Result =>
  solved({ ...conveyor, plate: { ...plate, frame }, ...extra });

describe('no choice is better than a motor that cannot be fitted', () => {
  it.each(['256TZ', '256TCZ'])('%s is not made here, and not answered by a plain frame', (frame) => {
    const r = replacing(frame);
    expect(r.choice).toBeNull();
    expect(r.findings.find((f) => f.id === 'choice.impossible')).toMatchObject({
      level: 'caution',
      fields: expect.arrayContaining(['plate.frame']),
    });
    expect(findingIds(r)).not.toContain('choice.none');
    for (const c of r.candidates) {
      expect(c.outcome).toBe('fail');
      expect(c.verdicts.find((v) => v.requirement === 'interchange')?.outcome).toBe('fail');
      expect(c.verdicts.find((v) => v.requirement === 'interchange')?.text).toMatch(
        /^The machine is built around a .*; frame .* has none: it cannot stand where the old one stood\.$/,
      );
    }
  });
  it.each(['256TC', '254TD', '215JP', '254JM'])(
    '%s is ordered: the catalogue’s motor with that part, and its price',
    (frame) => {
      const r = replacing(frame, {
        load: { ...conveyor.load, demand: { kind: 'power', power: '6 hp', speed: '70 rpm' } },
      });
      const part = /[A-Z]+$/.exec(frame)?.[0] ?? '';
      expect(r.choice?.motor.frame).toMatch(new RegExp(`${part}$`));
      expect(r.replacement?.lines.filter((l) => l.likeness === 'impossible')).toEqual([]);
      expect(r.candidates[0]?.verdicts.find((v) => v.requirement === 'interchange')?.text).toMatch(
        /^It has the old motor’s /,
      );
      const plain = motorById(r.choice?.motor.id.split('+')[0] ?? '');
      const own = motorById(r.choice?.motor.id ?? '');
      expect(own?.priceIndex).toBeGreaterThan(plain?.priceIndex ?? Infinity);
      expect([own?.power, own?.speed, own?.efficiency]).toEqual([plain?.power, plain?.speed, plain?.efficiency]);
    },
  );
  it('a pump face of another bolt circle is none: 143 to 184, 213 to 256, 284 and above', () => {
    const of = (frame: string) => specialParts({ frame }, nema.frame(frame, 4));
    expect(lacking(of('184JM'), of('143JM'))).toEqual([]);
    expect(lacking(of('213JM'), of('256JM'))).toEqual([]);
    expect(lacking(of('184JM'), of('213JM'))).toHaveLength(1);
    expect(lacking(of('256JP'), of('284JP'))).toHaveLength(1);
  });
  it('a 56C face is no 256TC: the bolt circle is another', () => {
    const r = replacing('56C');
    expect(r.choice).toBeNull();
    expect(findingIds(r)).toContain('choice.none');
  });
  it.each(['256T', '254U', '286TS', '256TY', '160L'])('%s is, though its base may need adapting', (frame) => {
    const r = replacing(frame);
    expect(r.choice).not.toBeNull();
    expect(findingIds(r)).not.toContain('choice.impossible');
  });
  it('a reason given lets it not count, and is kept', () => {
    const r = replacing('256TC', {
      waived: [{ requirement: 'interchange', reason: 'a C-face adapter is on the shelf' }],
    });
    expect(r.choice).not.toBeNull();
    expect(r.candidates[0]?.verdicts.find((v) => v.requirement === 'interchange')?.waived).toMatch(/adapter/);
    expect(findingIds(r)).toContain('choice.waived');
  });
  it('one of the own shelf with the same face is chosen, and the comparison calls no line impossible', () => {
    const reading = readCase({ ...conveyor, plate: { ...plate, frame: '256TC' }, rules: { ranking: 'shelf' } });
    if (!reading.ok) expect.fail('not a case');
    const base = genericMotors().find((m) => m.frame === '256T' && m.poles === 4 && m.enclosure === 'enclosed');
    if (!base) expect.fail('no such motor');
    const shelf = [
      {
        ...base,
        id: 'own-1',
        frame: '256TC',
        stock: { quantity: 1, days: null, keptFor: '', place: 'rack 3', assumed: [] },
      },
    ];
    const r = solve(reading.value, shelf);
    expect(r.choice?.motor.id).toBe('own-1');
    expect(r.replacement?.lines.filter((l) => l.likeness === 'impossible')).toEqual([]);
  });
  it('whatever the case, what is chosen has no impossible shaft or face beside it', () => {
    for (const frame of ['256TZ', '256T', '184JM', '143TC', '56C', '445TS', '326T'])
      for (const kind of ['direct', 'belt', 'gearbox'] as const) {
        const r = replacing(frame, { load: { ...conveyor.load, train: { kind, ratio: 25 } } });
        if (r.choice === null) continue;
        expect(
          r.replacement?.lines.filter((l) => l.likeness === 'impossible' && ['shaft', 'face'].includes(l.item)),
          `${frame} ${kind}`,
        ).toEqual([]);
      }
  });
});
