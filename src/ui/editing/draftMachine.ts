import { same } from '@/core/figures/deepEqual';
import { failureOf, type StoreFailure } from '@/device/failure';
import { keepUnsaved, reportSaving, unsavedWork } from './saving';

/** What a save gives back: the new token, or what another tab wrote meanwhile. */
export type SaveResult<T, Token> =
  | { readonly ok: true; readonly token: Token }
  | { readonly ok: false; readonly theirs: { value: T; token: Token } | null };

/** Where a draft comes from and goes to. */
export interface Source<T, Token> {
  /** Under this name the page says whether it is saved, and keeps what is not for a rescue file. */
  readonly name: string;
  /** The value as stored, and the token that tells its state. */
  readonly stored: T;
  readonly token: Token;
  /** True once the stored value has caught up with a saved token. */
  readonly reached: (stored: Token, saved: Token) => boolean;
  readonly save: (value: T, base: Token) => Promise<SaveResult<T, Token>>;
  /** Stores the value anew where another tab has deleted it; without it a deleted value stays deleted. */
  readonly restore?: (value: T) => Promise<Token>;
  /** The value as it is stored, where that is not letter by letter what is typed: what is typed then stands. */
  readonly normal?: (value: T) => T;
  /** How long a saved value is waited for before what is stored is followed instead: milliseconds; absent: for ever. */
  readonly patience?: number;
}

interface Clash<T, Token> {
  readonly theirs: T | null;
  readonly token: Token | null;
}

/**
 * A stored value being edited. Every edit is shown at once and saved at once; edits made while a save runs are saved after
 * it, the newest last. Where a save fails the value stays, and the page says so and tries again. Where another tab was
 * faster, both versions are kept until the teacher chooses. While nothing of its own waits, it follows what is stored.
 */
export class DraftMachine<T, Token> {
  /** What was written here and is not the stored value, or not yet. */
  #own: { readonly value: T } | null;
  #pending: { readonly value: T } | null;
  #saving = false;
  /** The state that the next save builds on, or that was saved last and has not come back; null in peace. */
  #base: Token | null = null;
  #clash: Clash<T, Token> | null = null;
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    readonly source: () => Source<T, Token>,
    readonly changed: () => void,
  ) {
    // What could not be stored is still there when the field comes back: it is shown, and waits to be tried again.
    const left = unsavedWork().get(source().name) as T | undefined;
    this.#own = this.#pending = left === undefined ? null : { value: left };
  }

  get value(): T {
    return this.#own ? this.#own.value : this.source().stored;
  }

  /** What another tab wrote while this one was writing; null in peace. */
  get conflict(): { readonly theirs: T | null } | null {
    return this.#clash && { theirs: this.#clash.theirs };
  }

  /** From when it is seen. */
  appear(): void {
    if (this.#pending) reportSaving(this.source().name, 'other', this.flush);
  }

  /** From when it is seen no more: what still waits is saved all the same. */
  leave(): void {
    clearTimeout(this.#timer);
  }

  readonly edit = (value: T): void => {
    this.#base ??= this.source().token;
    this.#own = this.#pending = { value };
    keepUnsaved(this.source().name, value);
    this.changed();
    this.flush();
  };

  /** Saves what waits. */
  readonly flush = (): void => {
    this.#drain().catch((error: unknown) => reportSaving(this.source().name, failureOf(error), this.flush));
  };

  /** To be called whenever the stored value may be another. */
  readonly follow = (): void => {
    const { token, reached, stored, normal } = this.source();
    if (this.#pending || this.#saving) return;
    if (this.#base !== null && !reached(token, this.#base)) return;
    this.#base = null;
    if (!this.#own || (normal && same(normal(this.#own.value), normal(stored)))) return;
    this.#own = null;
    this.changed();
  };

  /** In a conflict: what is written here, over what the other tab wrote. */
  readonly keepMine = (): void => {
    const [clash, mine] = [this.#clash, this.#pending];
    this.#clash = null;
    this.#base = clash?.token ?? null;
    this.changed();
    if (mine && clash?.theirs === null && this.source().restore) this.#revive(mine.value);
    else if (mine) this.flush();
    else this.takeTheirs();
  };

  /** In a conflict: what the other tab wrote. */
  readonly takeTheirs = (): void => {
    this.#clash = this.#base = this.#own = this.#pending = null;
    keepUnsaved(this.source().name, null);
    this.changed();
  };

  async #drain(): Promise<void> {
    if (this.#saving || this.#clash) return;
    const failure = await this.#saveAll();
    const { name, patience } = this.source();
    reportSaving(name, failure ?? 'saved', this.flush);
    if (!failure && !this.#clash) keepUnsaved(name, null);
    this.follow();
    if (patience === undefined) return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => {
      if (!this.#pending && !this.#saving) this.#base = null;
      this.follow();
    }, patience);
  }

  /** Until nothing waits, a save fails or another tab was faster: why it failed, or null. */
  async #saveAll(): Promise<StoreFailure | null> {
    this.#saving = true;
    try {
      while (this.#pending && !this.#clash) {
        const { value } = this.#pending;
        this.#pending = null;
        reportSaving(this.source().name, 'saving');
        try {
          this.#take(value, await this.source().save(value, this.#base ?? this.source().token));
        } catch (error) {
          this.#pending ??= { value };
          return failureOf(error);
        }
      }
      return null;
    } finally {
      this.#saving = false;
    }
  }

  #take(value: T, result: SaveResult<T, Token>): void {
    if (result.ok) {
      this.#base = result.token;
      return;
    }
    this.#pending ??= { value };
    this.#clash = { theirs: result.theirs?.value ?? null, token: result.theirs?.token ?? null };
    this.changed();
  }

  /** What another tab deleted is stored anew, as it is written here. */
  #revive(value: T): void {
    const { name, restore } = this.source();
    restore?.(value).then(
      (token) => {
        this.#base = token;
        this.#pending = null;
        keepUnsaved(name, null);
        reportSaving(name, 'saved');
        this.follow();
      },
      (error: unknown) => {
        this.#pending = { value };
        reportSaving(name, failureOf(error), () => this.#revive(value));
      },
    );
  }
}
