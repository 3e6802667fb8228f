// How much of the code is tests, crate by crate: a quarter is wanted, so that it can be trusted, and a third is the most, so that none
// is padding. What is reached is not lost again.
import { readdirSync, readFileSync } from 'node:fs';

const LEAST = 0.25;
const MOST = 0.34;
const root = new URL('..', import.meta.url).pathname;

const code = /\.(rs|ts|tsx|mjs)$/;
// What is made or fetched is nobody's code, and a benchmark is neither.
const apart = /generated\.ts$|(^|\/)(node_modules|dist|target|benches)\//;
const whole = /(^|\/)tests\/|(^|\/)(tests|testing)\.rs$|\.test\.tsx?$|(^|\/)test-[^/]*$|^e2e\//;

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

const files = ['crates', 'e2e', 'web']
  .flatMap((folder) => readdirSync(root + folder, { recursive: true }).map((file) => `${folder}/${file}`))
  .filter((file) => code.test(file) && !apart.test(file));
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
