import type { CheckContext, ShoeCheck } from "./check";
import type { Footing } from "./facts";
import type { Fit } from "./fit";
import { fitChecks } from "./fitChecks";
import { SIDES } from "../foot/limb";
import { clipWall } from "./clips";
import { padUnderNail } from "./nailTable";
import { EXAMPLE_NAILS } from "./nails";
import { SPEC_NAMES, type HeadPattern, type Specification, type SpecField } from "./specification";
import { fieldInWords } from "./specWords";
import { counted } from "../units/counted";

/** A nail further behind the widest part than this is behind it, mm: less is the hand. Assumption. */
const BEHIND_MM = 2;

const WET_OR_SOFT: readonly Footing[] = ["wet turf", "soft arena", "deep ground"];

/** Every check of a fit and its specification, with its number; what is not in order first asks for a line of why. */
export function shoeChecks(fit: Fit, context: CheckContext): ShoeCheck[] {
  const { spec } = fit.question;
  if (spec.type === "bare") return prescriptionChecks(spec, context);
  return [...fitChecks(fit, context), ...nailChecks(fit, context), ...specChecks(fit, context)];
}

function nailChecks({ nails, question }: Fit, { wording }: CheckContext): ShoeCheck[] {
  const { spec } = question;
  const find = (code: string) => nails.warnings.filter((one) => one.code === code);
  const past = find("past-web");
  const little = find("little-web");
  const behind = SIDES.map((side) => ({
    side,
    mm: question.foot.knots.wide[side][1] - Math.min(...nails[side].map(({ y }) => y)),
  })).reduce((a, b) => (b.mm > a.mm ? b : a));
  const noWall = find("no-wall");
  const moved = find("moved");
  const rest = [...noWall, ...find("close"), ...find("few"), ...find("no-room")];
  const said = (list: typeof past) => list.map(({ message }) => wording.inOwnWords(message)).join(" ");
  const holes = [...nails.medial, ...nails.lateral];
  const coarse = holes.length > 0 ? Math.max(...holes.map(({ inset }) => inset)) : 0;
  return [
    {
      id: "holes",
      about: "nails",
      ok: past.length === 0 && little.length === 0,
      impossible: past.length > 0,
      name: "Holes in the web",
      text:
        past.length > 0
          ? said(past)
          : little.length > 0
            ? said(little.slice(0, 1))
            : `Holes up to ${wording.cut(coarse)} in, ${wording.cut(spec.width - coarse)} of web inside them.`,
      mend: "A web about twice the horn, or punched finer where the wall is thinner.",
    },
    {
      id: "behind",
      about: "nails",
      ok: !(behind.mm > BEHIND_MM),
      impossible: false,
      name: "None behind the widest part",
      text: wording.inOwnWords(
        behind.mm > BEHIND_MM
          ? `The last nail of the ${behind.side} side stands ${wording.cut(behind.mm)} behind the widest part: it holds the heel that ought to open.`
          : "The last nails stand at the widest part.",
      ),
      mend: "Leave it out, or bring the shoe forward.",
    },
    {
      id: "stations",
      about: "nails",
      ok: rest.length === 0,
      impossible: noWall.length > 0,
      name: "Nail places",
      text:
        rest.length > 0
          ? said(rest)
          : `${counted(holes.length, "nail")}, ${moved.length === 0 ? "evenly along the edge" : "where the wall is sound"}.${moved.length > 0 ? ` ${said(moved)}` : ""}`,
      mend:
        noWall.length > 0
          ? `Ask for ${SIDES.map((side) => `${nails[side].length} ${wording.side(side)}`).join(" and ")}, with a clip, a bar or glue for what they do not hold.`
          : "Fewer nails, clips or a bar to carry the hold.",
    },
  ];
}

