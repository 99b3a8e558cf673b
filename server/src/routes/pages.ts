import { createHash, randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { type RequestHandler, type Response, Router } from 'express';
import helmet from 'helmet';
import { notFound } from '../faults.js';

const A_YEAR_MS = 31_536_000_000;

/**
 * Marks the styles that the framework adds; no script runs by it. One for as long as the server runs, as a
 * device that opens the page without the server has to have the very page that the list of files names.
 */
const STYLE_NONCE = randomBytes(16).toString('base64');

/** Strict content security policy; styles that the framework adds carry a nonce made per page. */
export const pageHeaders: RequestHandler = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"],
      scriptSrc: ["'self'"],
      styleSrc: ["'self'", `'nonce-${STYLE_NONCE}'`],
      imgSrc: ["'self'", 'data:'],
      fontSrc: ["'self'"],
      connectSrc: ["'self'"],
      manifestSrc: ["'self'"],
      workerSrc: ["'self'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
  strictTransportSecurity: false,
  // With none at all a browser would not say where a form comes from, and forms here are asked for that.
  referrerPolicy: { policy: 'same-origin' },
});

interface FileList {
  readonly hashTable: Record<string, string>;
}

/** The built web application: its files, and its page for every other address. */
export function webRoutes(folder: string): Router {
  const web = Router();
  const page = join(folder, 'index.html');
  if (!existsSync(page)) throw new Error(`The web application is not built: ${page} is missing.`);
  const html = readFileSync(page, 'utf8').replaceAll('%NONCE%', STYLE_NONCE);
  const sendPage: RequestHandler = (_request, response) => {
    response.setHeader('cache-control', 'no-store');
    response.type('html').send(html);
  };
  /** Files that a device keeps to open without the server, with the page as it is sent. */
  const list = join(folder, 'ngsw.json');
  const files = existsSync(list) ? (JSON.parse(readFileSync(list, 'utf8')) as FileList) : null;
  if (files) files.hashTable['/index.html'] = createHash('sha1').update(html).digest('hex');
  web.get('/ngsw.json', (_request, response, next) => {
    if (!files) {
      next(notFound('file'));
      return;
    }
    response.setHeader('cache-control', 'no-cache');
    response.json(files);
  });
  web.get('/index.html', sendPage);
  web.use(
    express.static(folder, {
      index: false,
      setHeaders: (response: Response, path) => {
        const hashed = /-[A-Z0-9]{8}\.\w+$/.test(path);
        response.setHeader(
          'cache-control',
          hashed ? `public, max-age=${A_YEAR_MS / 1000}, immutable` : 'no-cache',
        );
      },
    }),
  );
  web.get('/{*path}', (request, response, next) => {
    if (/\.\w+$/.test(request.path)) next(notFound('file'));
    else void sendPage(request, response, next);
  });
  return web;
}
