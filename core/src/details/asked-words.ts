import { counted } from '../numbers/index.js';
import { findItem } from '../skills/index.js';
import type { CaptureRecord, Observation } from '../vocabulary/index.js';

const signed = (n: number, first: boolean): string =>
  first ? String(n) : n < 0 ? ` − ${-n}` : ` + ${n}`;

/** The numbers of a record as they were asked; null where its item says it better. */
function numbersAsked(record: CaptureRecord): string | null {
  switch (record.kind) {
    case 'reach': {
      const by = (record.step ?? 1) > 1 ? `, by ${record.step}` : '';
      return `${record.from === 1 || by !== '' ? 'to' : `${record.from} to`} ${record.to}${by}`;
    }
    case 'count':
      return `${record.n} to count`;
    case 'give':
      return `give ${record.asked}`;
    case 'frame':
      return `${record.n} on the frame`;
    case 'glance':
      return `${record.n} at a glance`;
    case 'numeral':
      return String(record.shown);
    case 'order':
      return `order ${Math.min(...record.given)} to ${Math.max(...record.given)}`;
    case 'gap':
      return `missing ${record.gaps.join(' and ')}`;
    case 'compare':
      return record.asked === 'difference'
        ? `${record.left} and ${record.right}: how many more`
        : `${record.left} and ${record.right}: ${record.asked}`;
    case 'after':
      return `${record.number}${signed(record.step, false)}`;
    case 'bond':
      return record.parts.length > 0
        ? `${record.parts.join(' and ')} make ${record.whole}`
        : `parts of ${record.whole}`;
    case 'add':
      return record.addends.map((n, i) => signed(n, i === 0)).join('');
    case 'tens':
      return String(record.number);
    case 'groups':
      return `${counted(record.groups, 'group', 'groups')} of ${record.size}`;
    case 'share':
      return `${record.n} among ${record.among}`;
    case 'partner':
      return `${record.n}: odd or even`;
    case 'draw':
      return /^\d+$/.test(record.figure) ? record.figure : null;
    case 'range':
      return `${record.low} to ${record.high} in the jar`;
    case 'length':
      return `${record.unit === 'cup' ? 'cups' : 'units'} of ${record.material}`;
    default:
      return null;
  }
}

/** What was asked in a try, in a few words. */
export function askedWords({ skillId, itemId, record, round }: Observation): string {
  const label = findItem(skillId, itemId ?? '')?.label ?? '';
  if (!round) return label;
  return numbersAsked(record) ?? (label === '' ? 'tried' : label);
}
