import { physics } from '@pilgrim/core';

const { driveLog, driveShows, driveStates, driveFaults, driveEvents, driveWords } = physics;

/** Bytes of registers: two each, floats in two registers, high word first. */
export const bytesOf = (registers: number): number => 2 * registers;
export const wordAt = (b: Buffer, address: number): number => b.readUInt16BE(2 * address);
export const floatAt = (b: Buffer, address: number): number => b.readFloatBE(2 * address);
export const putWord = (b: Buffer, address: number, value: number): number => b.writeUInt16BE(value, 2 * address);
export const putFloat = (b: Buffer, address: number, value: number): number => b.writeFloatBE(value, 2 * address);

/** Registers read at once while it is watched: words, floats, and the log. */
export const inputLength = driveLog.address + driveLog.count * driveLog.length;
export const holdingLength = physics.settingsFrom + physics.settingsLength;

/** What is written into the input registers. */
export function showReading(b: Buffer, drive: physics.LiveDrive): void {
  const r = drive.reading;
  const { command, events } = drive;
  putWord(b, driveWords.state, driveStates.indexOf(r.state));
  putWord(b, driveWords.fault, driveFaults.indexOf(r.fault));
  putWord(b, driveWords.source, command.source === 'analogue' ? 1 : 0);
  putWord(b, driveWords.run, command.run ? 1 : 0);
  putWord(b, driveWords.events, (events.at(-1)?.number ?? 0) % 65536);
  for (const [key, { address }] of Object.entries(driveShows)) putFloat(b, address, Number(r[key as Shown]));
  for (let i = 0; i < driveLog.count; i++) {
    const event = events.at(-1 - i);
    const at = driveLog.address + i * driveLog.length;
    putWord(b, at, (event?.number ?? 0) % 65536);
    putWord(b, at + 1, event ? driveEvents.indexOf(event.kind) : 0);
    putWord(b, at + 2, event ? driveFaults.indexOf(event.fault) : 0);
    putFloat(b, at + 3, event?.time ?? 0);
  }
}

type Shown = keyof typeof driveShows;
const shown = Object.keys(driveShows) as Shown[];

/** What is read of the input registers. */
export function readShown(b: Buffer): physics.DriveReading {
  const numbers = Object.fromEntries(shown.map((key) => [key, floatAt(b, driveShows[key].address)]));
  return {
    ...(numbers as Record<Shown, number>),
    state: driveStates[wordAt(b, driveWords.state)] ?? 'not-programmed',
    fault: driveFaults[wordAt(b, driveWords.fault)] ?? 'none',
  };
}

/** Its log, oldest first. */
export function readLog(b: Buffer): physics.DriveEvent[] {
  const events: physics.DriveEvent[] = [];
  for (let i = driveLog.count - 1; i >= 0; i--) {
    const at = driveLog.address + i * driveLog.length;
    const number = wordAt(b, at);
    if (number > 0)
      events.push({
        number,
        time: floatAt(b, at + 3),
        kind: driveEvents[wordAt(b, at + 1)] ?? 'spoiled',
        fault: driveFaults[wordAt(b, at + 2)] ?? 'none',
      });
  }
  return events;
}
