import { SIDES, type Side } from "../../foot/limb";
import type { Specification } from "../../shoe/specification";
import { both, CLIPPING, DRESSING, SHAPING, type ForgedFrom, type OperationList } from "./operationList";

/** What is done to every shoe once it has its shape and its nails. */
export function finishOperations(
  { hot, cold, cools, light }: OperationList,
  spec: Specification,
  from: ForgedFrom,
  shaped: readonly string[],
): void {
  const turned = from === "bar" ? [...shaped, ...both("turn")] : [...shaped];
  const last: string[] = [...turned];
  const then = (id: string) => last.push(id);
  if (spec.toe === "square") {
    hot("square", "Square the toe across its breakover line", "toe", SHAPING, turned, {
      check: "on the line of the pattern, nails untouched",
    });
    then("square");
  }
  if (spec.toe === "rolled") {
    hot("roll", "Roll the toe up from its breakover line", "toe", SHAPING, turned, {
      check: "even along the line, nails untouched",
    });
    then("roll");
  }
  if (spec.relief) {
    hot("relief", "Ease the inner edge and set the sole relief", "whole", DRESSING, turned, {
      cools: cools("light"),
      check: "clear of the sole all round",
    });
    then("relief");
  }
  if (spec.clips !== "none" && !light) {
    const places: readonly ("toe" | Side)[] = spec.clips === "toe" ? ["toe"] : SIDES;
    for (const place of places) {
      const id = `clip-${place}`;
      hot(
        id,
        `Draw the ${place} clip from its base, the shoe above the anvil’s edge`,
        place,
        CLIPPING,
        [...last],
        {
          check: "the shoe a hair narrow: a clip opens it",
        },
      );
      hot(`set-${id}`, `Set the ${place} clip upright in several light blows`, place, SHAPING, [id], {
        cools: cools("light"),
        check: "low and broad, along the wall",
      });
    }
    for (const place of places) then(`set-clip-${place}`);
  }
  hot("finish", "Level it all over and try it on the pattern", "whole", DRESSING, [...last], {
    cools: cools("light"),
    check: "flat, on the pattern, both branches as long as wanted",
  });
  if (spec.toe === "eased")
    cold("ease", "Ease the toe along its breakover line, filed or ground", ["finish"]);
  if (spec.traction === "road pins" || spec.traction === "stud holes")
    cold(
      "drill",
      spec.traction === "road pins"
        ? "Drill and set the pins at their marks"
        : "Drill and tap the stud holes at their marks",
      ["finish"],
      "parallel to the breakover line",
      "Shoe in the vice, never in the hand.",
    );
  cold("edges", "File the edges and the heels", ["finish"], "nothing sharp", "Hot until proved cold: tongs.");
}
