import { ApiFault } from './client';
import { changed, merge } from './merge';

/** A document as the kitchen keeps it. */
export type Kept<T> = { version: number; value: T };

/** Where it is kept; and where what is not saved yet waits, so that a page that is left loses nothing. */
export type Keeper<T> = {
  save: (version: number, value: T) => Promise<Kept<T>>;
  read: () => Promise<Kept<T>>;
  /** The name that unsaved changes wait under in this browser. */
  name: string;
};

export type DocumentState<T> = {
  value: T;
  version: number;
  state: 'saved' | 'waiting' | 'saving' | 'refused';
  /** Why it could not be saved; what was typed stays. */
  fault?: ApiFault;
  /** Fields that somebody else changed while this was open. */
  elsewhere: string[];
  canUndo: boolean;
  canRedo: boolean;
};

type Step<T> = { before: T; after: T; key: string; at: number };
type Draft<T> = { base: T; value: T };

/** Changes within this time to the same thing are one step back. */
const ONE_STEP_MS = 1200;
const SAVES_AFTER_MS = 400;
const TRIES_AGAIN_MS = 3000;

/**
 * One document under the hand: saved as it is changed, with every step undone and redone, and brought together with what
 * another page does to it. Nothing here draws.
 */
export class LiveDocument<T extends object> {
  private kept: Kept<T>;
  private value: T;
  private past: Step<T>[] = [];
  private future: Step<T>[] = [];
  private timer?: ReturnType<typeof setTimeout>;
  private saving = false;
  private running?: Promise<void>;
  private fault?: ApiFault;
  private elsewhere: string[] = [];
  private listeners = new Set<() => void>();
  private shown: DocumentState<T>;

  constructor(
    kept: Kept<T>,
    private readonly keeper: Keeper<T>,
    private readonly now: () => number = () => Date.now(),
  ) {
    this.kept = kept;
    const draft = this.draft();
    this.value = draft ? merge(draft.base, draft.value, kept.value) : kept.value;
    this.shown = this.state();
    if (this.unsaved()) this.later(SAVES_AFTER_MS);
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = () => this.shown;

  /** Changes it; `key` says what is changed, so that a slide is one step back. */
  change(key: string, next: (value: T) => T) {
    const before = this.value;
    const after = next(before);
    if (changed(before, after).length === 0) return;
    const last = this.past.at(-1);
    if (last && last.key === key && this.now() - last.at < ONE_STEP_MS) {
      last.after = after;
      last.at = this.now();
    } else this.past.push({ before, after, key, at: this.now() });
    this.future = [];
    this.put(after);
  }

  undo = () => {
    const step = this.past.pop();
    if (!step) return;
    this.future.push(step);
    // Only this step is taken back: what others changed meanwhile stays.
    this.put(merge(step.after, step.before, this.value));
  };

  redo = () => {
    const step = this.future.pop();
    if (!step) return;
    this.past.push(step);
    this.put(merge(step.before, step.after, this.value));
  };

  /** The document as it was read again, perhaps changed by another page. */
  arrived(kept: Kept<T>) {
    if (kept.version <= this.kept.version) return;
    this.takeIn(kept);
    if (this.unsaved()) this.later(SAVES_AFTER_MS);
    this.tell();
  }

  seen = () => {
    this.elsewhere = [];
    this.tell();
  };

  /** Saves at once what waits, until all of it is saved or refused. */
  flush = async () => {
    clearTimeout(this.timer);
    await this.save();
  };

  private unsaved = () => changed(this.kept.value, this.value).length > 0;

  private put(value: T) {
    this.value = value;
    this.fault = undefined;
    this.keepDraft();
    this.later(SAVES_AFTER_MS);
    this.tell();
  }

  private takeIn(kept: Kept<T>) {
    const before = this.value;
    this.value = merge(this.kept.value, this.value, kept.value);
    this.elsewhere = [...new Set([...this.elsewhere, ...changed(before, this.value)])];
    this.kept = kept;
  }

  private later(ms: number) {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.save(), ms);
  }

  /** Saves until nothing is unsaved or it was refused; who asks meanwhile waits for the same. */
  private save(): Promise<void> {
    this.running ??= this.saveAll().finally(() => (this.running = undefined));
    return this.running;
  }

  private async saveAll(): Promise<void> {
    let again = this.unsaved();
    while (again) {
      const value = this.value;
      this.saving = true;
      this.tell();
      try {
        this.kept = await this.keeper.save(this.kept.version, value);
        // The kitchen writes it its own way: what was not changed since is as it wrote it.
        this.value = merge(value, this.value, this.kept.value);
        this.fault = undefined;
        again = this.unsaved();
      } catch (error) {
        again = await this.failed(error);
      }
      this.saving = false;
      this.keepDraft();
      this.tell();
    }
  }

  /** Whether it is to be tried again at once. */
  private async failed(error: unknown): Promise<boolean> {
    const fault = error instanceof ApiFault ? error : new ApiFault(String(error), 0);
    if (fault.status === 409) {
      try {
        this.takeIn(await this.keeper.read());
        return this.unsaved();
      } catch {
        // Read again with the next try.
      }
    }
    this.fault = fault;
    // A lost connection comes back; a refused figure waits for the cook.
    if (fault.status === 0 || fault.status === 409) this.later(TRIES_AGAIN_MS);
    return false;
  }

  private draft(): Draft<T> | undefined {
    try {
      const text = localStorage.getItem(this.keeper.name);
      // It was written by `keepDraft` of the same document.
      return text ? (JSON.parse(text) as Draft<T>) : undefined;
    } catch {
      return undefined;
    }
  }

  /** What is not saved is kept in the browser until it is: a page may be left at any moment. */
  private keepDraft() {
    try {
      if (this.unsaved()) {
        const draft: Draft<T> = { base: this.kept.value, value: this.value };
        localStorage.setItem(this.keeper.name, JSON.stringify(draft));
      } else localStorage.removeItem(this.keeper.name);
    } catch {
      // A browser that keeps nothing still saves as it goes.
    }
  }

  private state(): DocumentState<T> {
    return {
      value: this.value,
      version: this.kept.version,
      state: this.fault ? 'refused' : this.saving ? 'saving' : this.unsaved() ? 'waiting' : 'saved',
      fault: this.fault,
      elsewhere: this.elsewhere,
      canUndo: this.past.length > 0,
      canRedo: this.future.length > 0,
    };
  }

  private tell() {
    this.shown = this.state();
    this.listeners.forEach((listener) => listener());
  }
}
