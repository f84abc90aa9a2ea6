import { physics } from '@pilgrim/core';
import type { LinkState } from '$lib/api/drives';
import type { MeterTold } from '$lib/api/meters';
import { database } from '$lib/server/db/database';
import { PolledLink, written, type Address } from '$lib/server/drives/polled';
import { floatAt } from '$lib/server/drives/wire';
import { log } from '$lib/server/http/log';
import { refuse } from '$lib/server/refusal';
import { linksOf } from './links';
import { keepReading, rollUp } from './records';

const { meterLength, meterShows } = physics;

/** ms between two readings. */
const every = 1000;
/** ms between two times that what was kept is rolled up. */
const rolledEvery = 5 * 60_000;
const most = 20;

/** A meter that is read once a second, each reading kept. */
class MeterLink extends PolledLink {
  readonly since = new Date();
  #kept = 0;
  #last: MeterTold['last'] = null;

  constructor(
    address: Address,
    readonly position: string,
    readonly standIn: boolean,
  ) {
    super(address, every, meterLength);
  }

  get told(): MeterTold {
    return {
      address: written(this.address),
      standIn: this.standIn,
      link: this.state,
      since: this.since.toISOString(),
      kept: this.#kept,
      last: this.#last,
    };
  }

  protected override read(block: Buffer): void {
    const at = new Date();
    const reading = Object.fromEntries(
      Object.entries(meterShows).map(([key, { address }]) => [key, floatAt(block, address)]),
    ) as physics.MeterReading;
    // A register that holds no number is a gap, not a nought.
    if (!Object.values(reading).every(Number.isFinite)) return;
    this.#last = { ...reading, at: at.toISOString() };
    void this.#keep(at, reading);
  }

  // A second that cannot be kept is a gap in the record: the meter is read on.
  async #keep(at: Date, reading: physics.MeterReading): Promise<void> {
    try {
      // Two readings of one second of the clock are kept as one, and counted so.
      if (await keepReading(await database(), this.position, at, reading)) this.#kept++;
    } catch (error) {
      log.warn(error);
    }
  }

  protected override became(state: LinkState): void {
    if (state !== 'up') log.info({ meter: written(this.address), link: state });
  }
}

const recorded = new Map<string, MeterLink>();
let rolling: NodeJS.Timeout | undefined;

/** Records the meter at an address; in place of the one recorded here before. */
export function recordMeter(position: string, address: Address, standIn: boolean): MeterTold {
  stopMeter(position);
  if (recorded.size >= most) throw refuse(409, `${most} meters are recorded already: end one first`);
  const link = new MeterLink(address, position, standIn);
  recorded.set(position, link);
  rolling ??= setInterval(() => void roll(), rolledEvery).unref();
  return link.told;
}

async function roll(): Promise<void> {
  try {
    await rollUp(await database(), new Date());
  } catch (error) {
    log.warn(error);
  }
}

/** Goes on with the meters that were recorded when the server stopped; between lies a gap. */
export async function resumeMeters(): Promise<void> {
  for (const { position, ...address } of (await linksOf(await database())).slice(0, most))
    if (!recorded.has(position)) recordMeter(position, address, false);
}

export const findMeter = (position: string): MeterTold | null => recorded.get(position)?.told ?? null;

/** Whether the meter of a position's stand-in is being recorded: then the stand-in is not let go. */
export const isRecorded = (position: string): boolean => recorded.has(position);

/** Ends a recording; what is kept stays. */
export function stopMeter(position: string): void {
  recorded.get(position)?.close();
  recorded.delete(position);
}

export function stopMeters(): void {
  clearInterval(rolling);
  rolling = undefined;
  for (const position of recorded.keys()) stopMeter(position);
}
