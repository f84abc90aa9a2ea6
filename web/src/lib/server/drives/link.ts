import { physics } from '@pilgrim/core';
import type modbus from 'jsmodbus';
import { refuse } from '$lib/server/refusal';
import type { LinkLine, LinkRow, LinkState, LinkTold } from '$lib/api/drives';
import { PolledLink, written, type Address } from './polled';
import { bytesOf, floatAt, inputLength, putFloat, readLog, readShown, wordAt } from './wire';

const { driveOrders, driveSettings, driveSpoils, settingsFrom, settingsLength } = physics;

/** ms between two readings. */
const every = 100;
/** Readings and lines of the log that are kept: five minutes, and some hundred events. */
const rowsKept = 3000;
const linesKept = 500;

type Client = InstanceType<typeof modbus.client.TCP>;
type Listener = (told: LinkTold) => void;

/** A drive that is read ten times a second, and told what to do: a stand-in or, by the same map, a real one. */
export class DriveLink extends PolledLink {
  #control = 0;
  #writes: boolean;
  #seen = 0;
  #rows: LinkRow[] = [];
  #lines: LinkLine[] = [];
  /** Who hears of it, and what ends that when it is let go. */
  readonly #listeners = new Map<Listener, () => void>();

  constructor(
    address: Address,
    readonly standIn: boolean,
  ) {
    super(address, every, inputLength);
    this.#writes = standIn;
  }

  get told(): LinkTold {
    return {
      address: written(this.address),
      standIn: this.standIn,
      writes: this.#writes,
      link: this.state,
      rows: this.#rows,
      lines: this.#lines,
    };
  }

  /** Hears of every reading and line from now on, and of its end; gives what ends that. */
  listen(listener: Listener, ended: () => void): () => void {
    this.touched = Date.now();
    this.#listeners.set(listener, ended);
    return () => this.#listeners.delete(listener);
  }

  get heard(): boolean {
    return this.#listeners.size > 0;
  }

  /** Writing to anything but a stand-in is off until its address is said again. */
  allowWrites(address: string): void {
    if (address !== written(this.address))
      throw refuse(422, `Name the drive that is to be written to: ${written(this.address)}`);
    this.#writes = true;
    this.#note('writing', 'none');
  }

  async run(on: boolean): Promise<void> {
    this.#control = on ? 1 : 0;
    await this.#word(driveOrders.control, this.#control);
  }

  async reset(): Promise<void> {
    this.#control = 0;
    await this.#word(driveOrders.control, 2);
  }

  source(kind: 'network' | 'analogue'): Promise<void> {
    return this.#word(driveOrders.source, kind === 'analogue' ? 1 : 0);
  }

  reference(share: number): Promise<void> {
    return this.#float(driveOrders.reference, share);
  }

  async spoil(changes: Readonly<Partial<Record<keyof typeof driveSpoils, number>>>): Promise<void> {
    if (!this.standIn) throw refuse(409, 'Only a stand-in can be spoiled');
    for (const [key, value] of Object.entries(changes))
      await this.#float(driveSpoils[key as keyof typeof driveSpoils].address, value);
  }

  /** Writes a table of settings and has it taken; gives what the drive holds then, by id. */
  async program(table: physics.DriveNumbers): Promise<Record<string, number>> {
    const block = Buffer.alloc(bytesOf(settingsLength));
    for (const [id, { address }] of Object.entries(driveSettings))
      putFloat(block, address - settingsFrom, table[id as physics.DriveSettingId] ?? NaN);
    await this.#write((client) => client.writeMultipleRegisters(settingsFrom, block));
    await this.#word(driveOrders.take, 1);
    return this.settings();
  }

  /** What the drive is set to, by id. */
  async settings(): Promise<Record<string, number>> {
    const { response } = await this.speak((client) => client.readHoldingRegisters(settingsFrom, settingsLength));
    const block = response.body.valuesAsBuffer;
    return Object.fromEntries(
      Object.entries(driveSettings)
        .map(([id, { address }]) => [id, floatAt(block, address - settingsFrom)] as const)
        .filter(([, value]) => Number.isFinite(value)),
    );
  }

  override close(): void {
    super.close();
    for (const ended of this.#listeners.values()) ended();
    this.#listeners.clear();
  }

  async #write(send: (client: Client) => Promise<unknown>): Promise<void> {
    this.reached();
    if (!this.#writes) throw refuse(403, `Writing to ${written(this.address)} is off`);
    await this.speak(send);
  }

  #word(address: number, value: number): Promise<void> {
    return this.#write((client) => client.writeSingleRegister(address, value));
  }

  #float(address: number, value: number): Promise<void> {
    const block = Buffer.alloc(4);
    putFloat(block, 0, value);
    return this.#write((client) => client.writeMultipleRegisters(address, block));
  }

  protected override read(block: Buffer): void {
    const reading = readShown(block);
    const events = readLog(block).filter((e) => e.number > this.#seen);
    // A drive that was switched on anew counts from one again.
    const number = wordAt(block, physics.driveWords.events);
    if (number < this.#seen) this.#seen = 0;
    const lines = events.map((e): LinkLine => ({ time: e.time, what: e.kind, fault: e.fault }));
    this.#seen = Math.max(this.#seen, number);
    this.#tell([reading], lines);
  }

  /** What the link itself has to say stands at the time of the last reading. */
  #note(what: LinkLine['what'], fault: LinkLine['fault']): void {
    const last = this.#rows.findLast((r) => r !== null);
    this.#tell([], [{ time: last?.time ?? 0, what, fault }]);
  }

  protected override became(state: LinkState, before: LinkState): void {
    if (before === 'up') this.#tell([null], []);
    this.#note(`link-${state}`, 'none');
  }

  #tell(rows: readonly LinkRow[], lines: readonly LinkLine[]): void {
    this.#rows = [...this.#rows, ...rows].slice(-rowsKept);
    this.#lines = [...this.#lines, ...lines].slice(-linesKept);
    const told = { ...this.told, rows, lines };
    for (const listener of this.#listeners.keys()) listener(told);
  }
}
