/** A change of the contract is seen by the compiler on both sides. Run by npm test, after the build. */
import assert from 'node:assert/strict';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './steps.mjs';

const ANSWERS = join(ROOT, 'core/dist/contract/answers.d.ts');

/** Faults of a side's own files, with the contract as another text has it. */
function faultsOf(side, change) {
  const config = join(ROOT, side, side === 'web' ? 'tsconfig.app.json' : 'tsconfig.json');
  const parsed = ts.getParsedCommandLineOfConfigFile(
    config,
    { noEmit: true },
    {
      ...ts.sys,
      onUnRecoverableConfigFileDiagnostic: (fault) => assert.fail(String(fault.messageText)),
    },
  );
  const host = ts.createCompilerHost(parsed.options);
  const readFile = host.readFile.bind(host);
  host.readFile = (path) => {
    const text = readFile(path);
    return path === ANSWERS && text !== undefined ? change(text) : text;
  };
  const { fileNames: rootNames, projectReferences, options } = parsed;
  const program = ts.createProgram({ rootNames, options, projectReferences, host });
  const own = program
    .getSourceFiles()
    .filter(({ fileName }) => fileName.includes(`/${side}/src/`) && !fileName.endsWith('.spec.ts'));
  assert.ok(own.length > 50, `files of ${side}`);
  return own.flatMap((file) => program.getSemanticDiagnostics(file)).length;
}

const renamed = (text) => {
  const other = text.replaceAll('readonly steps:', 'readonly paces:');
  assert.notEqual(other, text, 'the contract has steps');
  return other;
};
for (const side of ['server', 'web']) {
  assert.equal(
    faultsOf(side, (text) => text),
    0,
    `${side} agrees with the contract`,
  );
  assert.ok(faultsOf(side, renamed) > 0, `${side} does not compile with another contract`);
}
console.log('4 passed, 0 failed');