function specChecks(fit: Fit, context: CheckContext): ShoeCheck[] {
  const { spec } = fit.question;
  const firm = !context.footing.some((one) => WET_OR_SOFT.includes(one));
  const list: ShoeCheck[] = [
    {
      id: "web",
      about: "specification",
      ok: fit.possible && spec.width <= 60,
      impossible: true,
      name: "Web and foot",
      text: fit.possible
        ? "The branches leave room between them."
        : `A web of ${context.wording.cut(spec.width)} closes the shoe over the frog: no such shoe can be made.`,
      mend: "A narrower web.",
    },
  ];
  if (spec.type === "egg bar")
    list.push({
      id: "egg-firm",
      about: "specification",
      ok: !firm,
      impossible: false,
      name: "Egg bar and ground",
      text: firm
        ? "On firm ground it changes the support and not the posture, and is a lever behind the foot at landing. A model, not a measurement."
        : "Soft ground: it stops the heel sinking, and the heel’s load on the hoof side rises. On firm ground it is a lever behind the foot. A model, not a measurement.",
      mend: "Straight bar, or frog support.",
    });
  if (spec.pad !== "none" || spec.raise || spec.sideWedge) list.push(...padChecks(fit, context));
  const torn = spec.clips.filter((clip) => context.unsoundWall?.includes(clipWall(clip)));
  if (spec.clips.length > 0)
    list.push({
      id: "clips",
      about: "specification",
      ok: torn.length === 0,
      impossible: torn.length > 0,
      name: "Clips on sound wall",
      text: context.wording.inOwnWords(
        torn.length === 0
          ? "Each clip has wall to lie against."
          : `No wall holds a clip here: ${torn.join(", ")}.`,
      ),
      mend: "A clip where the wall is sound, or a bar to carry the hold.",
    });
  if (spec.raise)
    list.push({
      id: "raise-exit",
      about: "specification",
      ok: spec.raise.exit.trim() !== "" && spec.raise.cycles >= 1,
      impossible: false,
      name: "The raise has an exit",
      text:
        spec.raise.exit.trim() === ""
          ? "A raise without an exit becomes the way the horse lives."
          : `Until: ${spec.raise.exit}`,
      mend: "Say for how many cycles and by which test it ends.",
    });
  return [...list, ...prescriptionChecks(spec, context)];
}

/** Of a nail's length so much goes through the wall and is wrung off, mm: the rest reaches through steel and pad. */
const IN_WALL_MM = 30;
const mostUnderWall = (pattern: HeadPattern): number =>
  Math.max(...EXAMPLE_NAILS.filter((nail) => nail.pattern === pattern).map(({ lengthMm }) => lengthMm)) -
  IN_WALL_MM;

/** Pads and wedges: a nail has to reach through them, and side wedges are asked first. */
function padChecks(fit: Fit, { wording }: CheckContext): ShoeCheck[] {
  const { spec } = fit.question;
  const under = spec.thickness + padUnderNail(fit);
  const most = mostUnderWall(spec.pattern);
  const wedgeAndPad = spec.raise !== undefined && spec.pad !== "none" && spec.pad !== "wedge";
  const checks: ShoeCheck[] = [
    {
      id: "pad-nails",
      about: "specification",
      ok: under <= most,
      impossible: under > most,
      name: "Nails reach through",
      text:
        under > most
          ? `${wording.cut(under)} of steel${wedgeAndPad ? ", pad and wedge" : " and pad"} lie under the wall: no nail with a ${spec.pattern} head reaches through.`
          : `${wording.cut(under)} of steel and pad under the wall.`,
      mend: "Less raise, a thinner pad, or the raise in the shoe itself.",
    },
  ];
  if (spec.packing === "setting compound" && spec.packed === "injected" && !spec.riveted)
    checks.push({
      id: "riveted",
      about: "specification",
      ok: false,
      impossible: false,
      name: "Pad riveted",
      text: "Compound is injected under a pad that is riveted: a loose one is pushed off its place.",
      mend: "Rivet the pad, or bed the compound before nailing.",
    });
  if (spec.sideWedge)
    checks.push({
      id: "side-wedge",
      about: "specification",
      ok: false,
      impossible: false,
      name: "Can the trim do it?",
      text: wording.inOwnWords(
        `A wedge of ${wording.angle(spec.sideWedge.degrees)} under the ${spec.sideWedge.side} side: what is lifted there is pressed there.`,
      ),
      mend: "Trim that side first; keep the wedge with a line of why it cannot.",
    });
  return checks;
}

/** Field by field against what the vet prescribed. */
function prescriptionChecks(spec: Specification, { prescription, wording }: CheckContext): ShoeCheck[] {
  if (!prescription) return [];
  const against = (["type", "toe", "toeEdge", "support", "pad"] as const satisfies SpecField[]).filter(
    (field) => prescription[field] !== undefined && prescription[field] !== spec[field],
  );
  const raise =
    prescription.raiseDeg !== undefined &&
    Math.abs((spec.raise?.degrees ?? 0) - prescription.raiseDeg) > 0.25;
  const texts = [
    ...against.map(
      (field) =>
        `${wording.inOwnWords(SPEC_NAMES[field])}: prescribed ${String(prescription[field])}, here ${fieldInWords(spec, field, wording)}`,
    ),
    ...(raise
      ? [
          `raise: prescribed ${wording.angle(prescription.raiseDeg ?? 0)}, here ${wording.angle(spec.raise?.degrees ?? 0)}`,
        ]
      : []),
  ];
  return [
    {
      id: "prescription",
      about: "specification",
      ok: texts.length === 0,
      impossible: false,
      name: "The vet’s prescription",
      text: texts.length === 0 ? "As prescribed." : `${texts.join("; ")}.`,
      mend: "Follow it, or ask the vet first and write down what was said.",
    },
  ];
}
