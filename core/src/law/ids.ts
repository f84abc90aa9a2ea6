import type { UnitId } from '../quantity';

export const methods = ['direct', 'star-delta', 'autotransformer', 'primary-reactor', 'soft-starter', 'drive'] as const;
export type Method = (typeof methods)[number];

export const stations = [
  'plate',
  'load',
  'place',
  'speed',
  'choice',
  'start',
  'guard',
  'drive',
  'cost',
  'sheet',
] as const;
export type StationName = (typeof stations)[number];

/** Every figure's id and unit. `contract` names are stable once released: add, never rename. */
export const figureUnits = {
  'plate.connectedVoltage': 'V',
  'plate.connectedCurrent': 'A',
  'plate.ratedPower': 'W',
  'plate.ratedSpeed': 'rpm',
  'plate.poles': '1',
  'plate.synchronousSpeed': 'rpm',
  'plate.slip': '1',
  'plate.ratedTorque': 'N.m',
  'plate.inputPower': 'W',
  'plate.powerFactor': '1',
  'plate.efficiency': '1',
  'plate.efficiencyMinimum': '1',
  'plate.lockedRotorCurrentMin': 'A',
  'plate.lockedRotorCurrentMax': 'A',
  'plate.shaftHeight': 'mm',
  'load.torque': 'N.m',
  'load.speed': 'rpm',
  'load.power': 'W',
  'load.motorTorque': 'N.m',
  'load.motorSpeed': 'rpm',
  'load.motorPower': 'W',
  'load.margin': '1',
  'load.requiredPower': 'W',
  'load.inertiaAtMotor': 'kg.m2',
  'load.breakawayTorque': 'N.m',
  'place.unbalanceDerating': '1',
  'place.motorDerating': '1',
  'place.driveDerating': '1',
  'speed.hours': 'h/a',
  'speed.meanFlow': '1',
  'choice.ratedPower': 'W',
  'choice.ratedSpeed': 'rpm',
  'choice.ratedCurrent': 'A',
  'choice.loading': '1',
  'point.motorSpeed': 'rpm',
  'point.drivenSpeed': 'rpm',
  'point.shaftPower': 'W',
  'start.faultCurrent': 'A',
  'start.sourceImpedance': 'ohm',
  'start.ratedTorque': 'N.m',
  'start.lockedRotorCurrent': 'A',
  'start.lockedRotorTorque': 'N.m',
  'start.lockedRotorImpedance': 'ohm',
  'guard.tableCurrent': 'A',
  'guard.conductorCurrent': 'A',
  'guard.overloadDial': 'A',
  'guard.overloadTrip': 'A',
  'guard.overloadMaximum': 'A',
  'drive.overload': '1',
  'drive.overloadCurrent': 'A',
  'drive.requiredCurrent': 'A',
  'drive.ratedCurrent': 'A',
  'drive.deratedCurrent': 'A',
  'drive.powerMatch': 'W',
  'drive.minSpeed': 'rpm',
  'drive.maxSpeed': 'rpm',
  'drive.cableLimit': 'm',
  'drive.peakVoltage': 'V',
  'cost.oldEfficiency': '1',
  'cost.newEfficiency': '1',
  'cost.oldRatio': '1',
  'cost.newRatio': '1',
  'cost.oldEnergy': 'kWh/a',
  'cost.newEnergy': 'kWh/a',
  'cost.oldPeak': 'kW',
  'cost.newPeak': 'kW',
  'cost.savedEnergy': 'kWh/a',
  'cost.savedMoney': '1/a',
  'cost.savedCarbon': 'kg/a',
  'cost.investment': 'money',
  'cost.payback': 'a',
} as const satisfies Record<string, UnitId>;

/** Figures that exist once a starting method. */
export const startFigureUnits = {
  peakCurrent: 'A',
  voltageDip: '1',
  startingTorque: 'N.m',
  breakawayMargin: '1',
} as const satisfies Record<string, UnitId>;

type PlainId = keyof typeof figureUnits;
type StartKind = keyof typeof startFigureUnits;
export type StartId<K extends StartKind = StartKind> = `start.${Method}.${K}`;
export type FigureId = PlainId | StartId;

export type UnitOf<I extends FigureId> = I extends PlainId
  ? (typeof figureUnits)[I]
  : I extends `start.${Method}.${infer K extends StartKind}`
    ? (typeof startFigureUnits)[K]
    : never;

/** Ids of all figures that carry unit U. */
export type IdIn<U extends UnitId> = { [I in FigureId]: UnitOf<I> extends U ? I : never }[FigureId];

/** True for a text that is a figure's id; scripts and links hold plain text. */
export function isFigureId(text: string): text is FigureId {
  if (Object.hasOwn(figureUnits, text)) return true;
  const [head, method, kind] = text.split('.');
  return (
    head === 'start' && methods.some((m) => m === method) && kind !== undefined && Object.hasOwn(startFigureUnits, kind)
  );
}
