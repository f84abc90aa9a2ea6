import { createServer, type Server, type Socket } from 'node:net';
import modbus from 'jsmodbus';

/** Registers served, and what is done before they are read and after they are written. */
export interface Served {
  readonly holding: Buffer;
  readonly input: Buffer;
  readonly readsInput: () => void;
  readonly readsHolding?: () => void;
  readonly written?: () => void;
}

export interface Serving {
  readonly host: string;
  readonly port: number;
  readonly close: () => Promise<void>;
}

/** Serves registers over Modbus TCP on this machine alone; port 0: any that is free. Rejects where it is taken. */
export async function serveRegisters(of: Served, port = 0): Promise<Serving> {
  const sockets = new Set<Socket>();
  const server: Server = createServer((socket) => {
    sockets.add(socket);
    // A link that breaks is no news: whoever speaks watches it by itself.
    socket.on('error', () => socket.destroy());
    socket.on('close', () => sockets.delete(socket));
  });
  const speaks = new modbus.server.TCP(server, { holding: of.holding, input: of.input });
  speaks.on('preReadInputRegisters', of.readsInput);
  speaks.on('preReadHoldingRegisters', () => of.readsHolding?.());
  speaks.on('postWriteSingleRegister', () => of.written?.());
  speaks.on('postWriteMultipleRegisters', () => of.written?.());
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', resolve);
  });
  const address = server.address();
  return {
    host: '127.0.0.1',
    port: typeof address === 'object' && address ? address.port : port,
    close: async () => {
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}
