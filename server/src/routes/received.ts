import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import type { Request } from 'express';
import { Fault } from '../faults.js';

const MOST_BYTES = 400_000_000;

/** The JSON of a request as a file, for work in a thread. @throws Fault `too-large` where it is too large, 415 */
export async function received(request: Request, file: string): Promise<void> {
  if (!request.is('application/json')) {
    throw new Fault('wrong-type', 'Send the file as application/json.', [
      { field: 'content-type', message: 'must be application/json' },
    ]);
  }
  let bytes = 0;
  await pipeline(
    request,
    async function* (pieces: AsyncIterable<Buffer>) {
      for await (const piece of pieces) {
        bytes += piece.length;
        if (bytes > MOST_BYTES) {
          throw new Fault('too-large', 'The file is larger than 400 MB.', [
            { field: 'file', message: 'must be at most 400 MB' },
          ]);
        }
        yield piece;
      }
    },
    createWriteStream(file),
  );
}
