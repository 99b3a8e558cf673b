import * as v from 'valibot';

/** The first thing wrong, with the field it stands in: "name must not be empty". */
export function formatIssue([issue]: readonly [
  v.BaseIssue<unknown>,
  ...v.BaseIssue<unknown>[],
]): string {
  return `${v.getDotPath(issue) ?? 'This'} ${issue.message}`;
}
