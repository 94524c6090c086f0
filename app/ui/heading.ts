/**
 * Where a tab is heading: the address asked for last while its page is on its way, else the one it has. A page is drawn some
 * frames after its address has come, so that what is drawn does not say where the next press starts from.
 */
export class Heading {
  #asked: URL | undefined;

  constructor(private readonly arrivedAt: () => URL) {}

  at(): URL {
    return this.#asked ?? this.arrivedAt();
  }

  /** Asks for an address; `going` ends when its page has come, or when it was given up for another. */
  async towards(to: URL, going: () => Promise<void> | void): Promise<void> {
    this.#asked = to;
    try {
      await going();
    } finally {
      if (this.#asked === to) this.#asked = undefined;
    }
  }
}
