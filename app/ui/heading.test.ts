import { describe, expect, it } from "@jest/globals";
import { Heading } from "./heading";

const at = (path: string) => new URL(path, "http://here");
const going = () => {
  let end: () => void = () => undefined;
  const ended = new Promise<void>((done) => (end = done));
  return { end, ended };
};

describe("where a tab is heading", () => {
  it("is where it stands while nothing was asked for", () => {
    expect(new Heading(() => at("/set")).at().pathname).toBe("/set");
  });

  it("is what was asked for last until its page has come, then the address that it has", async () => {
    let here = "/set";
    const heading = new Heading(() => at(here));
    const { end, ended } = going();
    const way = heading.towards(at("/shoe"), () => ended);
    expect(heading.at().pathname).toBe("/shoe");
    here = "/shoe";
    end();
    await way;
    here = "/elsewhere";
    expect(heading.at().pathname).toBe("/elsewhere");
  });

  it("stays with the newer one when the older is given up for it", async () => {
    const heading = new Heading(() => at("/set"));
    const [older, newer] = [going(), going()];
    const way = heading.towards(at("/trim"), () => older.ended);
    void heading.towards(at("/shoe"), () => newer.ended);
    older.end();
    await way;
    expect(heading.at().pathname).toBe("/shoe");
  });

  it("is where it stands again when the way has failed", async () => {
    const heading = new Heading(() => at("/set"));
    await expect(heading.towards(at("/shoe"), () => Promise.reject(new Error("lost")))).rejects.toThrow(
      "lost",
    );
    expect(heading.at().pathname).toBe("/set");
  });
});
