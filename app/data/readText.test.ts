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

test.each([
  ["UTF-8 with a mark", [0xef, 0xbb, 0xbf, 0x68, 0xc3, 0xa9]],
  ["UTF-8", [0x68, 0xc3, 0xa9]],
  ["UTF-16, the small byte first", [0xff, 0xfe, 0x68, 0, 0xe9, 0]],
  ["UTF-16, the large byte first", [0xfe, 0xff, 0, 0x68, 0, 0xe9]],
  ["the letters of an older spreadsheet", [0x68, 0xe9]],
])("a file in %s is read", async (_, bytes) =>
  expect(await readText(new Blob([new Uint8Array(bytes)]))).toEqual({ ok: true, value: "hé" }),
);
