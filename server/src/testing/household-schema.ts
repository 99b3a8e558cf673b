import { FORMAT_VERSION, HouseholdFile } from '@gumo/core/exchange';
import { toJsonSchema } from '@valibot/to-json-schema';

/** The schema of a household file as JSON Schema (draft 7), from the schemas that the server checks with. */
export function householdSchema(): object {
  const schema = toJsonSchema(HouseholdFile, { errorMode: 'ignore', typeMode: 'input' });
  return {
    ...schema,
    title: `Gumo household file, version ${FORMAT_VERSION}`,
    description:
      'A whole household: who is in it, what there is, what was planned, given and seen. Days are ' +
      'YYYY-MM-DD on the household’s calendar, instants are ISO 8601 in UTC, lengths are millimeters.',
  };
}
