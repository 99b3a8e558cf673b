import { Injectable, inject } from '@angular/core';
import { DOCUMENT } from '@angular/common';
import { Api } from './api';

/** Has a page made by the server and opens it, to be printed. */
@Injectable({ providedIn: 'root' })
export class Printing {
  private readonly api = inject(Api);
  private readonly document = inject(DOCUMENT);

  /** @throws ApiProblem, Unreachable */
  async open(path: string, body: unknown): Promise<void> {
    const url = URL.createObjectURL(await this.api.file(path, body));
    this.document.defaultView?.open(url, '_blank');
  }
}
