import { afterEach, beforeEach, describe, expect, jest, test } from "@jest/globals";
import { Updates } from "./updates";

/** What a browser knows of the offline worker of one address. */
class Workers extends EventTarget {
  controller: object | null = {};
  readonly registration = Object.assign(new EventTarget(), {
    waiting: undefined as { postMessage: (message: unknown) => void } | undefined,
    installing: undefined as EventTarget | undefined,
  });
  /** Left open: registering waits for whatever the browser is doing with this address. */
  registered: (() => void) | undefined;
  register(): Promise<unknown> {
    return new Promise((done) => (this.registered = () => done(this.registration)));
  }
}

let workers: Workers;
let reloaded: jest.Mock<() => void>;
beforeEach(() => {
  workers = new Workers();
  reloaded = jest.fn<() => void>();
  Object.assign(globalThis, { location: { reload: reloaded } });
  Object.defineProperty(globalThis, "navigator", { value: { serviceWorker: workers }, configurable: true });
});
afterEach(() => {
  Reflect.deleteProperty(globalThis, "navigator");
  Reflect.deleteProperty(globalThis, "location");
});

describe("a newer version", () => {
  test("that takes over in another tab is told, also while this one still registers", () => {
    const updates = new Updates();
    void updates.register("/offline.js");
    workers.dispatchEvent(new Event("controllerchange"));
    expect(updates.state()).toBe("changed");
    expect(reloaded).not.toHaveBeenCalled();
  });

  test("is no newer one where none was before: the first load of all is told nothing", () => {
    workers.controller = null;
    const updates = new Updates();
    void updates.register("/offline.js");
    workers.dispatchEvent(new Event("controllerchange"));
    expect(updates.state()).toBe("none");
  });

  test("that waits is told, and the one that waits then is the one that takes over", async () => {
    const updates = new Updates();
    const registering = updates.register("/offline.js");
    const [first, second] = [jest.fn(), jest.fn()];
    workers.registration.waiting = { postMessage: first };
    workers.registered?.();
    await registering;
    expect(updates.state()).toBe("waiting");
    // Another came while nobody changed over: the first will never take over any more.
    workers.registration.waiting = { postMessage: second };
    await updates.changeOver();
    expect(first).not.toHaveBeenCalled();
    expect(second).toHaveBeenCalledWith({ type: "SKIP_WAITING" });
    workers.dispatchEvent(new Event("controllerchange"));
    expect(reloaded).toHaveBeenCalledTimes(1);
  });
});
