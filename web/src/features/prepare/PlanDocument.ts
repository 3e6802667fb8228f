import { ApiFault, type Schemas } from '../../api/client';
import { changed, merge } from './merge';

type Plan = Schemas['Plan'];
export type Kept = { version: number; plan: Plan };

/** Where the plan is kept. */
export type Keeper = {
  save: (version: number, plan: Plan) => Promise<Kept>;
  read: () => Promise<Kept>;
};

export type DocumentState = {
  plan: Plan;
  version: number;
  state: 'saved' | 'waiting' | 'saving' | 'refused';
  /** Why it could not be saved; what was typed stays. */
  fault?: ApiFault;
  /** Fields that somebody else changed while this was open. */
  elsewhere: string[];
  canUndo: boolean;
  canRedo: boolean;
};

/** Changes within this time to the same thing are one step back. */
const ONE_STEP_MS = 1200;
const SAVES_AFTER_MS = 400;
const TRIES_AGAIN_MS = 3000;

/**
 * One plan under the hand: saved as it is changed, with every step undone and redone, and brought together with what
 * another page does to it. Nothing here draws.
 */
export class PlanDocument {
  private kept: Kept;
  private plan: Plan;
  private past: { before: Plan; after: Plan; key: string; at: number }[] = [];
  private future: { before: Plan; after: Plan; key: string; at: number }[] = [];
  private timer?: ReturnType<typeof setTimeout>;
  private saving = false;
  private fault?: ApiFault;
  private elsewhere: string[] = [];
  private listeners = new Set<() => void>();
  private shown!: DocumentState;

  constructor(
    kept: Kept,
    private readonly keeper: Keeper,
    private readonly now: () => number = () => Date.now(),
  ) {
    this.kept = kept;
    this.plan = kept.plan;
    this.tell();
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  snapshot = () => this.shown;

  /** Changes the plan; `key` says what is changed, so that a slide is one step back. */
  change(key: string, next: (plan: Plan) => Plan) {
    const before = this.plan;
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
    this.put(merge(step.after, step.before, this.plan));
  };

  redo = () => {
    const step = this.future.pop();
    if (!step) return;
    this.past.push(step);
    this.put(merge(step.before, step.after, this.plan));
  };

  /** The plan as it was read again, perhaps changed by another page. */
  arrived(kept: Kept) {
    if (kept.version <= this.kept.version) return;
    this.takeIn(kept);
    if (this.unsaved()) this.later(SAVES_AFTER_MS);
    this.tell();
  }

  seen = () => {
    this.elsewhere = [];
    this.tell();
  };

  /** Saves at once what waits. */
  flush = () => {
    clearTimeout(this.timer);
    return this.save();
  };

  private unsaved = () => changed(this.kept.plan, this.plan).length > 0;

  private put(plan: Plan) {
    this.plan = plan;
    this.fault = undefined;
    this.later(SAVES_AFTER_MS);
    this.tell();
  }

  private takeIn(kept: Kept) {
    const before = this.plan;
    this.plan = merge(this.kept.plan, this.plan, kept.plan);
    this.elsewhere = [...new Set([...this.elsewhere, ...changed(before, this.plan)])];
    this.kept = kept;
  }

  private later(ms: number) {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.save(), ms);
  }

  private async save(): Promise<void> {
    if (this.saving || !this.unsaved()) return;
    this.saving = true;
    const plan = this.plan;
    this.tell();
    try {
      this.kept = await this.keeper.save(this.kept.version, plan);
      // The kitchen writes a plan its own way: what was not changed since is as it wrote it.
      this.plan = merge(plan, this.plan, this.kept.plan);
      this.fault = undefined;
      if (this.unsaved()) this.later(0);
    } catch (error) {
      await this.failed(error);
    }
    this.saving = false;
    this.tell();
  }

  private async failed(error: unknown) {
    const fault = error instanceof ApiFault ? error : new ApiFault(String(error), 0);
    if (fault.status === 409) {
      try {
        this.takeIn(await this.keeper.read());
        this.later(0);
        return;
      } catch {
        // Read again with the next try.
      }
    }
    this.fault = fault;
    // A lost connection comes back; a refused figure waits for the cook.
    if (fault.status === 0 || fault.status === 409) this.later(TRIES_AGAIN_MS);
  }

  private tell() {
    this.shown = {
      plan: this.plan,
      version: this.kept.version,
      state: this.fault ? 'refused' : this.saving ? 'saving' : this.unsaved() ? 'waiting' : 'saved',
      fault: this.fault,
      elsewhere: this.elsewhere,
      canUndo: this.past.length > 0,
      canRedo: this.future.length > 0,
    };
    this.listeners.forEach((listener) => listener());
  }
}
