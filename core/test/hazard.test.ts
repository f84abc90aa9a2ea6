import { describe, expect, it } from 'vitest';
import { nameplate, type CaseText } from '@pilgrim/core';
import { conveyor, findingIds, solved } from './cases';

const { hazardMark } = nameplate;

const plate = {
  power: '20 hp',
  voltage: '230/460 V',
  current: '48/24 A',
  speed: '1765 rpm',
  frequency: '60 Hz',
  phases: 3,
  frame: '256T',
} as const satisfies CaseText['plate'];

const marked = (text: string) => hazardMark({ remarks: text });

describe('words that only a motor for explosive atmospheres carries', () => {
  it.each([
    'XP',
    'TEXP',
    'XPFC',
    'X.P.',
    'EPFC',
    'TEFC-XP',
    'EXPLOSION PROOF',
    'explosion-proof',
    'Explosionproof',
    'EXPL. PRF',
    'EXP PROOF',
    'Ex-proof',
    'EXPROOF',
    'flameproof',
    'Flame-proof',
    'increased safety',
    'NON-SPARKING',
    'explosionsgeschützt',
    'antidéflagrant',
    'CLASS I DIV 1 GROUP D',
    'Class I, Division 2, Groups A, B, C, D',
    'CL I GR D',
    'CL. II, GRPS E F & G',
    'CLASS 1 DIV 2',
    'CL.1 GRP C',
    'C1D1',
    'C1/D2',
    'CID2',
    'DIV. 2',
    'Zone 1',
    'ZONE 21',
    'zone 22',
    'Class I Zone 1 AEx db IIC T4',
    'AExd IIB',
    'Ex d IIC T4',
    'Exd IIB T3',
    'Ex db eb IIC T4 Gb',
    'Ex e II T3',
    'Exe',
    'Ex ec IIC T3 Gc',
    'Ex nA II T3',
    'ExnA',
    'Ex tb IIIC T125°C Db',
    'Ex tD A21',
    'Ex t',
    'Ex "d"',
    'EEx de IIC T5',
    'EExd',
    'EX D IIC T4',
    'EX DE IIB',
    'ATEX',
    'IECEx',
    'II 2 G',
    'II2G',
    'II 2G/3D',
    'II 3 D',
    'II 2 GD',
    'I M2',
    'IIC T4',
    'IIIC T125 °C',
    'DUST-IGNITION-PROOF',
    'Dust Ignition Proof',
    'DUST IGN. PROOF',
    'DIP',
    'D.I.P',
    'HAZARDOUS LOCATION',
    'HAZ. LOC.',
    'hazardous duty',
    'HAZLOC',
    'hazardous area',
    'explosive atmosphere',
    'OPERATING TEMP. CODE T3B',
    'T-CODE T2C',
    'TEMP CODE T4',
    'temperature class T3',
    'T3C',
    'MSHA',
  ])('"%s"', (text) => expect(marked(text)).toMatchObject({ field: 'remarks' }));

  it.each([
    'CLASS F INSULATION',
    'INS CLASS H',
    'CL F',
    'leads T1 T2 T3 T4 T5 T6',
    'TEFC',
    'ODP',
    'DP',
    'Totally enclosed fan cooled',
    'severe duty',
    'IEEE 841',
    'IP55 IC411',
    'Ext. fan',
    'external fan',
    'Exh. fan motor',
    'ex works 2014',
    'Ex stock',
    'DIVERTER 2',
    'INVERTER DUTY 10:1 VT',
    'DESIGN B',
    'code G',
    'FRAME 256T',
    'PREMIUM EFFICIENCY',
    'C-FACE',
    'expert rewind',
    'expanded metal guard',
    'explored',
    'CLASS B RISE',
    'CONT. DUTY 40 C AMB',
    'C2 fit',
    'D2',
    'Group drive 2',
    'NOT FOR HAZARDOUS LOCATIONS',
    'not explosion-proof',
    'NON-EXPLOSION PROOF',
    'not suitable for use in hazardous areas',
    'PTC 130',
    'rewound 2019',
    'V3 mounting',
  ])('not "%s"', (text) => expect(marked(text)).toBeUndefined());

  it('in whatever field of the plate they stand, but a short one only where the build is told', () => {
    for (const field of ['enclosure', 'protection', 'remarks', 'kind', 'text'] as const)
      expect(hazardMark({ [field]: 'TEXP' }), field).toMatchObject({ field });
    for (const field of ['model', 'cooling', 'duty', 'thermalProtection', 'mounting'] as const) {
      expect(hazardMark({ [field]: 'Ex d IIC T4' }), field).toMatchObject({ field });
      expect(hazardMark({ [field]: 'XP 20' }), field).toBeUndefined();
    }
    expect(hazardMark({ serial: 'Ex d 4711' })).toBeUndefined();
  });

  it('a denial does not hide a mark beside it', () => {
    expect(marked('Do not open when an explosive gas is present')).toBeDefined();
    expect(marked('not for hazardous areas; CLASS I DIV 2')).toMatchObject({ words: 'CLASS I' });
  });
});

describe.each(['north-america', 'iec'] as const)('a plate for an explosive atmosphere, %s', (practice) => {
  const solvedWith = (hazardous: boolean | undefined, extra: CaseText['plate'] = { enclosure: 'XP' }) =>
    solved({ ...conveyor, practice, plate: { ...plate, ...extra }, place: { ...conveyor.place, hazardous } });

  it('stops, and nothing is chosen, while nobody said what the place is', () => {
    for (const extra of [{ enclosure: 'TEXP' }, { remarks: 'CLASS II GRP F & G' }, { protection: 'IP65 Ex tb' }]) {
      const r = solvedWith(undefined, extra);
      expect(r.findings.find((f) => f.id === 'plate.hazardous')).toMatchObject({ level: 'stop' });
      expect(r.choice).toBeNull();
      expect(r.candidates).toEqual([]);
    }
  });
  it('stops where the place is hazardous, on both counts', () => {
    const r = solvedWith(true);
    expect(r.findings.filter((f) => f.level === 'stop').map((f) => f.id)).toEqual([
      'plate.hazardous',
      'place.hazardous',
    ]);
    expect(r.choice).toBeNull();
  });
  it('is a caution with its words where the place is stated to be none, and a choice is made', () => {
    const r = solvedWith(false, { enclosure: 'TEFC', remarks: 'Ex d IIB T4' });
    const said = r.findings.find((f) => f.id === 'plate.hazardous');
    expect(said).toMatchObject({ level: 'caution', fields: ['plate.remarks', 'place.hazardous'] });
    expect(said?.text).toContain('"Ex d"');
    expect(r.choice).not.toBeNull();
  });
  it('then the old enclosure counts as enclosed', () => {
    const line = (r: ReturnType<typeof solved>) => r.replacement?.lines.find((l) => l.item === 'enclosure');
    expect(line(solvedWith(false, { enclosure: 'XP' }))?.likeness).toMatch(/^(same|better|adaptable)$/);
    expect(line(solvedWith(false, { enclosure: 'XP' }))?.likeness).toBe(
      line(solvedWith(false, { enclosure: 'TEFC' }))?.likeness,
    );
  });
  it('is silent for an ordinary plate', () => {
    expect(findingIds(solvedWith(undefined, { enclosure: 'TEFC', insulation: 'F' }))).not.toContain('plate.hazardous');
  });
});
