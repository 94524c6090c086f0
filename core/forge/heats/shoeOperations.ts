import { ALUMINIUM_WORKS, COOLS_C } from "../../constants/colours";
import { SIDES, type Side } from "../../foot/limb";
import type { Specification } from "../../shoe/specification";
import type { HeatPlace, Operation } from "./operation";

/** What a shoe is forged from: a straight bar, or a shoe that was bought and is altered. */
export type ForgedFrom = "bar" | "ready-made";

/** Thickness at which the constants of cooling hold, mm; a thinner section cools faster, within these bounds. */
const ORDINARY_THICKNESS_MM = 10;
const FASTER_AT_MOST = 1.3;
const SLOWER_AT_MOST = 0.7;

/** Heats of the trade's operations, degrees C. Source: trade practice; see the colours. */
const FORGING = { fromC: 1000, toC: 1200 };
const SHAPING = { fromC: 850, toC: 1100 };
const DRESSING = { fromC: 700, toC: 950 };
const STAMPING = { fromC: 850, toC: 1050 };
const PIERCING = { fromC: 400, toC: 700 };
const CLIPPING = { fromC: 950, toC: 1150 };
const WELDING = { fromC: 1250, toC: 1350 };
const WELD_COOLS_C = 60;

const FUMES = "Never in the fire: anything galvanised or plated. Keep the draught going.";
const SPARKS = "Glasses on, nobody in line: flux and scale fly at the first blow.";
const LIGHT = "No colour shows before it collapses: test with a pine stick or a marker, in shade.";

/**
 * Everything that is to be done for this shoe, in a usual order, each with what has to come before it, the heat it needs
 * and what it loses. Which of it shares a heat is not said here: see {@link planHeats}.
 *
 * Source: trade practice; heats are approximate.
 */
export function shoeOperations(spec: Specification, from: ForgedFrom = "bar"): Operation[] {
  const light = spec.material === "aluminium";
  const quick = Math.max(
    SLOWER_AT_MOST,
    Math.min(FASTER_AT_MOST, ORDINARY_THICKNESS_MM / Math.max(1, spec.thickness)),
  );
  const cools = (kind: "heavy" | "light") => Math.round(COOLS_C.value[kind] * quick);
  const alloy = { fromC: ALUMINIUM_WORKS.value.fromC, toC: ALUMINIUM_WORKS.value.toC };
  const ops: Operation[] = [];
  const hot = (
    id: string,
    words: string,
    place: HeatPlace,
    heat: { fromC: number; toC: number },
    needs: readonly string[],
    more: { cools?: number; check?: string; caution?: string } = {},
  ) => {
    ops.push({
      id,
      words,
      // Light metal carries its heat all through: it is warmed whole.
      place: light ? "whole" : place,
      heat: light ? alloy : heat,
      cools: light ? 30 : (more.cools ?? cools("heavy")),
      needs,
      ...(more.check && { check: more.check }),
      ...((more.caution ?? (light ? LIGHT : "")) && { caution: more.caution ?? LIGHT }),
    });
  };
  const cold = (id: string, words: string, needs: readonly string[], check?: string, caution?: string) =>
    ops.push({
      id,
      words,
      place: "whole",
      cools: 0,
      needs,
      ...(check && { check }),
      ...(caution && { caution }),
    });
  const both = (name: string): string[] => SIDES.map((side) => `${name}-${side}`);
  const pair = (make: (side: Side) => void) => SIDES.forEach(make);

  if (from === "ready-made") {
    hot("fit-shape", "Open or close it to the pattern, toe first, then each quarter", "whole", DRESSING, [], {
      cools: cools("light"),
      check: "on the pattern, both branches level",
      caution: light ? LIGHT : FUMES,
    });
    finishes(["fit-shape"]);
    return ops;
  }

  cold(
    "mark",
    "Cut to length; punch centre, toe bend, quarters and nails on the straight bar",
    [],
    "both lengths from the centre mark",
  );
  const creased = spec.crease === "creased" && !light;
  const bar = spec.type === "straight bar" || spec.type === "egg bar" || spec.type === "heart bar";
  hot("upset", "Upset the toe on the centre mark", "toe", FORGING, ["mark"], {
    check: "swallowed the bump, still straight and square",
    ...(!light && { caution: FUMES }),
  });
  pair((side) => {
    if (spec.extraSide === side)
      hot(
        `widen-${side}`,
        `Draw the web of the ${side} branch wider, from its quarter mark back`,
        side,
        FORGING,
        ["mark"],
        {
          check: "no thinner than the rest",
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
      hot(`heel-${side}`, `Shape the ${side} heel while its branch is straight`, side, SHAPING, ["mark"], {
        cools: cools("light"),
        check: spec.heels === "safe inner edge" ? "inner edge rounded" : "ends square",
      });
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
  const closed = bar && !light ? weld() : [];
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
  finishes(both("pierce"));
  return ops;

  /** The heels closed by a weld, and the plate of a heart bar; ends with what everything after it waits for. */
  function weld(): string[] {
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
    hot(
      "plate",
      "Forge the plate, a little smaller than the frog, and scarf it",
      "heels",
      FORGING,
      ["mark"],
      {
        check: "inside the frog’s edges, ends behind its true apex",
      },
    );
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

  /** What is done to every shoe once it has its shape and its nails. */
  function finishes(shaped: readonly string[]): void {
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
    cold(
      "edges",
      "File the edges and the heels",
      ["finish"],
      "nothing sharp",
      "Hot until proved cold: tongs.",
    );
  }
}
