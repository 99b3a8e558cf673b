/** The rule finds bare controls, and only these. Run by npm test. */
import assert from 'node:assert/strict';
import angular from 'angular-eslint';
import { Linter } from 'eslint';
import { materialControls } from './material-controls.mjs';

const linter = new Linter();
const faults = (template) =>
  linter
    .verify(
      template,
      {
        files: ['**/*.html'],
        languageOptions: { parser: angular.templateParser },
        plugins: { gumo: { rules: { 'material-controls': materialControls } } },
        rules: { 'gumo/material-controls': 'error' },
      },
      'a.html',
    )
    .map(({ message }) => message);

for (const bare of [
  '<button type="button">Go</button>',
  '@if (a) { <div><select></select></div> }',
  '<table><tr><td></td></tr></table>',
  '<dialog></dialog>',
  '<input type="radio" />',
  '<textarea></textarea>',
  '<progress max="1"></progress>',
]) {
  const found = faults(bare);
  assert.equal(found.length, 1, bare);
  assert.match(found[0], /^A bare </);
}
for (const good of [
  '<button matButton type="button">Go</button>',
  `<button [matButton]="x ? 'filled' : 'text'">Go</button>`,
  '<input matInput /><input matSliderThumb /><input type="file" hidden />',
  '<table mat-table></table><textarea matInput></textarea>',
]) {
  assert.deepEqual(faults(good), [], good);
}
