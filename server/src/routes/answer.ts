import type { Response } from 'express';
import type * as v from 'valibot';

/** What may be sent for a schema: the same, read only or not. */
type Sent<T> = T extends readonly (infer One)[]
  ? readonly Sent<One>[]
  : T extends object
    ? { readonly [Key in keyof T]: Sent<T[Key]> }
    : T;

/**
 * Answers with what a schema of the contract says: the compiler holds the value against it, and the device
 * that asked checks what comes with the same schema.
 */
export function answer<S extends v.GenericSchema>(
  response: Response,
  _schema: S,
  value: Sent<v.InferInput<S>>,
  status = 200,
): void {
  response.status(status).json(value);
}
