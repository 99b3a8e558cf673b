/**
 * npm run sheets: looks at every kind of sheet, in every look, for ranges, things, names and papers, and
 * says what is clipped, written over something else or run together. Takes about two minutes.
 */
import { install, build, main } from './lib/steps.mjs';

const RANGES = [
  [0, 5],
  [1, 10],
  [0, 10],
  [0, 20],
  [0, 100],
  [60, 100],
];
const THINGS_MM = [12, 18, 25, 34, 45, 60];
const NAMES = ['Bo', 'Mirela', 'Wilhelmina-Charlotte'];

await main(async () => {
  install();
  build();
  const { FACES, SHEETS, attempt, faultsOf, wishFor } =
    await import('../core/dist/sheets/index.js');
  let [looked, refused] = [0, 0];
  const faults = new Map();
  for (const kind of SHEETS) {
    const looks = kind.looks.length > 0 ? kind.looks.map(([look]) => look) : [''];
    const hasThing = kind.asks.includes('material') || kind.asks.includes('side');
    const faces = kind.asks.includes('faces') ? FACES.map((face) => [face]) : [['numeral']];
    for (const paper of ['a4', 'letter'])
      for (const look of looks)
        for (const [low, high] of kind.asks.includes('range') ? RANGES : [[1, 10]])
          for (const materialMm of hasThing ? THINGS_MM : [25])
            for (const owner of NAMES)
              for (const answers of kind.asks.includes('answers') ? [false, true] : [false])
                for (const face of faces) {
                  const wish = {
                    ...wishFor(kind),
                    ...{ paper, look, low, high, materialMm, owner, answers, faces: face },
                    picture: 'kite',
                  };
                  looked++;
                  const { sheet } = attempt(kind, wish);
                  if (!sheet) {
                    refused++;
                    continue;
                  }
                  sheet.pages.forEach((page, i) => {
                    for (const { what, words } of faultsOf(page)) {
                      const key = `${kind.id} ${look}: ${what}`;
                      faults.set(
                        key,
                        faults.get(key) ??
                          `${low} to ${high}, ${materialMm} mm, ${owner}, ${paper}, page ${i + 1}: ${words}`,
                      );
                    }
                  });
                }
  }
  for (const [key, first] of faults) console.log(`${key} (${first})`);
  console.log(`${looked} sheets, ${refused} of them refused with a reason, ${faults.size} faults`);
  if (faults.size > 0) process.exitCode = 1;
});
