import type { Sheet } from '@gumo/core/sheets';
import type { Response } from 'express';
import type { Printer } from '../services/printing/printer.js';

/** Answers with sheets as one PDF file, shown rather than saved. */
export async function sendPdf(
  response: Response,
  printer: Printer,
  name: string,
  sheets: readonly Sheet[],
): Promise<void> {
  const file = await printer.pdf(sheets);
  response.type('application/pdf');
  response.setHeader('content-disposition', `inline; filename="${name}.pdf"`);
  response.send(Buffer.from(file));
}
