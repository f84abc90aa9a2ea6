import type { FlowControl } from '../contract';
import { flowPoint, speedRatio, typicalMachine, type FlowPoint, type FlowWay } from '../physics';
import { inletVane, outletDamper, usualFlowEfficiency, usualLowSpeed } from '../practice';
import { q } from '../quantity';
import type { Needs } from './walk';

type Flowing = Pick<Needs, 'load' | 'speed'>;

/** Speed that follows the flow: a drive. */
export const bySpeed: FlowWay = { kind: 'speed' };

/**
 * Where machine and system meet for a share of full flow, by a way of control; all ÷ the demand's shaft power. A
 * machine whose torque does not go with the square of speed moves flow with speed: what it gives is shaft power less
 * its own share of loss, and nothing that holds its flow asks less of it.
 */
export function pointOf({ load, speed }: Flowing, way: FlowWay, flow: number): FlowPoint {
  const { machine, system } = speed.flow;
  if (load.shape.kind === 'quadratic') return flowPoint(machine, system, way, flow);
  const driven = speedRatio(load.shape, flow);
  const turns = way.kind === 'speed' ? flow : way.kind === 'two-speed' && flow <= way.low ? way.low : 1;
  const held = (): number => flowPoint(machine, { ...system, machines: 1 }, way, flow).shaft;
  const shaft =
    way.kind === 'speed' || way.kind === 'two-speed'
      ? speedRatio(load.shape, turns)
      : way.kind === 'on-off'
        ? held()
        : Math.max(driven, held());
  const work = machine.efficiency * Math.min(driven, shaft);
  const control = machine.efficiency * shaft - work;
  return { speed: turns, flow, head: 1, shaft, share: 1, work, control, machine: shaft - work - control };
}

/** The same as flow is held now. */
export const presentPoint = (needs: Flowing, flow: number): FlowPoint => pointOf(needs, needs.speed.flow.present, flow);

/** Way of control as the machine's curve follows it; `typed`: that curve is the machine's own. */
export function wayOf(control: FlowControl, typed: boolean, low = usualLowSpeed): FlowWay {
  switch (control) {
    case 'none':
      return { kind: 'full' };
    case 'throttle-valve':
      return { kind: 'throttle' };
    case 'outlet-damper':
      return typed
        ? { kind: 'throttle' }
        : { kind: 'published', behind: true, share: (x) => outletDamper.of({ q: q(x, '1') }) };
    case 'inlet-vane':
      return { kind: 'published', behind: false, share: (x) => inletVane.of({ q: q(x, '1') }) };
    case 'two-speed':
      return { kind: 'two-speed', low };
    case 'bypass':
    case 'on-off':
      return { kind: control };
  }
}

const usualMachine = typicalMachine(usualFlowEfficiency.value);

/** Share of full shaft power at a flow under a way of control, of a usual machine without static head. */
export const presentRatio = (control: FlowControl, flow: number): number =>
  flowPoint(usualMachine, { held: 0, machines: 1 }, wayOf(control, false), flow).shaft;
