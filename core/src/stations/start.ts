import { assumed, field, methods, prescribed, type Given, type Method } from '../law';
import {
  driveLineCurrent,
  driveTorque,
  limitedCurrent,
  limitedTorque,
  lockedRotorImpedance,
  lockedRotorTorque,
  methodShares,
  shareSource,
  softLimit,
  softLimitPractice,
  startingCurrent,
  startingTorque,
  tapPractice,
  torqueFromPower,
  torqueReserve,
  voltageDip,
} from '../physics';
import { q, writeQuantity } from '../quantity';
import { methodNames } from './explain';
import { driveOverload } from './candidate';
import type { Subject } from './subject';
import { percent, type Needs, type Walk } from './walk';

/** Standstill current, torque and dip of every method for the subject, and what the supply and the load make of them. */
export function tellStart(walk: Walk, needs: Needs, subject: Subject): void {
  const { input, w } = walk;
  w.enter('start');
  const supply: Given<'V'> = field('supply.voltage', input.supply?.voltage?.value, input.supply?.voltage?.text);
  w.figure('start.ratedTorque', torqueFromPower, { P: subject.power, n: subject.speed });
  w.figure('start.lockedRotorTorque', lockedRotorTorque, { t: subject.lockedRotorTorque, T_r: 'start.ratedTorque' });
  w.stated(
    'start.lockedRotorCurrent',
    'A',
    subject.lockedRotorCurrent.value,
    subject.lockedRotorCurrent.source ?? { kind: 'given', title: 'Code letter of the plate', fromMemory: false },
    { field: subject.lockedRotorCurrent.field, assumed: subject.lockedRotorCurrent.assumed, symbol: 'I_LR' },
  );
  w.figure('start.lockedRotorImpedance', lockedRotorImpedance, {
    U_r: subject.voltage,
    I_LR: 'start.lockedRotorCurrent',
  });
  const known = needs.supply.impedance !== undefined;
  if (!known) {
    w.stated(
      'start.sourceImpedance',
      'ohm',
      q(0, 'ohm'),
      { kind: 'given', title: 'Nobody described the source', fromMemory: false },
      {
        field: 'supply.source',
        assumed: 'the source is not described: current is given as on a stiff supply, and no dip is claimed',
        symbol: 'Z_s',
      },
    );
  }
  for (const method of methods) tellMethod(walk, needs, subject, method, supply, known);
  judgeSubject(walk, needs, subject);
}

function tellMethod(
  { w }: Walk,
  needs: Needs,
  subject: Subject,
  method: Method,
  supply: Given<'V'>,
  known: boolean,
): void {
  const shares = methodShares(method);
  const one = assumed('supply.source', q(0, '1'), 'the source is not described: no dip is counted');
  if (shares) {
    const source = shares.tap === undefined ? shareSource : tapPractice;
    w.figure(`start.${method}.peakCurrent`, startingCurrent, {
      U: supply,
      Z_s: 'start.sourceImpedance',
      Z_LR: 'start.lockedRotorImpedance',
      c: prescribed(q(shares.current, '1'), source),
    });
    if (known) dip(method);
    w.figure(`start.${method}.startingTorque`, startingTorque, {
      T_LR: 'start.lockedRotorTorque',
      U: supply,
      dip: known ? `start.${method}.voltageDip` : one,
      U_r: subject.voltage,
      c: prescribed(q(shares.torque, '1'), source),
    });
  } else if (method === 'soft-starter') {
    w.figure(`start.${method}.peakCurrent`, limitedCurrent, {
      m: prescribed(q(softLimit, '1'), softLimitPractice),
      I_n: subject.current,
      U: supply,
      Z_s: 'start.sourceImpedance',
      Z_LR: 'start.lockedRotorImpedance',
    });
    if (known) dip(method);
    w.figure(`start.${method}.startingTorque`, limitedTorque, {
      T_LR: 'start.lockedRotorTorque',
      I_st: `start.${method}.peakCurrent`,
      I_LR: 'start.lockedRotorCurrent',
    });
  } else {
    const k = field('load.shape', q(driveOverload(needs), '1'), `${driveOverload(needs)} × for this kind of load`);
    w.figure(`start.${method}.peakCurrent`, driveLineCurrent, { k, I_n: subject.current });
    if (known) dip(method);
    w.figure(`start.${method}.startingTorque`, driveTorque, { k, T_r: 'start.ratedTorque' });
  }
  w.figure(`start.${method}.breakawayMargin`, torqueReserve, {
    T_st: `start.${method}.startingTorque`,
    T_b: 'load.breakawayTorque',
  });

  function dip(of: Method): void {
    w.figure(`start.${of}.voltageDip`, voltageDip, {
      I_st: `start.${of}.peakCurrent`,
      Z_s: 'start.sourceImpedance',
      U: supply,
    });
  }
}

function judgeSubject({ w, rules }: Walk, needs: Needs, subject: Subject): void {
  const method = subject.method ?? 'direct';
  const margin = w.value(`start.${method}.breakawayMargin`);
  if (margin !== undefined && margin < 0) {
    w.finding(
      'start.stalls',
      'stop',
      `${methodNames[method]} gives ${w.text(`start.${method}.startingTorque`)} at standstill, the load asks ${w.text('load.breakawayTorque')} to break away: it would stall. Take a drive, a motor with more starting torque, or start unloaded.`,
      {
        fields: ['method', 'load.breakaway'],
        figures: [`start.${method}.startingTorque`, 'load.breakawayTorque'],
      },
    );
  }
  const direct = w.value('start.direct.voltageDip');
  if (direct !== undefined && direct > rules.maxDip) {
    w.finding(
      'start.supply-weak',
      method === 'direct' ? 'stop' : 'note',
      `Direct on line would draw ${w.text('start.direct.peakCurrent')} and dip the bus by ${percent(direct, 1)}; the house rule allows ${percent(rules.maxDip)}.`,
      {
        fields: ['supply.source'],
        figures: ['start.direct.voltageDip', 'start.direct.peakCurrent'],
      },
    );
  }
  if (method === 'star-delta') {
    const supply = needs.supply.voltage;
    if (
      subject.deltaVoltage === null ||
      (supply !== undefined && needs.practice.voltageFit(supply, subject.deltaVoltage).outcome === 'fail')
    ) {
      w.finding(
        'start.six-leads',
        'stop',
        `Star-delta needs both ends of three windings and delta at line voltage; ${subject.name} ${subject.deltaVoltage === null ? 'does not say it has them' : `has delta at ${writeQuantity(subject.deltaVoltage, 'V')}`}.`,
        {
          fields: ['method'],
        },
      );
    }
  }
  if (method === 'soft-starter') {
    w.finding(
      'start.live-output',
      'note',
      'A soft starter’s output is live when off: its semiconductors leak. Isolate, lock and prove dead; add a line contactor where that matters.',
      {},
    );
  }
}

export function startKey({ w }: Walk, method: Method | null): string {
  if (method === null) return 'nothing to start';
  const dip = w.value(`start.${method}.voltageDip`);
  const current = w.figures.get(`start.${method}.peakCurrent`)?.text;
  if (!current) return methodNames[method];
  return dip === undefined ? `${methodNames[method]}, ${current}` : `${current}, dip ${percent(dip, 1)}`;
}
