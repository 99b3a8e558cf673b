import { type IncomingHttpHeaders, request as plain } from 'node:http';
import { request as secure } from 'node:https';
import { createServer } from 'node:net';
import type { AddressInfo } from 'node:net';

export interface Knock {
  readonly method?: string;
  readonly path: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
  /** The authority that the server's certificate must be signed by; plain HTTP where it is left out. */
  readonly ca?: string;
}

export interface Opened {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly text: string;
}

/** A request with exactly these headers, as any program on the network may send it. */
export function knock(
  port: number,
  { method = 'GET', path, headers, body, ca }: Knock,
): Promise<Opened> {
  return new Promise((resolve, reject) => {
    const length = body === undefined ? {} : { 'content-length': Buffer.byteLength(body) };
    const options = { host: '127.0.0.1', port, method, path, headers: { ...headers, ...length } };
    const request =
      ca === undefined ? plain(options) : secure({ ...options, ca, servername: 'localhost' });
    request.on('error', reject).on('response', (response) => {
      let text = '';
      response
        .setEncoding('utf8')
        .on('data', (piece: string) => (text += piece))
        .on('error', reject)
        .on('end', () =>
          resolve({ status: response.statusCode ?? 0, headers: response.headers, text }),
        );
    });
    request.end(body);
  });
}

/** A port that nobody listens on now. */
export function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
}
