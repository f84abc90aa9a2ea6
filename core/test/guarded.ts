import type { CaseText, Result } from '@pilgrim/core';
import { solved } from './cases';

export type Guard = NonNullable<CaseText['guard']>;

/** A motor that stays, started direct, with the circuit that is asked. */
export const base = (guard: Guard, over: Partial<CaseText>): CaseText => ({
  format: 'pilgrim.case/1',
  practice: 'iec',
  plate: {
    power: '22 kW',
    voltage: '400 V',
    current: '41 A',
    speed: '1475 rpm',
    frequency: '50 Hz',
    connection: 'delta',
  },
  motor: { existing: true },
  method: 'direct',
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current: '18 kA' } },
  load: { machine: 'conveyor', demand: { kind: 'power', power: '15 kW', speed: '1475 rpm' } },
  place: { cable: { length: '20 m' } },
  guard,
  ...over,
});
export const european = (guard: Guard = {}, over: Partial<CaseText> = {}): Result => solved(base(guard, over));
export const american = (guard: Guard = {}, over: Partial<CaseText> = {}): Result =>
  solved(
    base(guard, {
      practice: 'north-america',
      plate: {
        ...{ power: '30 hp', voltage: '460 V', current: '38 A', speed: '1765 rpm', frequency: '60 Hz' },
        ...{ serviceFactor: 1.15, designLetter: 'B' },
      },
      supply: { voltage: '480 V', frequency: '60 Hz', source: { kind: 'fault-level', current: '18 kA' } },
      load: { machine: 'conveyor', demand: { kind: 'power', power: '22 hp', speed: '1765 rpm' } },
      ...over,
    }),
  );
/** The same supply with another fault current. */
export const from = (current: string, over: Partial<NonNullable<CaseText['supply']>> = {}): Partial<CaseText> => ({
  supply: { voltage: '400 V', frequency: '50 Hz', source: { kind: 'fault-level', current }, ...over },
});
export const finding = (r: Result, id: string) => r.findings.find((f) => f.id === id);
export const crossing = (r: Result, id: string) => r.guard?.crossings.find((c) => c.id === id);
