import type { Edit } from "~core/record/edit";
import { openDatabase, type Database } from "./database";
import type { StoredPicture } from "./pictureBytes";

/** The user's own records, or the made-up round: two databases that never touch. */
export type Round = "own" | "demo" | "first-day";

const DATABASE_NAMES: Record<Round, string> = {
  own: "plumbline",
  demo: "plumbline-demo",
  "first-day": "plumbline-first-day",
};
const ROUND_KEY = "plumbline.round";

/** Edits that belong together, and the drafts that became them. */
export interface Change {
  edits: readonly Edit[];
  drafts: readonly TakenDraft[];
}

/** A draft as it was when it became a value: more may have been typed there since. */
export interface TakenDraft {
  key: string;
  text: string;
}

/** Two tabs changed one place: what stands there now, and what this tab wanted. Nobody is overwritten. */
export interface Conflict {
  /** The edit that found another value than the one it starts from. */
  edit: Edit;
  stored: unknown;
  /** All that was to be kept with it; its drafts stay until the user has said which value counts. */
  change: Change;
}

/** What the quiet line in the corner says about saving, and what waits for an answer. */
export interface SaveState {
  kind: "quiet" | "kept" | "undone" | "failed";
  at?: number;
  message?: string;
}

/** Text that is typed and not a value yet. */
export interface Typed {
  text: string;
  /** What stood in the record when the typing began; missing for what an earlier sitting left. */
  was?: { value: unknown };
}

/** What one tab tells the others of its round. */
type Told = "changed" | "restored";

/**
 * What belongs to this tab: which round is open, its database, who this sitting is, and what could not be saved.
 * Other state outside React is of a moment: edits on their way (`edits.ts`, `ui/useEdits.ts`), what a page has not read
 * anew (`ui/unread.ts`), where the tab is heading (`ui/useHeading.ts`), a version that waits (`updates.ts`).
 */
class Session {
  readonly round: Round = readRound();
  readonly sitting: string = crypto.randomUUID();
  readonly db: Database = openDatabase(DATABASE_NAMES[this.round]);
  /** Drafts by key: what is typed and not yet a value. */
  readonly typed = new Map<string, Typed>();
  readonly #touched = new Set<string>();
  /** Pictures that the store had no room for, by id: shown, exported and tried again from here. */
  #pictures: ReadonlyMap<string, StoredPicture> = new Map();
  /** Which filling of the store this tab shows, once it is known; a restore begins a new one. */
  epoch: { value: string | undefined } | undefined;
  readonly #channel =
    "BroadcastChannel" in globalThis ? new BroadcastChannel(DATABASE_NAMES[this.round]) : undefined;
  readonly #listeners = new Set<() => void>();
  readonly #typedListeners = new Set<() => void>();
  #save: SaveState = { kind: "quiet" };
  #conflict: Conflict | undefined;
  #refused: readonly Change[] = [];
  readonly #sent = new Set<Promise<unknown>>();
  #replaced = false;
  #outdated = false;
  #busy = 0;

