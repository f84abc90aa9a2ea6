import { connect, type Socket } from 'node:net';
import { physics } from '@pilgrim/core';
import modbus from 'jsmodbus';
import { refuse } from '$lib/server/refusal';
import type { LinkLine, LinkRow, LinkState, LinkTold } from '$lib/api/drives';
import { bytesOf, floatAt, inputLength, putFloat, readLog, readShown, wordAt } from './wire';

const { driveOrders, driveSettings, driveSpoils, settingsFrom, settingsLength } = physics;

/** ms between two readings, between two tries to connect, and until an answer is given up. */
const every = 100;
const retry = 500;
const patience = 1000;
/** Readings and lines of the log that are kept: five minutes, and some hundred events. */
const rowsKept = 3000;
const linesKept = 500;

export interface Address {
  readonly host: string;
  readonly port: number;
  readonly unit: number;
}
export const written = ({ host, port }: Address): string => `${host.includes(':') ? `[${host}]` : host}:${port}`;

type Client = InstanceType<typeof modbus.client.TCP>;
type Listener = (told: LinkTold) => void;

/** A drive that is read ten times a second, and told what to do: a stand-in or, by the same map, a real one. */
export class DriveLink {
  #socket: Socket | undefined;
  #client: Client | undefined;
  #state: LinkState = 'connecting';
  #timer: NodeJS.Timeout | undefined;
  #closed = false;
  #control = 0;
  #writes: boolean;
  #seen = 0;
  #rows: LinkRow[] = [];
  #lines: LinkLine[] = [];
  /** Who hears of it, and what ends that when it is let go. */
  readonly #listeners = new Map<Listener, () => void>();
  /** When somebody last looked or spoke, ms. */
  touched = Date.now();

  constructor(
    readonly address: Address,
    readonly standIn: boolean,
  ) {
    this.#writes = standIn;
    this.#connect();
  }

  get told(): LinkTold {
    return {
      address: written(this.address),
      standIn: this.standIn,
      writes: this.#writes,
      link: this.#state,
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

  cut(): void {
    if (this.#state === 'cut') return;
    this.#becomes('cut');
    this.#hangUp();
  }

  join(): void {
    if (this.#state === 'cut') this.#connect();
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
    const client = this.#connected();
    const { response } = await asked(() => client.readHoldingRegisters(settingsFrom, settingsLength));
    const block = response.body.valuesAsBuffer;
    return Object.fromEntries(
      Object.entries(driveSettings)
        .map(([id, { address }]) => [id, floatAt(block, address - settingsFrom)] as const)
        .filter(([, value]) => Number.isFinite(value)),
    );
  }

  close(): void {
    this.#closed = true;
    this.#hangUp();
    for (const ended of this.#listeners.values()) ended();
    this.#listeners.clear();
  }

  #connected(): Client {
    this.touched = Date.now();
    if (!this.#client || this.#state !== 'up')
      throw refuse(409, `The link to ${written(this.address)} is not up: nothing was sent`);
    return this.#client;
  }

  async #write(send: (client: Client) => Promise<unknown>): Promise<void> {
    const client = this.#connected();
    if (!this.#writes) throw refuse(403, `Writing to ${written(this.address)} is off`);
    await asked(() => send(client));
  }

  #word(address: number, value: number): Promise<void> {
    return this.#write((client) => client.writeSingleRegister(address, value));
  }

  #float(address: number, value: number): Promise<void> {
    const block = Buffer.alloc(4);
    putFloat(block, 0, value);
    return this.#write((client) => client.writeMultipleRegisters(address, block));
  }

  #connect(): void {
    if (this.#closed) return;
    this.#becomes('connecting');
    const socket = connect({ host: this.address.host, port: this.address.port });
    this.#socket = socket;
    socket.setTimeout(5 * patience, () => socket.destroy());
    socket.on('error', () => socket.destroy());
    socket.on('close', () => {
      if (this.#socket !== socket || this.#closed || this.#state === 'cut') return;
      this.#client = undefined;
      this.#becomes('lost');
      this.#timer = setTimeout(() => this.#connect(), retry);
    });
    // Made before the socket is up: the library counts a link from its own hearing of it.
    const client = new modbus.client.TCP(socket, this.address.unit, patience);
    socket.on('connect', () => {
      this.#client = client;
      this.#becomes('up');
      void this.#poll(socket);
    });
  }

  async #poll(socket: Socket): Promise<void> {
    const client = this.#client;
    if (!client || this.#socket !== socket || this.#state !== 'up') return;
    try {
      const { response } = await client.readInputRegisters(0, inputLength);
      this.#read(response.body.valuesAsBuffer);
    } catch {
      socket.destroy();
      return;
    }
    this.#timer = setTimeout(() => void this.#poll(socket), every);
  }

  #read(block: Buffer): void {
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

  #becomes(state: LinkState): void {
    const before = this.#state;
    this.#state = state;
    if (state === before || state === 'connecting') return;
    if (before === 'up') this.#tell([null], []);
    this.#note(`link-${state}`, 'none');
  }

  #tell(rows: readonly LinkRow[], lines: readonly LinkLine[]): void {
    this.#rows = [...this.#rows, ...rows].slice(-rowsKept);
    this.#lines = [...this.#lines, ...lines].slice(-linesKept);
    const { link, writes } = { link: this.#state, writes: this.#writes };
    const told = { ...this.told, rows, lines, link, writes };
    for (const listener of this.#listeners.keys()) listener(told);
  }

  #hangUp(): void {
    clearTimeout(this.#timer);
    this.#client = undefined;
    this.#socket?.destroy();
    this.#socket = undefined;
  }
}

/** An exchange over the link; where the drive does not answer or refuses, that is said. */
async function asked<T>(exchange: () => Promise<T>): Promise<T> {
  try {
    return await exchange();
  } catch {
    throw refuse(502, 'The drive did not answer, or refused it');
  }
}
