// Tells the built worker what to keep: every file that the page is made of.
import { createHash } from 'node:crypto';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';

const dist = new URL('dist/', import.meta.url);
const worker = new URL('worker.js', dist);
const files = readdirSync(dist, { recursive: true })
  .filter((name) => /\.(js|css|html|svg|png|woff2|webmanifest)$/.test(name) && name !== 'worker.js')
  // Alphabets that the page is not written in come when they are wanted.
  .filter((name) => !/-(vietnamese|cyrillic|greek|latin-ext)/.test(name))
  .sort()
  .map((url) => ({
    url: `/${url}`,
    // What stands under `assets` has its contents in its name.
    revision: url.startsWith('assets/')
      ? null
      : createHash('sha256')
          .update(readFileSync(new URL(url, dist)))
          .digest('hex')
          .slice(0, 16),
  }));
const text = readFileSync(worker, 'utf8');
const place = 'self.__WB_MANIFEST';
if (text.split(place).length !== 2) throw new Error(`${place} must stand in the worker once`);
writeFileSync(worker, text.replace(place, JSON.stringify(files)));
