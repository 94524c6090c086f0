import type { Specification } from "../../shoe/specification";
import {
  both,
  FORGING,
  pair,
  SHAPING,
  SPARKS,
  WELD_COOLS_C,
  WELDING,
  type OperationList,
} from "./operationList";

/** The heels closed by a weld, and the plate of a heart bar; ends with what everything after it waits for. */
export function weldOperations({ hot, cools }: OperationList, spec: Specification): string[] {
  pair((side) =>
    hot(
      `in-${side}`,
      `Bring the end of the ${side} branch in across the heels`,
      side,
      SHAPING,
      [`turn-${side}`],
      {
        check: "scarfs lie on each other without a gap",
      },
    ),
  );
  hot(
    "weld",
    "Weld the bar: clean, fluxed, light quick blows at the edges first",
    "heels",
    WELDING,
    both("in"),
    {
      cools: WELD_COOLS_C,
      check: "no line left at the edges",
      caution: SPARKS,
    },
  );
  if (spec.type !== "heart bar") {
    hot(
      "shape-bar",
      spec.type === "egg bar" ? "Round the bar over the horn" : "Dress the bar straight and level",
      "heels",
      SHAPING,
      ["weld"],
      {
        cools: cools("light"),
        check: "level with both branches",
      },
    );
    return ["shape-bar"];
  }
  hot("plate", "Forge the plate, a little smaller than the frog, and scarf it", "heels", FORGING, ["mark"], {
    check: "inside the frog’s edges, ends behind its true apex",
  });
  hot(
    "weld-plate",
    "Weld the plate to the bar: clean, fluxed, edges first",
    "heels",
    WELDING,
    ["weld", "plate"],
    {
      cools: WELD_COOLS_C,
      check: "no line left at the edges",
      caution: SPARKS,
    },
  );
  hot(
    "shape-bar",
    "Dress bar and plate: passive, never proud of the frog",
    "heels",
    SHAPING,
    ["weld-plate"],
    {
      cools: cools("light"),
      check: "a straight edge across both branches passes over the plate",
      caution: "A plate that presses on the frog hurts: the frog is met, never pushed.",
    },
  );
  return ["shape-bar"];
}
