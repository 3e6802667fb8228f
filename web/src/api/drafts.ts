import { isOpen, tab } from './tab';

/** What is not saved yet: the document it was made from, and as it is. */
export type Draft<T> = { base: T; value: T };
/** One step back: what was, what is, and which of several changes it belongs to. */
export type Step<T> = { before: T; after: T; key: string; at: number };
type Steps<T> = { past: Step<T>[]; future: Step<T>[] };

const PREFIX = 'ergastic-draft:';
const STEPS = 'ergastic-steps:';
/** Steps of one document that outlive the page, characters. */
const STEPS_LONG = 64_000;

const keyOf = (name: string, id: string) => `${PREFIX}${name}:${id}`;

function keys(): string[] {
  return Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '');
}

/** The drafts of a document that this page goes on with: its own last, before it those of pages that are gone. */
export function draftsOf<T>(name: string): Draft<T>[] {
  try {
    const own = keyOf(name, tab());
    const left = keys().filter(
      (key) => key.startsWith(keyOf(name, '')) && key !== own && !isOpen(key.slice(keyOf(name, '').length)),
    );
    const found = [...left, own].flatMap((key) => {
      const text = localStorage.getItem(key);
      // It was written by `keepDraft` of the same document.
      return text ? [JSON.parse(text) as Draft<T>] : [];
    });
    left.forEach((key) => localStorage.removeItem(key));
    return found;
  } catch {
    return [];
  }
}

/** Keeps what is not saved, or lets it go; whether it would be there after the page is loaded again. */
export function keepDraft<T>(name: string, draft: Draft<T> | undefined): boolean {
  try {
    if (draft) localStorage.setItem(keyOf(name, tab()), JSON.stringify(draft));
    else localStorage.removeItem(keyOf(name, tab()));
    return true;
  } catch {
    return !draft;
  }
}

/** The steps of a document on this page, from before it was left or loaded again. */
export function stepsOf<T>(name: string): Steps<T> {
  try {
    const text = sessionStorage.getItem(STEPS + name);
    // It was written below.
    return text ? (JSON.parse(text) as Steps<T>) : { past: [], future: [] };
  } catch {
    return { past: [], future: [] };
  }
}

/** Keeps the newest steps. */
export function keepSteps<T>(name: string, { past, future }: Steps<T>) {
  try {
    let from = 0;
    let text = JSON.stringify({ past, future });
    while (text.length > STEPS_LONG && from < past.length) {
      from += 1;
      text = JSON.stringify({ past: past.slice(from), future });
    }
    sessionStorage.setItem(STEPS + name, text);
  } catch {
    // They last as long as the page then.
  }
}

/** Steps of another kind on this page, as they were kept. */
export function listOf<T>(name: string): T[] {
  try {
    const text = sessionStorage.getItem(STEPS + name);
    // It was written below.
    return text ? (JSON.parse(text) as T[]) : [];
  } catch {
    return [];
  }
}

/** Keeps the newest of a list. */
export function keepList(name: string, list: unknown[]) {
  try {
    let from = 0;
    while (JSON.stringify(list.slice(from)).length > STEPS_LONG) from += 1;
    if (list.length > 0) sessionStorage.setItem(STEPS + name, JSON.stringify(list.slice(from)));
    else sessionStorage.removeItem(STEPS + name);
  } catch {
    // They last as long as the page then.
  }
}

/** Lets every draft and every step go: this browser is somebody else's now. */
export function forgetDrafts() {
  try {
    keys()
      .filter((key) => key.startsWith(PREFIX))
      .forEach((key) => localStorage.removeItem(key));
    const steps = Array.from({ length: sessionStorage.length }, (_, i) => sessionStorage.key(i) ?? '');
    steps.filter((key) => key.startsWith(STEPS)).forEach((key) => sessionStorage.removeItem(key));
  } catch {
    // Nothing was kept.
  }
}
