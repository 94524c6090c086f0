import { expect, test } from "@jest/globals";
import { readText } from "./readText";

test("a text is read; one that is far too large is refused with its size, before it is read", async () => {
  expect(await readText(new Blob(["name,feet"]))).toEqual({ ok: true, value: "name,feet" });
  const huge = { size: 120_000_000, text: () => Promise.reject(new Error("was read")) } as unknown as Blob;
  const refused = await readText(huge);
  expect(refused.ok === false && refused.issues[0]?.message).toMatch(
    /^This file has 120 MB; up to 10 are read/,
  );
});
