import { expect, test } from "@jest/globals";
import { threeDevices, twoDevices } from "./histories.fixture";

/** A third of what the bench plays (`npm run bench -- histories`). */
const SEEDS = Array.from({ length: 330 }, (_, at) => 3 * at + 1);

test("devices with made-up histories, copies and roll-backs among them, end alike and sound, whatever the order", () => {
  for (const seed of SEEDS) expect([seed, threeDevices(seed)]).toEqual([seed, []]);
});

test("of two devices' weeks nothing is lost or taken without a question, and nothing that was taken away comes back", () => {
  for (const seed of SEEDS) expect([seed, twoDevices(seed)]).toEqual([seed, []]);
});
