// Packs every file of the built page ahead of time, and says what the first page costs: `node pack.mjs [most kB]`.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { brotliCompressSync, constants } from 'node:zlib';

const dist = new URL('dist/', import.meta.url);
const most = Number(process.argv[2] ?? Infinity);
const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', dist)));

/** Bytes as they are sent. Fonts are packed as they come. */
const sent = new Map();
for (const name of readdirSync(dist, { recursive: true })) {
  if (!/\.(js|css|html|svg|txt)$/.test(name)) continue;
  const text = readFileSync(new URL(name, dist));
  const packed = brotliCompressSync(text, {
    params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: text.length },
  });
  sent.set(name, packed.length);
  writeFileSync(new URL(`${name}.br`, dist), packed);
}

/** Every file that is there before the first answer can be drawn. */
const needed = new Set(['index.html']);
const need = (key) => {
  const { file, imports = [], css = [] } = manifest[key];
  if (needed.has(file)) return;
  [file, ...css].forEach((name) => needed.add(name));
  imports.forEach(need);
};
need('index.html');
need('src/features/match/Match.tsx');

const kB = (bytes) => `${(bytes / 1000).toFixed(1)} kB`;
const all = [...needed].map((name) => [sent.get(name), name]).sort(([a], [b]) => b - a);
const total = all.reduce((sum, [bytes]) => sum + bytes, 0);
if (process.argv.includes('--each'))
  for (const [bytes, name] of all) console.log(kB(bytes).padStart(9), name);
console.log(`First load, packed, without the fonts: ${kB(total)} in ${all.length} files.`);
if (total > most * 1000) {
  console.error(`It may be ${most} kB at most: node pack.mjs --each says what there is.`);
  process.exit(1);
}
