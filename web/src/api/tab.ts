/*
 * Which of a browser's pages this is. What a page has not saved yet is kept under its own name, so that two pages with one
 * document keep two drafts; a page that is gone leaves its drafts to the next that opens the document.
 */

const KEY = 'ergastic-tab';
const LOCK = 'ergastic-tab-';

let own: string | undefined;
let living = new Set<string>();

function remembered(): string {
  try {
    const kept = sessionStorage.getItem(KEY);
    if (kept) return kept;
  } catch {
    // A browser that keeps nothing gives each page a new name.
  }
  return named(crypto.randomUUID());
}

function named(id: string): string {
  try {
    sessionStorage.setItem(KEY, id);
  } catch {
    // As above.
  }
  return id;
}

/** The name of this page; the same after it is loaded again. */
export const tab = () => (own ??= remembered());

/** Whether another page of this browser that is open has this name. */
export const isOpen = (id: string) => id !== tab() && living.has(id);

/** Holds a name for as long as the page is open; whether nobody else did. */
const hold = (id: string) =>
  new Promise<boolean>((told) => {
    void navigator.locks.request(LOCK + id, { ifAvailable: true }, (lock) => {
      told(Boolean(lock));
      return lock ? new Promise<void>(() => undefined) : undefined;
    });
  });

/** Takes this page's name, a new one where a page was doubled with all it remembers, and sees which others are open. */
export async function takeName() {
  if (!('locks' in navigator)) return;
  if (!(await hold(tab()))) {
    own = named(crypto.randomUUID());
    await hold(own);
  }
  const { held = [] } = await navigator.locks.query();
  living = new Set(held.flatMap(({ name }) => (name?.startsWith(LOCK) ? [name.slice(LOCK.length)] : [])));
}
