import { createServer, type Server, type Socket } from 'node:net';
import { physics } from '@pilgrim/core';
import modbus from 'jsmodbus';
import { bytesOf, floatAt, holdingLength, inputLength, putFloat, putWord, showReading, wordAt } from './wire';

const { driveOrders, driveSettings, driveSpoils, LiveDrive, programFrom } = physics;

/** ms between two steps, and the longest it catches up with after a pause of the machine it runs on. */
const every = 20;
const longest = 1000;

/** A drive and motor that are computed, spoken to over Modbus TCP on this machine only. */
export interface StandIn {
  readonly host: string;
  readonly port: number;
  readonly drive: physics.LiveDrive;
  readonly close: () => Promise<void>;
}

/** Starts one; port 0: any that is free. Rejects where the port is taken. */
export async function startStandIn(machine: physics.DrivenMachine, port = 0): Promise<StandIn> {
  const drive = new LiveDrive(machine);
  const holding = Buffer.alloc(bytesOf(holdingLength));
  const input = Buffer.alloc(bytesOf(inputLength));
  for (const { address } of Object.values(driveSettings)) putFloat(holding, address, NaN);
  for (const [key, { address }] of Object.entries(driveSpoils))
    putFloat(holding, address, drive.spoiling[key as keyof typeof driveSpoils]);

  const sockets = new Set<Socket>();
  const server: Server = createServer((socket) => {
    sockets.add(socket);
    // A link that breaks is no news: the drive watches it by itself.
    socket.on('error', () => socket.destroy());
    socket.on('close', () => sockets.delete(socket));
  });
  const speaks = new modbus.server.TCP(server, { holding, input });
  speaks.on('preReadInputRegisters', () => {
    drive.heard();
    showReading(input, drive);
  });
  speaks.on('preReadHoldingRegisters', () => drive.heard());
  const written = (): void => {
    drive.heard();
    obey(drive, holding);
  };
  speaks.on('postWriteSingleRegister', written);
  speaks.on('postWriteMultipleRegisters', written);

  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  let last = performance.now();
  const timer = setInterval(() => {
    const now = performance.now();
    drive.advance(Math.min(longest, now - last) / 1000);
    last = now;
  }, every);
  timer.unref();
  const address = server.address();
  return {
    host: '127.0.0.1',
    port: typeof address === 'object' && address ? address.port : port,
    drive,
    close: async () => {
      clearInterval(timer);
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => server.close(resolve));
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
