import { physics } from '@pilgrim/core';
import { serveRegisters } from './serve';
import { bytesOf, floatAt, holdingLength, inputLength, putFloat, putWord, showReading, wordAt } from './wire';

const { driveOrders, driveSettings, driveSpoils, LiveDrive, LiveMeter, meterLength, meterShows, programFrom } = physics;

/** ms between two steps, and the longest it catches up with after a pause of the machine it runs on. */
const every = 20;
const longest = 1000;

/** A drive and motor that are computed, spoken to over Modbus TCP on this machine only; beside it a power meter. */
export interface StandIn {
  readonly host: string;
  readonly port: number;
  /** Port of the power meter at its input. */
  readonly meter: number;
  readonly drive: physics.LiveDrive;
  readonly close: () => Promise<void>;
}

/** Starts one; port 0: any that is free. Its meter takes any. Rejects where the port is taken. */
export async function startStandIn(machine: physics.DrivenMachine, port = 0): Promise<StandIn> {
  const drive = new LiveDrive(machine);
  const meter = new LiveMeter(machine);
  const holding = Buffer.alloc(bytesOf(holdingLength));
  const input = Buffer.alloc(bytesOf(inputLength));
  for (const { address } of Object.values(driveSettings)) putFloat(holding, address, NaN);
  for (const [key, { address }] of Object.entries(driveSpoils))
    putFloat(holding, address, drive.spoiling[key as keyof typeof driveSpoils]);
  const speaking = await serveRegisters(
    {
      holding,
      input,
      readsInput: () => {
        drive.heard();
        showReading(input, drive);
      },
      readsHolding: () => drive.heard(),
      written: () => {
        drive.heard();
        obey(drive, holding);
      },
    },
    port,
  );
  const shown = Buffer.alloc(bytesOf(meterLength));
  const metering = await serveRegisters({
    holding: Buffer.alloc(0),
    input: shown,
    readsInput: () => {
      const reading = meter.show(drive.reading, drive.spoiling);
      for (const [key, { address }] of Object.entries(meterShows))
        putFloat(shown, address, reading[key as physics.MeterKey]);
    },
  });
  let last = performance.now();
  const timer = setInterval(() => {
    const now = performance.now();
    const seconds = Math.min(longest, now - last) / 1000;
    drive.advance(seconds);
    meter.advance(seconds, drive.reading);
    last = now;
  }, every);
  timer.unref();
  return {
    host: speaking.host,
    port: speaking.port,
    meter: metering.port,
    drive,
    close: async () => {
      clearInterval(timer);
      await Promise.all([speaking.close(), metering.close()]);
    },
  };
}

/** Does what the holding registers say. */
function obey(drive: physics.LiveDrive, holding: Buffer): void {
  if (wordAt(holding, driveOrders.take) === 1) {
    putWord(holding, driveOrders.take, 0);
    const numbers = Object.entries(driveSettings).map(([id, { address }]) => [id, floatAt(holding, address)] as const);
    const program = programFrom(Object.fromEntries(numbers));
    if (program) drive.take(program);
  }
  const control = wordAt(holding, driveOrders.control);
  if ((control & 2) !== 0) {
    putWord(holding, driveOrders.control, control & ~2);
    drive.reset();
  }
  const spoils = Object.entries(driveSpoils).map(
    ([key, { address }]) => [key, floatAt(holding, address)] as [keyof typeof driveSpoils, number],
  );
  const changed = spoils.filter(([key, value]) => Number.isFinite(value) && value !== drive.spoiling[key]);
  if (changed.length > 0) drive.spoil(Object.fromEntries(changed));
  drive.order({
    run: (control & 1) !== 0,
    source: wordAt(holding, driveOrders.source) === 1 ? 'analogue' : 'network',
    reference: floatAt(holding, driveOrders.reference),
  });
}
