// Writes what ships of others with its licence texts into the built page: `node notices.mjs`. What the server is made of is asked
// of Cargo, what the page is made of stands in the lock file.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const web = fileURLToPath(new URL('.', import.meta.url));
const isText = /^(licen[cs]e|copying|notice|unlicense|copyright)/i;

/** The licence texts that lie in a package's folder. */
function textsIn(folder) {
  if (!existsSync(folder)) return [];
  const files = readdirSync(folder, { withFileTypes: true }).filter(
    (file) => file.isFile() && isText.test(file.name),
  );
  return files.map((file) => readFileSync(join(folder, file.name), 'utf8').trim());
}

const { packages: locked } = JSON.parse(readFileSync(join(web, 'package-lock.json'), 'utf8'));
const ofPage = Object.entries(locked)
  .filter(([path, { dev, optional }]) => path && !dev && !optional)
  .map(([path, { version, license }]) => ({
    name: path.split('node_modules/').at(-1),
    version,
    license,
    folder: join(web, path),
  }));

const [, host] = /^host: (.*)$/m.exec(execFileSync('rustc', ['-vV'], { encoding: 'utf8' })) ?? [];
const metadata = JSON.parse(
  execFileSync(
    'cargo',
    [
      'metadata',
      '--format-version',
      '1',
      '--locked',
      '--filter-platform',
      host,
      '--features',
      'ergastic/jemalloc',
    ],
    {
      cwd: join(web, '..'),
      maxBuffer: 1 << 28,
    },
  ),
);
/** What the server takes when it is built, and not what tests it. */
const nodes = new Map(metadata.resolve.nodes.map((node) => [node.id, node]));
const ships = new Set();
const ship = (id) => {
  if (ships.has(id)) return;
  ships.add(id);
  for (const { pkg, dep_kinds } of nodes.get(id).deps)
    if (dep_kinds.some(({ kind }) => kind === null)) ship(pkg);
};
metadata.packages
  .filter(({ name }) => ['ergastic', 'ergastic-standins'].includes(name))
  .forEach(({ id }) => ship(id));
const ofServer = metadata.packages
  .filter(({ id, source }) => source && ships.has(id))
  .map(({ name, version, license, manifest_path }) => ({
    name,
    version,
    license,
    folder: manifest_path.replace(/Cargo\.toml$/, ''),
  }));

const texts = new Map();
for (const one of [...ofServer, ...ofPage].sort((a, b) => a.name.localeCompare(b.name))) {
  const line = `${one.name} ${one.version} (${one.license ?? 'see below'})`;
  const found = textsIn(one.folder);
  for (const text of found.length > 0 ? found : [`Under ${one.license}; its package holds no text of it.`]) {
    const key = createHash('sha256').update(text.replace(/\s+/g, ' ')).digest('hex');
    const same = texts.get(key) ?? { text, packages: [] };
    same.packages.push(line);
    texts.set(key, same);
  }
}
const own = `Ergastic is under the MIT licence or the Apache licence 2.0, as you like.\n\n${textsIn(join(web, '..')).join('\n\n')}`;
const others = [...texts.values()].map(({ text, packages }) => `${packages.join('\n')}\n\n${text}`);
const rule = `\n\n${'-'.repeat(80)}\n\n`;
writeFileSync(join(web, 'dist', 'notices.txt'), [own, 'It is made with these:', ...others].join(rule) + '\n');
console.log(`Notices of ${ofServer.length + ofPage.length} packages, ${texts.size} texts.`);
