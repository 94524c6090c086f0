import { expect, test } from "@jest/globals";
import { gzipSync } from "fflate";
import { packed, PACKED_TYPE, textOf } from "./packed";

test("a text in pieces is packed and read back whole, letters of several bytes across the pieces too", async () => {
  const parts = Array.from({ length: 500 }, (_, at) => `row ${at}: hoof, Huf, копыто, 蹄\n`);
  const file = await packed(parts);
  expect(file.type).toBe(PACKED_TYPE);
  expect(file.size).toBeLessThan(parts.join("").length / 3);
  expect(await textOf(file)).toEqual({ ok: true, value: parts.join("") });
});

test("a file that is not packed is read as it is; one that breaks off is said to be damaged", async () => {
  expect(await textOf(new Blob(["{}"]))).toEqual({ ok: true, value: "{}" });
  const whole = gzipSync(new TextEncoder().encode("hoof ".repeat(10_000)));
  const cut = await textOf(new Blob([whole.slice(0, whole.length / 2)]));
  expect(cut.ok === false && cut.issues[0]?.code).toBe("damaged");
});
