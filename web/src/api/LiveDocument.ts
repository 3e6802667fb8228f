import { ApiFault } from './client';
import { draftsOf, keepDraft, keepSteps, stepsOf, type Step } from './drafts';
import { changed, merge } from './merge';
import { mayChange } from './role';

/** A document as the kitchen keeps it. */
export type Kept<T> = { version: number; value: T };

/** Where it is kept; and where what is not saved yet waits, so that a page that is left loses nothing. */
export type Keeper<T> = {
  save: (version: number, value: T) => Promise<Kept<T>>;
  read: () => Promise<Kept<T>>;
  /** Whether it was as it came: what becomes of it then is nobody's change. */
  asItCame?: (value: T) => boolean;
  /** The name that unsaved changes and steps back wait under in this browser. */
  name: string;
};

export type DocumentState<T> = {
  value: T;
  version: number;
  /** `away`: the kitchen does not take it just now, and it is tried again by itself; `refused`: it waits for another figure. */
  state: 'saved' | 'waiting' | 'saving' | 'away' | 'refused';
  /** Why it could not be saved; what was typed stays. */
  fault?: ApiFault;
  /** What is not saved is not written down in this browser either: it is lost when the page is loaded again. */
  unwritten: boolean;
  /** Fields that somebody else changed while this was open. */
  elsewhere: string[];
  canUndo: boolean;
  canRedo: boolean;
};

/** Changes within this time to the same thing are one step back. */
const ONE_STEP_MS = 1200;
const SAVES_AFTER_MS = 400;
const TRIES_AGAIN_MS = 3000;
/** So many steps back. */
const MAX_STEPS = 50;

/** What another figure would mend; all else may be taken as it is, later. */
const isRefusal = (fault: ApiFault) => [400, 403, 404, 413, 422].includes(fault.status);

/**
 * One document under the hand: saved as it is changed, with every step undone and redone, and brought together with what
 * another page does to it. Nothing here draws.
 */
export class LiveDocument<T extends object> {
  private kept: Kept<T>;
  private value: T;
  private past: Step<T>[];
  private future: Step<T>[];
  private unwritten = false;
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
    ({ past: this.past, future: this.future } = stepsOf<T>(keeper.name));
    this.value = draftsOf<T>(keeper.name).reduce(
      (value, draft) => merge(draft.base, draft.value, value),
      kept.value,
    );
    this.keepDraft();
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
    if (!mayChange()) return;
    const before = this.value;
    const after = next(before);
    if (changed(before, after).length === 0) return;
    const last = this.past.at(-1);
    if (last && last.key === key && this.now() - last.at < ONE_STEP_MS) {
      last.after = after;
      last.at = this.now();
    } else this.past = [...this.past, { before, after, key, at: this.now() }].slice(-MAX_STEPS);
    this.future = [];
    this.put(after);
  }

  undo = () => {
    const step = mayChange() ? this.past.pop() : undefined;
    if (!step) return;
    this.future.push(step);
    // Only this step is taken back: what others changed meanwhile stays.
    this.put(merge(step.after, step.before, this.value));
  };

  redo = () => {
    const step = mayChange() ? this.future.pop() : undefined;
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
    keepSteps(this.keeper.name, { past: this.past, future: this.future });
    this.later(SAVES_AFTER_MS);
    this.tell();
  }

  private takeIn(kept: Kept<T>) {
    const before = this.value;
    this.value = merge(this.kept.value, this.value, kept.value);
    if (!this.keeper.asItCame?.(this.kept.value)) {
      this.elsewhere = [...new Set([...this.elsewhere, ...changed(before, this.value)])];
    }
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
    let again = mayChange() && this.unsaved();
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
    if (!isRefusal(fault)) this.later(Math.max(TRIES_AGAIN_MS, fault.retryAfterMs ?? 0));
    return false;
  }

  /** What is not saved is kept in the browser until it is: a page may be left at any moment. */
  private keepDraft() {
    const draft = this.unsaved() ? { base: this.kept.value, value: this.value } : undefined;
    this.unwritten = !keepDraft(this.keeper.name, draft);
  }

  private state(): DocumentState<T> {
    return {
      value: this.value,
      version: this.kept.version,
      state: this.fault
        ? isRefusal(this.fault)
          ? 'refused'
          : 'away'
        : this.saving
          ? 'saving'
          : this.unsaved()
            ? 'waiting'
            : 'saved',
      fault: this.fault,
      unwritten: this.unwritten,
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
