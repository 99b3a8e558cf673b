import { slipsOf } from '../evidence/index.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';

const count = ({ n, lastWord, answer }: RecordOf<'count'>): string => {
  if (lastWord === null && answer === null) return `of ${n}`;
  const said = lastWord === null ? '' : `counted ${n} to ${lastWord}`;
  const told = answer === null || answer === lastWord ? '' : `told ${answer}`;
  return [said, told].filter(Boolean).join(', ') || `told ${answer}`;
};

function reach({ stop, said, direction, from, step, language }: RecordOf<'reach'>): string {
  const last = stop ?? said?.at(-1);
  if (last === undefined) return '';
  const by = step === undefined ? '' : ` in steps of ${step}`;
  const start = from === 1 || step !== undefined ? '' : ` from ${from}`;
  const way = direction === 'down' ? 'back' : 'said';
  const tongue = language === '' || language.startsWith('en') ? '' : ` (${language})`;
  return `${way}${start} to ${last}${by}${tongue}`;
}

const told = (answer: number | null): string => (answer === null ? '' : `answered ${answer}`);

function compare({ left, right, asked, answer }: RecordOf<'compare'>): string {
  const question = {
    more: 'more',
    fewer: 'fewer',
    same: 'same',
    sign: 'sign',
    difference: 'how many more',
  };
  const sides = `${question[asked]} of ${left} and ${right}`;
  return answer === '' ? sides : `${sides}: ${answer}`;
}

function draw({ support, reversed, readable, startRight }: RecordOf<'draw'>): string {
  return [
    { own: 'on its own', dotted: 'dotted', hollow: 'hollow', adult: 'after the adult' }[support],
    reversed === true ? 'turned round' : '',
    readable === false ? 'hard to read' : '',
    startRight === false ? 'started low' : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** What a record holds in a few words, slips left out; empty where there is nothing to tell. */
function plainWords(record: CaptureRecord): string {
  switch (record.kind) {
    case 'reach':
      return reach(record);
    case 'count':
      return count(record);
    case 'give':
      return record.given === null ? '' : `gave ${record.given} of ${record.asked}`;
    case 'frame':
      return [
        told(record.placed ?? record.toTen),
        record.fill === null
          ? ''
          : { row: 'row by row', pairs: 'in pairs', free: 'freely' }[record.fill],
        record.anotherWay === true ? 'another way found' : '',
      ]
        .filter(Boolean)
        .join(', ');
    case 'glance':
      return [told(record.answer), record.howSeen].filter(Boolean).join(', ');
    case 'numeral':
      return record.answer === null ? '' : `${record.way} ${record.answer}`;
    case 'order':
      return record.placed.length > 0 ? `laid ${record.placed.join(' ')}` : '';
    case 'gap':
      return record.answers.some((one) => one !== null)
        ? `put ${record.answers.filter((one) => one !== null).join(' and ')}`
        : '';
    case 'draw':
      return draw(record);
    case 'compare':
      return compare(record);
    case 'tens':
      return told(record.countedTo ?? record.ones);
    case 'share':
      return record.answer === null ? '' : `${record.answer} each, ${record.leftOver ?? 0} left`;
    case 'partner':
      return record.answer === null
        ? ''
        : [`said ${record.answer}`, record.because].filter(Boolean).join(', ');
    case 'pattern':
      return record.answer.length > 0 ? `laid ${record.answer.join(' ')}` : '';
    case 'sort':
      return record.placedRight === null
        ? record.rule
        : `${record.rule}, ${record.placedRight} right`;
    case 'chart':
      return record.answer === '' ? '' : `${record.question} ${record.answer}`;
    case 'weigh':
      return [
        record.predicted === null ? '' : `thought ${record.predicted}`,
        record.predictedAgain === null ? '' : `then ${record.predictedAgain}`,
      ]
        .filter(Boolean)
        .join(', ');
    case 'length':
      return record.measured === null ? '' : `${record.measured} ${record.unit}s`;
    case 'range':
      return `${record.low} to ${record.high}, and it was ${record.actual}`;
    case 'guess':
      return record.predicted === null
        ? `it was ${record.actual}`
        : `thought ${record.predicted}, and it was ${record.actual}`;
    case 'catch':
      return `the puppet ${record.slip}: ${record.caught === false ? 'not caught' : 'caught'}`;
    case 'note':
      return record.words;
    default:
      return told(record.answer);
  }
}

/** What a record holds, in a few words: what was answered, then what slipped. */
export function recordWords(record: CaptureRecord): string {
  const slips = slipsOf(record).map((slip) => slip.words);
  return [plainWords(record), ...slips].filter(Boolean).join('; ');
}
