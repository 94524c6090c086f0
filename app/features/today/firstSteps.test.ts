import { expect, test } from "@jest/globals";
import { firstSteps, type FirstDayState } from "./firstSteps";

const nothing: FirstDayState = { measured: false, backedUp: false };
const horse = { id: "h", name: "Wren" };
const next = (state: FirstDayState) => firstSteps(state).find(({ done }) => !done);

test("with nothing there, the first step is a horse; what cannot be done yet leads nowhere", () => {
  expect(next(nothing)).toMatchObject({ name: "Add a horse", to: "/horses/new" });
  expect(firstSteps(nothing).map(({ to }) => to)).toEqual([
    "/horses/new",
    undefined,
    undefined,
    undefined,
    "/files",
  ]);
});

test("each step uses the horse and the visit that are there, and names the horse", () => {
  expect(next({ ...nothing, horse })).toMatchObject({ name: "Start a visit", to: "/horses/h" });
  expect(next({ ...nothing, horse })?.why).toContain("Wren");
  const visit = { id: "v", status: "open" as const };
  // A visit that is only planned is not begun.
  expect(next({ ...nothing, horse, visit: { id: "v", status: "planned" } })?.name).toBe("Start a visit");
  expect(next({ ...nothing, horse, visit })).toMatchObject({
    name: "Measure one foot",
    to: "/visits/v/survey",
  });
  expect(next({ ...nothing, horse, visit, measured: true })?.to).toBe("/visits/v/trim");
  expect(next({ horse, visit: { id: "v", status: "signed" }, measured: true, backedUp: false })?.to).toBe(
    "/files",
  );
});

test("once all five are done there is no next", () => {
  expect(
    next({ horse, visit: { id: "v", status: "signed" }, measured: true, backedUp: true }),
  ).toBeUndefined();
});
