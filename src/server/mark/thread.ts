import { parentPort } from 'node:worker_threads';
import { markHere } from './markHere';
import type { Asked, Told } from './threads';

/** What runs in a thread: marks one request after the other, and gives each answer piece by piece, as it is asked for. */

const port = parentPort;
if (!port) throw new Error('This runs in a thread');

let answer: ReadableStreamDefaultReader<Uint8Array> | undefined;

async function told(asked: Asked): Promise<Told> {
  if (asked.ask === 'mark') {
    const { body, headers, at } = asked;
    const request = new Request('http://localhost/api/mark', {
      method: 'POST',
      body: new Uint8Array(body),
      headers,
    });
    const response = await markHere(request, at);
    answer = response.body?.getReader() as ReadableStreamDefaultReader<Uint8Array> | undefined;
    return { tell: 'head', status: response.status, headers: [...response.headers] };
  }
  const read = await answer?.read();
  return read?.value ? { tell: 'piece', bytes: read.value } : { tell: 'end' };
}

port.on('message', (asked: Asked) => {
  told(asked).then(
    (one) => port.postMessage(one),
    (error: unknown) => {
      console.error(error);
      port.postMessage({ tell: 'failed' } satisfies Told);
    },
  );
});
