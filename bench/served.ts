import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';

/** A server of its own for measuring, and how much memory it has. */

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });

const megabytes = (bytes: number): number => +(bytes / 1e6).toFixed(1);

export interface Measured {
  readonly address: string;
  /** Resident memory of the server, and its highest, in MB (Linux). */
  readonly memory: () => { readonly now: number; readonly peak: number };
  readonly stop: () => void;
}

/** Starts the built server (`DIST`, or `dist`) on a free port. */
export async function serveMeasured(): Promise<Measured> {
  const port = await freePort();
  const server: ChildProcess = spawn(process.execPath, ['server.mjs'], {
    env: { ...process.env, PORT: String(port), DIST: process.env['DIST'] ?? 'dist' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((resolve) => server.stdout?.once('data', resolve));
  return {
    address: `http://127.0.0.1:${port}`,
    memory: () => {
      const status = readFileSync(`/proc/${server.pid ?? 0}/status`, 'utf8');
      const kB = (name: string) => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)?.[1] ?? 0);
      return { now: megabytes(kB('VmRSS') * 1024), peak: megabytes(kB('VmHWM') * 1024) };
    },
    stop: () => server.kill(),
  };
}

/** The slowest answer that another request gets until it is ended: milliseconds. */
export function others(address: string): () => Promise<number> {
  let slowest = 0;
  let running = true;
  const watch = (async () => {
    while (running) {
      const asked = performance.now();
      await (await fetch(`${address}/api/about`)).text();
      slowest = Math.max(slowest, performance.now() - asked);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  })();
  return async () => {
    running = false;
    await watch;
    return slowest;
  };
}
