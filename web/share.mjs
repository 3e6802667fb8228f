// How much of the code is tests, crate by crate: a quarter at least, so that it can be trusted, and a third at most, so that none is padding.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const LEAST = 0.25;
const MOST = 0.34;
const root = new URL('..', import.meta.url).pathname;

const code = /\.(rs|ts|tsx|mjs)$/;
const generated = /generated\.ts$/;
const whole = /(^|\/)(tests|benches)\/|(^|\/)(tests|testing)\.rs$|\.test\.tsx?$|(^|\/)test-[^/]*$|^e2e\//;

const counts = (line) => {
  const bare = line.trim();
  return bare !== '' && !bare.startsWith('//') && !bare.startsWith('/*') && !bare.startsWith('* ');
};

/** Lines of code and lines of tests; tests in a Rust file stand at its end. */
function linesOf(file) {
  const lines = readFileSync(root + file, 'utf8').split('\n');
  if (whole.test(file)) return { product: 0, tests: lines.filter(counts).length };
  const at = lines.findIndex((line, i) => line === '#[cfg(test)]' && /^mod \w+ \{$/.test(lines[i + 1] ?? ''));
  const end = at < 0 ? lines.length : at;
  return {
    product: lines.slice(0, end).filter(counts).length,
    tests: lines.slice(end).filter(counts).length,
  };
}

const files = execFileSync('git', ['ls-files'], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => code.test(file) && !generated.test(file));
const parts = new Map();
for (const file of files) {
  const part = file.startsWith('crates/') ? file.split('/').slice(0, 2).join('/') : file.split('/')[0];
  const of = parts.get(part) ?? { product: 0, tests: 0 };
  const lines = linesOf(file);
  parts.set(part, { product: of.product + lines.product, tests: of.tests + lines.tests });
}
const shareOf = ({ product, tests }) => tests / (product + tests);
const tell = (part, of) =>
  console.log(
    `${part.padEnd(16)} ${String(of.product + of.tests).padStart(6)} lines, ${shareOf(of).toFixed(2)} tests`,
  );
for (const [part, of] of [...parts].sort()) tell(part, of);
const all = [...parts.values()].reduce((a, b) => ({
  product: a.product + b.product,
  tests: a.tests + b.tests,
}));
tell('all', all);
const share = shareOf(all);
if (share < LEAST || share > MOST) {
  console.error(`Tests are ${share.toFixed(3)} of the code; they are to be ${LEAST} to ${MOST}.`);
  process.exit(1);
}
