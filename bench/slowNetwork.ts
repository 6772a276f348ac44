import { createServer, connect, type Socket } from 'node:net';

/** A slow line to a server on this machine: everything is late, and comes no faster than the line lets it. */
export interface SlowLine {
  readonly port: number;
  /** Bytes that have come down the line. */
  readonly received: () => number;
  readonly reset: () => void;
  readonly close: () => Promise<void>;
}

interface Line {
  /** Bytes a second, shared by all connections. */
  readonly rate: number;
  /** A round trip, in ms. */
  readonly roundTrip: number;
}

/** Does things in their order, each at its own time and none before the one ahead of it. */
function inOrder(): (at: number, what: () => void) => void {
  let last = Promise.resolve();
  return (at, what) => {
    last = last
      .then(() => new Promise<void>((go) => setTimeout(go, Math.max(0, at - Date.now()))))
      .then(what);
  };
}

/** Opens a slow line to a port of this machine. */
export function slowLine(to: number, { rate, roundTrip }: Line): Promise<SlowLine> {
  let free = 0;
  let received = 0;
  const oneWay = roundTrip / 2;
  const sockets = new Set<Socket>();
  /** When the line has carried so many bytes more. */
  const carried = (bytes: number): number => {
    free = Math.max(free, Date.now()) + (bytes / rate) * 1000;
    return free;
  };
  const server = createServer((browser) => {
    const upstream = connect(to, '127.0.0.1');
    const [up, down] = [inOrder(), inOrder()];
    for (const socket of [browser, upstream]) {
      socket.setNoDelay(true);
      sockets.add(socket);
      socket.on('error', () => socket.destroy());
      socket.on('close', () => sockets.delete(socket));
    }
    // A connection is opened by a round trip of its own.
    const open = Date.now() + roundTrip;
    browser.on('data', (piece) => {
      up(Math.max(open, Date.now()) + oneWay, () => upstream.writable && upstream.write(piece));
    });
    browser.on('end', () => up(Date.now() + oneWay, () => upstream.end()));
    upstream.on('data', (piece: Buffer) => {
      received += piece.length;
      const at = carried(piece.length) + oneWay;
      down(at, () => browser.writable && browser.write(piece));
      // No more is taken from the server than the line carries.
      upstream.pause();
      setTimeout(() => upstream.resume(), Math.max(0, free - Date.now() - 20));
    });
    upstream.on('end', () => down(Math.max(free, Date.now()) + oneWay, () => browser.end()));
  });
  return new Promise((resolve) => {
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      resolve({
        port: typeof address === 'object' && address ? address.port : 0,
        received: () => received,
        reset: () => {
          received = 0;
          free = 0;
        },
        close: () =>
          new Promise((done) => {
            sockets.forEach((socket) => socket.destroy());
            server.close(() => done());
          }),
      });
    });
  });
}
