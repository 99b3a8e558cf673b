import { type MassUnit, rangeVerdict, weightWords } from '../measuring/index.js';
import { joinWords, plural } from '../numbers/index.js';
import type { Day, Observation, RecordOf } from '../vocabulary/index.js';

/** Something that was measured, guessed or weighed: what, what was thought, what was found, and how far off. */
export interface MeasuredLine {
  readonly day: Day;
  readonly what: string;
  /** Empty where nothing was predicted. */
  readonly predicted: string;
  readonly found: string;
  readonly off: string;
}

type Words = Omit<MeasuredLine, 'day'>;
const SAME: Readonly<Record<string, string>> = { same: 'the same' };
const sideWords = (side: string): string => SAME[side] ?? side;

/** "just right", "3 too many", "2 too few". */
function offBy(predicted: number, found: number): string {
  if (predicted === found) return 'just right';
  return `${Math.abs(predicted - found)} too ${predicted > found ? 'many' : 'few'}`;
}

/** "5 cubes"; units that were noted as one are put in the plural. */
const inUnits = (n: number, unit: string): string =>
  `${n} ${plural(n, unit, unit.endsWith('s') ? unit : `${unit}s`)}`;

function weighWords(
  record: RecordOf<'weigh'>,
  { outcome, note }: Observation,
  unit: MassUnit,
): Words | null {
  const { material, dividingGrams, predicted, predictedAgain, measuredGrams, found } = record;
  if (predicted === null) return null;
  const mark = dividingGrams === null ? '' : ` than ${weightWords(dividingGrams, unit)}`;
  const again = predictedAgain === null ? '' : `, then ${sideWords(predictedAgain)}`;
  const side = found ? sideWords(found) : '';
  const weight = measuredGrams === null ? side : weightWords(measuredGrams, unit);
  const apart =
    measuredGrams === null || dividingGrams === null
      ? ''
      : ` (${weightWords(Math.abs(measuredGrams - dividingGrams), unit)} from the mark)`;
  const surprise = { own: 'as predicted', help: 'a surprise first', 'not-yet': 'a surprise' };
  return {
    what: material,
    predicted: `${sideWords(predicted)}${mark}${again}`,
    found: weight === '' ? note : `${weight}${apart}`,
    off: outcome === 'not-now' ? '' : surprise[outcome],
  };
}

function lengthWords({
  material,
  unit,
  predicted,
  measured,
  gaps,
  overlaps,
  endsLinedUp,
}: RecordOf<'length'>): Words | null {
  if (measured === null) return null;
  const slips = [
    ...(gaps ? ['gaps'] : []),
    ...(overlaps ? ['overlaps'] : []),
    ...(endsLinedUp === false ? ['ends not lined up'] : []),
  ];
  const off = predicted === null ? [] : [offBy(predicted, measured)];
  return {
    what: material,
    predicted: predicted === null ? '' : inUnits(predicted, unit),
    found: inUnits(measured, unit),
    off: [...off, ...(slips.length > 0 ? [joinWords(slips)] : [])].join('; '),
  };
}

/**
 * What a try at measuring says; null where it measured nothing.
 * @param unit of the household's scale
 */
export function measuredWords(observation: Observation, unit: MassUnit): MeasuredLine | null {
  const { day, record } = observation;
  const words = ((): Words | null => {
    switch (record.kind) {
      case 'weigh':
        return weighWords(record, observation, unit);
      case 'length':
        return lengthWords(record);
      case 'range': {
        const { low, high, actual } = record;
        const verdict = rangeVerdict(low, high, actual);
        return {
          what: 'how many in the jar',
          predicted: `${low} to ${high}`,
          found: String(actual),
          off: verdict === 'inside' ? 'inside' : offBy(verdict === 'below' ? low : high, actual),
        };
      }
      case 'guess': {
        const { predicted, actual } = record;
        if (predicted === null || actual === null) return null;
        return {
          what: observation.skillId === 'mirror-see' ? 'how many pictures' : 'how many',
          predicted: String(predicted),
          found: String(actual),
          off: offBy(predicted, actual),
        };
      }
      default:
        return null;
    }
  })();
  return words && { day, ...words };
}
