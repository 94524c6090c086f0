import { expect, test } from "@jest/globals";
import type { Call } from "../record/call";
import { DEFAULT_SETTINGS } from "../record/settings";
import { shoeSchema, type ShoeRecord } from "../shoe/shoeRecord";
import { wordingFor } from "../foot/wording";
import { ordinaryShoe } from "../shoe/specification";
import { shoeWorn, whatStaysOn } from "./staying";

const wording = wordingFor(DEFAULT_SETTINGS);
const shoe = (id: string, horseId: string, date: string, clips: "none" | "toe"): ShoeRecord =>
  shoeSchema.parse({
    id,
    visitId: id,
    horseId,
    limb: "LF",
    date,
    spec: { ...ordinaryShoe("LF", 500), clips: clips === "toe" ? ["toe"] : [] },
  });
const lost = (horseId: string, date: string, kind: Call["kind"] = "lost shoe"): Call => ({
  id: `${horseId}${date}`,
  horseId,
  date,
  kind,
  limb: "LF",
  cause: "trodden on",
  found: false,
  note: "",
});
const shoes = [
  shoe("1", "ash", "2026-09-01", "none"),
  shoe("2", "ash", "2026-10-10", "toe"),
  shoe("3", "birch", "2026-10-01", "none"),
];

test("the shoe worn on a day is the last one set before it", () => {
  expect(shoeWorn(shoes, lost("ash", "2026-10-09"))?.id).toBe("1");
  expect(shoeWorn(shoes, lost("ash", "2026-10-10"))?.id).toBe("2");
  expect(shoeWorn(shoes, lost("ash", "2026-08-01"))).toBeUndefined();
});

test("set, lost and days on by specification, the most often lost first; a lame call loses no shoe", () => {
  const rows = whatStaysOn(
    shoes,
    [
      lost("ash", "2026-09-11"),
      lost("birch", "2026-10-31", "sprung shoe"),
      lost("ash", "2026-11-01", "lame"),
    ],
    wording,
  );
  expect(rows.map(({ set, lost: gone, daysOn, horses }) => [set, gone, daysOn, horses])).toEqual([
    [2, 2, 20, ["ash", "birch"]],
    [1, 0, undefined, []],
  ]);
});
