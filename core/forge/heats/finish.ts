import { WEAR_SECTORS, type WearSector } from "../../foot/wear";
import { clipSide } from "../../shoe/clips";
import type { ClipPlaceName, Edge, Specification } from "../../shoe/specification";
import { sectorInWords } from "../../shoe/specWords";
import { both, CLIPPING, DRESSING, SHAPING, type ForgedFrom, type OperationList } from "./operationList";

/** Edges that are made cold, once the shoe is level. */
const GROUND_EDGES = ["bevelled", "boxed", "eased", "safe inside"] as const satisfies readonly Edge[];
const EDGE_WORK: Record<(typeof GROUND_EDGES)[number], string> = {
  bevelled: "Bevel the outer edge",
  boxed: "Box the edge that overhangs, foot side inwards",
  eased: "Ease the outer ground edge",
  "safe inside": "Round the inner ground edge",
};
const placesInWords = (sectors: readonly WearSector[]): string => sectors.map(sectorInWords).join(" and ");

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
  if (spec.toe !== "round") {
    hot("square", `Make the toe ${spec.toe}, across its breakover line`, "toe", SHAPING, turned, {
      check: "on the line of the pattern, nails untouched",
    });
    then("square");
  }
  if (spec.toeEdge === "rolled" || spec.toeEdge === "rockered") {
    const rocker = spec.toeEdge === "rockered";
    hot(
      "roll",
      rocker
        ? "Rocker the toe: bend it up from its breakover line, foot side too"
        : "Roll the toe up from its breakover line",
      "toe",
      SHAPING,
      [...last],
      { check: rocker ? "the foot is rasped to the same bend" : "even along the line, nails untouched" },
    );
    then("roll");
  }
  const rolledEdges = WEAR_SECTORS.filter((sector) => spec.edges[sector] === "rolled");
  if (rolledEdges.length > 0) {
    hot("roll-edges", `Roll the ground edge at ${placesInWords(rolledEdges)}`, "whole", SHAPING, [...last], {
      check: "foot side flat",
    });
    then("roll-edges");
  }
  if (spec.unloaded.length > 0) {
    hot("unload", `Set the foot side down at ${placesInWords(spec.unloaded)}`, "whole", DRESSING, [...last], {
      cools: cools("light"),
      check: "a card slides between wall and shoe there",
    });
    then("unload");
  }
  if (spec.relief) {
    hot("relief", "Ease the inner edge and set the sole relief", "whole", DRESSING, turned, {
      cools: cools("light"),
      check: "clear of the sole all round",
    });
    then("relief");
  }
  if (spec.clips.length > 0 && !light) {
    const idOf = (clip: ClipPlaceName) => `clip-${clip.replace(" ", "-")}`;
    for (const clip of spec.clips) {
      const place = clipSide(clip) ?? "toe";
      const words = clip.split(" ").reverse().join(" ");
      const id = idOf(clip);
      hot(
        id,
        `Draw the ${words} clip from its base, the shoe above the anvil’s edge`,
        place,
        CLIPPING,
        [...last],
        {
          check: "the shoe a hair narrow: a clip opens it",
        },
      );
      hot(`set-${id}`, `Set the ${words} clip upright in several light blows`, place, SHAPING, [id], {
        cools: cools("light"),
        check: "low and broad, along the wall",
      });
    }
    for (const clip of spec.clips) then(`set-${idOf(clip)}`);
  }
  hot("finish", "Level it all over and try it on the pattern", "whole", DRESSING, [...last], {
    cools: cools("light"),
    check: "flat, on the pattern, both branches as long as wanted",
  });
  if (spec.toeEdge === "eased")
    cold("ease", "Ease the toe along its breakover line, filed or ground", ["finish"]);
  for (const kind of GROUND_EDGES) {
    const places = WEAR_SECTORS.filter((sector) => spec.edges[sector] === kind);
    if (places.length > 0)
      cold(
        `edge-${kind.replace(" ", "-")}`,
        `${EDGE_WORK[kind]} at ${placesInWords(places)}, filed or ground`,
        ["finish"],
        "smooth to the thumb",
      );
  }
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
