/** The offline copy of the application: registered once, watched for a new version. */
class Updates {
  #waiting: ServiceWorker | undefined;
  readonly #listeners = new Set<() => void>();

  readonly ready = (): boolean => this.#waiting !== undefined;
  readonly onChange = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  async register(address: string): Promise<void> {
    if (!("serviceWorker" in navigator)) return;
    const wasControlled = navigator.serviceWorker.controller !== null;
    const registration = await navigator.serviceWorker.register(address);
    const look = () => {
      if (registration.waiting && navigator.serviceWorker.controller) this.#announce(registration.waiting);
    };
    look();
    registration.addEventListener("updatefound", () => {
      registration.installing?.addEventListener("statechange", look);
    });
    navigator.serviceWorker.addEventListener("controllerchange", () => {
      if (wasControlled) location.reload();
    });
  }

  /** Lets the new version take over; the page loads anew under it. Drafts are kept, so nothing is lost. */
  changeOver(): void {
    this.#waiting?.postMessage({ type: "SKIP_WAITING" });
  }

  #announce(worker: ServiceWorker): void {
    this.#waiting = worker;
    for (const listener of this.#listeners) listener();
  }
}

export const updates = new Updates();
