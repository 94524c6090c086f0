import { expect, test } from "@jest/globals";
import { formChanges, formChangesText, readFormChanges, withFormChanges } from "./formDraft";

const start = { horse: { name: "Wren", massKg: 430, notes: "" }, yardId: "y", stages: [{ name: "raised" }] };

test("what was typed is kept by its place, lists as a whole; what is as it began is not", () => {
  const now = {
    horse: { name: "Merle", massKg: 430 },
    yardId: "y",
    stages: [{ name: "raised" }, { name: "level" }],
  };
  expect(formChanges(start, now)).toEqual([
    [["horse", "name"], "Merle"],
    [["stages"], [{ name: "raised" }, { name: "level" }]],
  ]);
  expect(formChanges(start, { ...start, horse: { ...start.horse, notes: null } })).toEqual([]);
});

test("laid over what stands there now it brings back what was typed, and leaves the rest as it is by now", () => {
  const now = { ...start, horse: { name: "Merle", notes: "kind" } };
  const changes = readFormChanges(formChangesText(formChanges(start, now)));
  const later = { ...start, yardId: "z" };
  expect(withFormChanges(later, changes)).toEqual({ ...later, horse: { name: "Merle", notes: "kind" } });
});

test.each([undefined, "", "{", "{}", '[["horse"]]', "[[[1],2]]", "null"])(
  "%j is no draft of a form",
  (text) => expect(readFormChanges(text)).toEqual([]),
);
