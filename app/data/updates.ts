/** What stands with this tab's version: as it was, a newer one waits, or another tab has changed over to one. */
export type UpdateState = "none" | "waiting" | "changed";

/** Files of the version before, for tabs that still run it. The offline worker looks here for what it does not have. */
const BEFORE = "plumbline-before";

/** Keeps the files of the version that is about to go, so that a tab that stays on it can still load the rest of itself. */
async function keepFiles(): Promise<void> {
  const names = await caches.keys();
  const precache = names.find((name) => name.includes("precache"));
  if (!precache) return;
  await caches.delete(BEFORE);
  const [from, to] = await Promise.all([caches.open(precache), caches.open(BEFORE)]);
  for (const request of await from.keys()) {
    const answer = new URL(request.url).pathname.startsWith("/assets/") && (await from.match(request));
    if (answer) await to.put(request, answer);
  }
}

/** The offline copy of the application: registered once, watched for a new version. */
export class Updates {
  #state: UpdateState = "none";
  #registration: ServiceWorkerRegistration | undefined;
  #mine = false;
  readonly #listeners = new Set<() => void>();

  readonly state = (): UpdateState => this.#state;
  readonly onChange = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  async register(address: string): Promise<void> {
    if (!("serviceWorker" in navigator)) return;
    const wasControlled = navigator.serviceWorker.controller !== null;
    // Listened to before registering, which waits while the browser lays in another version.
    navigator.serviceWorker.addEventListener("controllerchange", () => {
      // Only the tab that was told to changes over by itself: in another one something may stand half done.
      if (this.#mine) location.reload();
      else if (wasControlled) this.#say("changed");
    });
    const registration = await navigator.serviceWorker.register(address);
    this.#registration = registration;
    const look = () => {
      if (registration.waiting && navigator.serviceWorker.controller) this.#say("waiting");
    };
    look();
    registration.addEventListener("updatefound", () => {
      registration.installing?.addEventListener("statechange", look);
    });
  }

  /** Lets the new version take over; this page loads anew under it, the other tabs are told. Drafts are kept. */
  async changeOver(): Promise<void> {
    this.#mine = true;
    await keepFiles().catch(() => undefined);
    this.#registration?.waiting?.postMessage({ type: "SKIP_WAITING" });
  }

  #say(state: UpdateState): void {
    this.#state = state;
    for (const listener of this.#listeners) listener();
  }
}

export const updates = new Updates();
