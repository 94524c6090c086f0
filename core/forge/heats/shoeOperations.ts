import { bySide, endOf, isBar, type BranchEnd, type Specification } from "../../shoe/specification";
import { finishOperations } from "./finish";
import type { Operation } from "./operation";
import type { Side } from "../../foot/limb";
import {
  both,
  DRESSING,
  FORGING,
  FUMES,
  LIGHT,
  operationList,
  pair,
  PIERCING,
  SHAPING,
  STAMPING,
  type ForgedFrom,
} from "./operationList";
import { weldOperations } from "./weld";

const END_CHECKS: Record<BranchEnd, string> = {
  plain: "ends square",
  tapered: "evenly narrower to its end, no thinner",
  tucked: "end towards the middle of the heel",
  open: "inner edge cut back, end clear of the frog",
};

/**
 * Everything that is to be done for this shoe, in a usual order, each with what has to come before it, the heat it needs
 * and what it loses. Which of it shares a heat is not said here: see {@link planHeats}.
 *
 * Source: trade practice; heats are approximate.
 */
export function shoeOperations(spec: Specification, from: ForgedFrom = "bar"): Operation[] {
  const list = operationList(spec);
  const { ops, light, hot, cold, cools } = list;
  if (from === "ready-made") {
    hot("fit-shape", "Open or close it to the pattern, toe first, then each quarter", "whole", DRESSING, [], {
      cools: cools("light"),
      check: "on the pattern, both branches level",
      caution: light ? LIGHT : FUMES,
    });
    finishOperations(list, spec, from, ["fit-shape"]);
    return ops;
  }

  cold(
    "mark",
    "Cut to length; punch centre, toe bend, quarters and nails on the straight bar",
    [],
    "both lengths from the centre mark",
  );
  const creased = spec.crease === "creased" && !light;
  const bar = isBar(spec);
  hot("upset", "Upset the toe on the centre mark", "toe", FORGING, ["mark"], {
    check: "swallowed the bump, still straight and square",
    ...(!light && { caution: FUMES }),
  });
  pair((side) => {
    const wider = bySide(spec, "wider", side);
    if (wider !== 0)
      hot(
        `widen-${side}`,
        `Draw the web of the ${side} branch ${Math.abs(wider)} mm ${wider > 0 ? "wider" : "narrower"}, from its ${spec.changeFrom === "widest" ? "quarter" : "toe"} mark back`,
        side,
        FORGING,
        ["mark"],
        {
          check: wider > 0 ? "no thinner than the rest" : "no thicker than the rest",
        },
      );
    if (spec.traction === "heel blocks" && !bar)
      hot(`block-${side}`, `Turn down the heel block of the ${side} branch`, side, FORGING, ["mark"], {
        check: "both blocks of one height",
      });
    if (bar && !light)
      hot(`scarf-${side}`, `Scarf the end of the ${side} branch`, side, FORGING, ["mark"], {
        check: "thin edge, no crack",
      });
    else
      hot(
        `heel-${side}`,
        `Shape the ${side} heel ${endOf(spec, side) === "plain" ? "" : `${endOf(spec, side)} `}while its branch is straight`,
        side,
        SHAPING,
        ["mark"],
        {
          cools: cools("light"),
          check: END_CHECKS[endOf(spec, side)],
        },
      );
  });
  const heelDone = (side: Side): string[] =>
    ops.filter(({ id }) => /^(heel|scarf|block|widen)-/.test(id) && id.endsWith(side)).map(({ id }) => id);
  if (creased)
    pair((side) => {
      hot(
        `crease-${side}`,
        `Crease the ${side} branch to about half the depth, from the toe mark back`,
        side,
        FORGING,
        ["upset", ...ops.filter(({ id }) => id === `widen-${side}`).map(({ id }) => id)],
      );
      hot(
        `level-${side}`,
        `Dress the edge of the ${side} branch level where the crease has spread it`,
        side,
        DRESSING,
        [`crease-${side}`],
        { cools: cools("light"), check: "flat on the anvil" },
      );
    });
  hot(
    "bend",
    "Bend the toe about the centre mark, up to both toe marks",
    "toe",
    SHAPING,
    ["upset", ...(creased ? both("level") : [])],
    { check: "toe on the pattern; both branch lengths as marked" },
  );
  if (spec.profile === "concave")
    hot(
      "true-web",
      "Open the inner edge of the toe where the bend has closed the concave",
      "toe",
      SHAPING,
      ["bend"],
      {
        cools: cools("light"),
      },
    );
  pair((side) =>
    hot(
      `turn-${side}`,
      `Turn the ${side} quarter over the horn`,
      side,
      SHAPING,
      ["bend", ...heelDone(side)],
      {
        check: "heel over its end on the pattern",
      },
    ),
  );
  if (creased) {
    pair((side) =>
      hot(
        `deepen-${side}`,
        `Crease the ${side} branch to seven eighths of the depth, up to the toe’s`,
        side,
        FORGING,
        ["bend", `crease-${side}`],
        { check: "one line with the crease of the toe" },
      ),
    );
    pair((side) =>
      hot(
        `true-${side}`,
        `Dress the ${side} branch level again, and the outline back to the pattern`,
        side,
        DRESSING,
        [`deepen-${side}`, `turn-${side}`],
        { cools: cools("light"), check: "flat, on the pattern" },
      ),
    );
  }
  const closed = bar && !light ? weldOperations(list, spec) : [];
  pair((side) => {
    hot(
      `stamp-${side}`,
      `Stamp the ${side} nails at their marks`,
      side,
      STAMPING,
      [...(creased ? both("deepen") : []), ...(creased ? [`true-${side}`] : [`turn-${side}`]), ...closed],
      { check: "coarse and fine as marked, leaning as the wall leans" },
    );
    hot(
      `pierce-${side}`,
      `Pierce the ${side} holes on the cooling steel`,
      side,
      PIERCING,
      [`stamp-${side}`],
      {
        cools: cools("light"),
        check: "a nail of the pattern goes to its head",
      },
    );
  });
  finishOperations(list, spec, from, both("pierce"));
  return ops;
}
