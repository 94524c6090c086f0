import { sentenceCase } from "../../foot/wording";
import type { Specification } from "../specification";

/** A web this much broader or narrower than an ordinary one is named, mm. */
const NAMED_MM = 2;

/** What a shoe is called in a list: its base and what sets it apart, as "Straight bar, broad web, rolled toe". */
export function proposalName(spec: Specification, ordinary: Specification): string {
  if (spec.type === "bare") return "Bare";
  const base =
    spec.pad === "frog support" && spec.type === "plain"
      ? "frog-support pad"
      : spec.type !== "plain"
        ? spec.type
        : spec.profile === "concave"
          ? `${spec.crease} concave`
          : `${spec.crease} shoe`;
  const wider = spec.width - ordinary.width;
  const parts = [
    base,
    spec.type === "sliding plate"
      ? ""
      : wider >= NAMED_MM
        ? "broad web"
        : wider <= -NAMED_MM
          ? "narrow web"
          : "",
    spec.material === "aluminium" ? "light metal" : "",
    spec.toe === "round" ? "" : `toe ${spec.toe}`,
    spec.toeEdge === "plain" ? "" : `${spec.toeEdge} toe`,
    spec.traction === "heel blocks" ? "heel blocks" : spec.traction === "stud holes" ? "stud holes" : "",
    spec.pad === "none" || spec.pad === "frog support" ? "" : `${spec.pad} pad`,
    spec.raise ? "raised as a stage" : "",
  ];
  return sentenceCase(parts.filter((part) => part !== "").join(", "));
}
