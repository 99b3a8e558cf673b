import { parentPort } from 'node:worker_threads';
import type { Sheet } from '@gumo/core/sheets';
import { pdfOf } from './pdf.js';

/** Writes PDF files beside the server, so that many pages hold up nobody who asks for something. */
parentPort?.on('message', ({ id, sheets }: { id: number; sheets: readonly Sheet[] }) => {
  pdfOf(sheets).then(
    (file) => parentPort?.postMessage({ id, file }),
    (error: unknown) => parentPort?.postMessage({ id, error: String(error) }),
  );
});
