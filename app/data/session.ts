import type { Edit } from "~core/record/edit";
import { openDatabase, type Database } from "./database";

/** The user's own records, or the made-up round: two databases that never touch. */
export type Round = "own" | "demo" | "first-day";

const DATABASE_NAMES: Record<Round, string> = {
  own: "plumbline",
  demo: "plumbline-demo",
  "first-day": "plumbline-first-day",
};
const ROUND_KEY = "plumbline.round";

/** Two tabs changed one place: what stands there now, and what this tab wanted. Nobody is overwritten. */
export interface Conflict {
  edit: Edit;
  stored: unknown;
  /** Drafts of this edit: they stay until the user has said which value counts. */
  drafts: readonly string[];
}

/** What the quiet line in the corner says about saving, and what waits for an answer. */
export interface SaveState {
  kind: "quiet" | "kept" | "undone" | "failed";
  at?: number;
  message?: string;
}

/**
 * What belongs to this tab: which round is open, its database, who this sitting is, and what could not be saved.
 * The one place of the application that holds state outside React.
 */
class Session {
  readonly round: Round = readRound();
  readonly sitting: string = crypto.randomUUID();
  readonly db: Database = openDatabase(DATABASE_NAMES[this.round]);
  /** Edits that the store refused; the export carries them. */
  readonly unsaved: Edit[] = [];
  /** Drafts by key: what is typed and not yet a value. */
  readonly typed = new Map<string, string>();
  readonly #channel =
    "BroadcastChannel" in globalThis ? new BroadcastChannel(DATABASE_NAMES[this.round]) : undefined;
  readonly #listeners = new Set<() => void>();
  #save: SaveState = { kind: "quiet" };
  #conflict: Conflict | undefined;

  readonly saveState = (): SaveState => this.#save;
  readonly onSave = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  say(save: SaveState): void {
    this.#save = save;
    for (const listener of this.#listeners) listener();
  }

  readonly conflict = (): Conflict | undefined => this.#conflict;

  /** Two tabs changed one place: the user has to say which. */
  askConflict(conflict: Conflict): void {
    this.#conflict = conflict;
    this.say(this.#save);
  }

  answerConflict(): void {
    this.#conflict = undefined;
    this.say(this.#save);
  }

  /** Tells the other tabs of this round that a record changed. */
  tellOthers(): void {
    this.#channel?.postMessage("changed");
  }

  /** Lets go of the store and the other tabs; the session is over. */
  close(): void {
    this.#channel?.close();
    this.db.close();
  }

  onOthersChange(listener: () => void): () => void {
    this.#channel?.addEventListener("message", listener);
    return () => this.#channel?.removeEventListener("message", listener);
  }
}

function readRound(): Round {
  try {
    const kept = localStorage.getItem(ROUND_KEY);
    return kept === "demo" || kept === "first-day" ? kept : "own";
  } catch {
    return "own";
  }
}

/** The round that the next page load opens. */
export function chooseRound(round: Round): void {
  localStorage.setItem(ROUND_KEY, round);
}

export const databaseOf = (round: Round): Database => openDatabase(DATABASE_NAMES[round]);

export const session = new Session();