  constructor() {
    this.db.on("versionchange", () => {
      this.db.close();
      this.#outdated = true;
      this.say(this.#save);
    });
    // Held as long as this tab lives: the others see by it whose drafts are still being typed.
    if (globalThis.navigator?.locks)
      void navigator.locks.request(sittingLock(this.sitting), () => new Promise(() => undefined));
  }

  readonly saveState = (): SaveState => this.#save;
  readonly onSave = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  say(save: SaveState): void {
    this.#save = save;
    for (const listener of this.#listeners) listener();
  }

  readonly onTyped = (listener: () => void): (() => void) => {
    this.#typedListeners.add(listener);
    return () => this.#typedListeners.delete(listener);
  };

  /** Puts, or with undefined takes away, what is typed at a place; everything that shows it follows at once. */
  setTyped(key: string, typed: Typed | undefined): void {
    if (typed) this.typed.set(key, typed);
    else this.typed.delete(key);
    this.#touched.add(key);
    for (const listener of this.#typedListeners) listener();
  }

  /** Something was typed at this place in this sitting, even where it has become a value since or was taken back. */
  touched(key: string): boolean {
    return this.#touched.has(key);
  }

  /** As a sitting begins: nothing is typed, and nothing was. */
  forgetTyped(): void {
    this.typed.clear();
    this.#touched.clear();
  }

  /** Changes that the store refused, oldest first: shown as the user made them, exported, sent again. */
  readonly refused = (): readonly Change[] => this.#refused;

  setRefused(refused: readonly Change[]): void {
    this.#refused = refused;
    for (const listener of this.#listeners) listener();
  }

  readonly heldPictures = (): ReadonlyMap<string, StoredPicture> => this.#pictures;

  /** Holds a picture in the page, or with undefined lets go of it. */
  holdPicture(id: string, picture: StoredPicture | undefined): void {
    const held = new Map(this.#pictures);
    if (picture) held.set(id, picture);
    else held.delete(id);
    this.#pictures = held;
    for (const listener of this.#listeners) listener();
  }

  /** Notes a change from the press on that sends it: what keeps it may have to be loaded first. */
  sent(answer: Promise<unknown>): void {
    const ended = answer.catch(() => undefined);
    this.#sent.add(ended);
    void ended.then(() => this.#sent.delete(ended));
  }

  /** Once whatever was sent until now is kept or refused; after `mostMs` also without an answer. */
  async answered(mostMs = 3000): Promise<void> {
    let late: ReturnType<typeof setTimeout> | undefined;
    const waited = new Promise((done) => (late = setTimeout(done, mostMs)));
    await Promise.race([Promise.all(this.#sent), waited]);
    clearTimeout(late);
  }

  readonly conflict = (): Conflict | undefined => this.#conflict;

  /** True while the store has something to ask or to say before anything else. */
  readonly asks = (): boolean => this.#conflict !== undefined || this.#replaced;

  /** Two tabs changed one place: the user has to say which. */
  askConflict(conflict: Conflict | undefined): void {
    this.#conflict = conflict;
    this.say(this.#save);
  }

  /** True once another tab has put a backup in the place of what this tab shows. */
  readonly replaced = (): boolean => this.#replaced;

  setReplaced(): void {
    this.#replaced = true;
    this.say(this.#save);
  }

  /** True once a newer version in another tab has carried the records up: this one cannot write them any more. */
  readonly outdated = (): boolean => this.#outdated;

  /** Counts what must not be cut off: something held on a drawing, or on its way to the store. Call the answer when it is done. */
  hold(): () => void {
    this.#busy += 1;
    let held = true;
    return () => {
      if (held) this.#busy -= 1;
      held = false;
    };
  }

  /** True while leaving the page would lose something. */
  get busy(): boolean {
    return this.#busy > 0 || this.#refused.length > 0 || this.#pictures.size > 0;
  }

  /** Tells the other tabs of this round what happened. */
  tellOthers(told: Told = "changed"): void {
    this.#channel?.postMessage(told);
  }

  /** Lets go of the store and the other tabs; the session is over. */
  close(): void {
    this.#channel?.close();
    this.db.close();
  }

  onOthers(told: Told, listener: () => void): () => void {
    const heard = (event: MessageEvent<Told>) => {
      if (event.data === told) listener();
    };
    this.#channel?.addEventListener("message", heard);
    return () => this.#channel?.removeEventListener("message", heard);
  }
}

export const sittingLock = (sitting: string): string => `plumbline-sitting-${sitting}`;

/** The round that this tab opened, else the one that was chosen last: a tab stays in its round whatever others choose. */
function readRound(): Round {
  try {
    const kept = sessionStorage.getItem(ROUND_KEY) ?? localStorage.getItem(ROUND_KEY);
    const round = kept === "demo" || kept === "first-day" ? kept : "own";
    sessionStorage.setItem(ROUND_KEY, round);
    return round;
  } catch {
    return "own";
  }
}

/** The round that this tab's next page load opens, and every new tab. */
export function chooseRound(round: Round): void {
  localStorage.setItem(ROUND_KEY, round);
  sessionStorage.setItem(ROUND_KEY, round);
}

export const databaseOf = (round: Round): Database => openDatabase(DATABASE_NAMES[round]);

export const session = new Session();
