import { connect, type Socket } from 'node:net';
import modbus from 'jsmodbus';
import { refuse } from '$lib/server/refusal';
import type { LinkState } from '$lib/api/drives';

/** ms between two tries to connect, and until an answer is given up. */
const retry = 500;
const patience = 1000;

export interface Address {
  readonly host: string;
  readonly port: number;
  readonly unit: number;
}
export const written = ({ host, port }: Address): string => `${host.includes(':') ? `[${host}]` : host}:${port}`;
export const addressOf = ({ address, unit }: { readonly address: string; readonly unit: number }): Address => {
  const [, host = '', port = '502'] = /^\[?([^\]]+?)\]?(?::(\d+))?$/.exec(address) ?? [];
  return { host, port: Number(port), unit };
};

type Client = InstanceType<typeof modbus.client.TCP>;

/** A device on Modbus TCP whose input registers are read again and again; connected anew whenever it is lost. */
export abstract class PolledLink {
  #socket: Socket | undefined;
  #client: Client | undefined;
  #state: LinkState = 'connecting';
  #timer: NodeJS.Timeout | undefined;
  #closed = false;
  /** When somebody last looked or spoke, ms. */
  touched = Date.now();

  /** `every`: ms between two readings of so many input `registers`. */
  protected constructor(
    readonly address: Address,
    private readonly every: number,
    private readonly registers: number,
  ) {
    // Begun when whoever extends this is made.
    queueMicrotask(() => this.#connect());
  }

  get state(): LinkState {
    return this.#state;
  }

  /** A block of registers came. */
  protected abstract read(block: Buffer): void;
  /** The link became something else than it was. */
  protected abstract became(state: LinkState, before: LinkState): void;

  cut(): void {
    if (this.#state === 'cut') return;
    this.#becomes('cut');
    this.#hangUp();
  }

  join(): void {
    if (this.#state === 'cut') this.#connect();
  }

  close(): void {
    this.#closed = true;
    this.#hangUp();
  }

  /** Who is spoken to; refuses where the link is not up. */
  protected reached(): Client {
    this.touched = Date.now();
    if (!this.#client || this.#state !== 'up')
      throw refuse(409, `The link to ${written(this.address)} is not up: nothing was sent`);
    return this.#client;
  }

  /** Speaks over the link; where it is not up, or the device does not answer or refuses, that is said. */
  protected async speak<T>(exchange: (client: Client) => Promise<T>): Promise<T> {
    const client = this.reached();
    try {
      return await exchange(client);
    } catch {
      throw refuse(502, 'The drive did not answer, or refused it');
    }
  }

  #connect(): void {
    if (this.#closed) return;
    this.#becomes('connecting');
    const socket = connect({ host: this.address.host, port: this.address.port });
    this.#socket = socket;
    socket.setTimeout(5 * Math.max(patience, this.every), () => socket.destroy());
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
    const begun = performance.now();
    try {
      const { response } = await client.readInputRegisters(0, this.registers);
      this.read(response.body.valuesAsBuffer);
    } catch {
      socket.destroy();
      return;
    }
    this.#timer = setTimeout(() => void this.#poll(socket), Math.max(0, this.every - (performance.now() - begun)));
  }

  #becomes(state: LinkState): void {
    const before = this.#state;
    this.#state = state;
    if (state !== before && state !== 'connecting') this.became(state, before);
  }

  #hangUp(): void {
    clearTimeout(this.#timer);
    this.#client = undefined;
    this.#socket?.destroy();
    this.#socket = undefined;
  }
}
