import type { Fault, FaultKind } from '../faults.js';

/** The status of each kind of fault (RFC 9110; 423 and 507 from RFC 4918, 429 from RFC 6585). */
const STATUS: Readonly<Record<FaultKind, number>> = {
  unreadable: 400,
  unknown: 401,
  forbidden: 403,
  missing: 404,
  conflict: 409,
  'too-large': 413,
  'wrong-type': 415,
  impossible: 422,
  locked: 423,
  'too-many': 429,
  broken: 500,
  busy: 503,
  full: 507,
};

export const statusOf = ({ kind }: Fault): number => STATUS[kind];

/** A fault as problem details (RFC 9457). */
export const problemDetails = (fault: Fault): Record<string, unknown> => ({
  type: 'about:blank',
  title: fault.title,
  status: statusOf(fault),
  ...(fault.errors.length > 0 ? { errors: fault.errors } : {}),
  ...(fault.current === undefined ? {} : { current: fault.current }),
});
