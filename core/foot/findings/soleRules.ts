import { THIN_SOLE_FILM_MM } from "../survey/filmed";
import { levelBeyond, levelOf } from "../level";
import { boundsOf } from "../survey/ratios";
import { corDisagrees } from "../survey/survey";
import { ringDivergence, WALL_PLACE_NAMES, widestWhiteLine } from "../survey/walls";
import { lengthSd } from "./facts";
import type { Rule } from "./rule";

/** Collateral sulcus shallower than this: probably a thin sole. Source: trade practice. */
const THIN_SULCUS_MM = 10;
/** Sd of the width of a white line, mm: it is laid against a rule, finer than a length. Assumption, because it is read on one edge of the rule. */
const WHITE_LINE_SD_MM = 0.6;
/** A ring that comes back less than this apart, mm, could be the hand. sqrt 2 x 3 mm. */
const RING_NOISE_MM = 4.2;

/** Rules about sole, frog, white line, outline and rings. */
export const SOLE_RULES: readonly Rule[] = [
  {
    id: "thin-sole",
    subject: "sole",
    when: "Collateral sulcus beside the point of the frog shallower than 10 mm",
    next: "Trim and pare as little as possible, no hot fit. A radiograph settles it.",
    see: ({ sulcusDepthMm, filmed, wording }) => {
      // A radiograph settles it, either way.
      if (filmed?.soleMm !== undefined)
        return filmed.soleMm >= THIN_SOLE_FILM_MM
          ? undefined
          : {
              level: "act",
              text: `A thin sole: ${wording.cut(Math.floor(2 * filmed.soleMm) / 2)} under the tip of the bone.`,
              evidence: `On the radiograph of ${filmed.date}; under ${wording.length(THIN_SOLE_FILM_MM)} is thin.`,
            };
      return sulcusDepthMm === undefined || sulcusDepthMm >= THIN_SULCUS_MM
        ? undefined
        : {
            level: "act",
            // Down to the half: 9.6 must not read as 10.
            text: `Probably a thin sole: the sulcus beside the frog is ${wording.cut(Math.floor(2 * sulcusDepthMm) / 2)} deep.`,
            evidence: `An estimate from outside: under ${wording.length(THIN_SULCUS_MM)} below a straightedge.`,
          };
    },
  },
  {
    id: "frog-shrinking",
    subject: "frog",
    when: "Frog narrower than its sulcus is long, or its sulcus closed or deep",
    next: "Open it to air and to the ground; treat a sore cleft before the heels are moved.",
    see: (facts) => {
      const ratio = facts.ratios.find(({ name }) => name === "frogShortfall");
      const sore = facts.sulcusState === "deep" || facts.sulcusState === "closed";
      if ((!ratio || ratio.level === "steady") && !sore) return undefined;
      const narrow = ratio && ratio.level !== "steady";
      return {
        level: narrow && ratio.level === "act" ? "act" : "drifting",
        text: [
          narrow ? `The frog is shrinking: ${(1 - ratio.value).toFixed(2)} of its sulcus wide` : "The frog",
          sore ? `${narrow ? ", " : " has "}its central sulcus ${facts.sulcusState ?? ""}` : "",
          ".",
        ].join(""),
        evidence: ratio
          ? `Frog width over sulcus length; about 1 or more is healthy. Bounds of the shortfall ${ratio.bounds.join(" and ")}.`
          : "As it was seen.",
      };
    },
  },
  {
    id: "frog-stretched",
    subject: "frog",
    lens: "even-halves",
    when: "The point of the frog lies beyond the true apex, twice the sulcus",
    next: "Measure from the true apex, not from the frog's point.",
    see: (facts) => {
      const ratio = facts.ratios.find(({ name }) => name === "frogStretch");
      if (!ratio || ratio.level === "steady") return undefined;
      return {
        level: ratio.level,
        text: `The frog is stretched ${facts.wording.length(ratio.value * (facts.survey.trueApex ?? 0))} beyond its true apex.`,
        evidence: `Stretch ${ratio.value.toFixed(2)}; bounds ${ratio.bounds.join(" and ")}.`,
      };
    },
  },
  {
    id: "white-line",
    subject: "wall",
    when: "The white line is wider than a sound one",
    next: "A stretched white line follows a wall under leverage: bring that wall back, keep it dry and clean.",
    see: (facts) => {
      const widest = widestWhiteLine(facts.walls);
      const bounds = boundsOf("whiteLineMm", facts.bounds);
      if (!widest) return undefined;
      const level = levelBeyond(widest.mm, WHITE_LINE_SD_MM, bounds);
      if (level === "steady") return undefined;
      const vet = level === "act";
      return {
        level: vet ? "ask the vet" : level,
        ...(vet && {
          next: "No dressing at that wall yet: a line this wide wants a radiograph first. Keep it dry and clean.",
        }),
        text: facts.wording.inOwnWords(
          `White line widened: ${facts.wording.length(widest.mm)} at the ${WALL_PLACE_NAMES[widest.place].toLowerCase()}.`,
        ),
        evidence: `Bounds ${bounds.join(" and ")} mm, beyond what the eye can tell on a line; past the second the vet is asked before the wall is dressed.`,
      };
    },
  },
  {
    id: "wall-uneven",
    subject: "wall",
    when: "The wall is much thicker in one place than in another",
    next: "Dress the thick wall from outside, lower half at most; never chase a broken quarter by thinning the rest.",
    see: (facts) => {
      const ratio = facts.ratios.find(({ name }) => name === "evenness");
      if (!ratio || ratio.level === "steady") return undefined;
      const horn = Object.entries(facts.outline?.hornOutside ?? {}).reduce(
        (a, b) => (b[1] > a[1] ? b : a),
        ["", 0],
      );
      // A toe that has run is thick at the toe: that is said once.
      const toe = facts.ratios.find(({ name }) => name === "toeExcess")?.level ?? "steady";
      if (horn[0] === "toe" && toe !== "steady") return undefined;
      const where =
        horn[1] > 0
          ? facts.wording.inOwnWords(WALL_PLACE_NAMES[horn[0] as keyof typeof WALL_PLACE_NAMES].toLowerCase())
          : "";
      return {
        level: ratio.level,
        text: where
          ? `Wall uneven: ${facts.wording.length(horn[1])} of horn stands outside the foot's own shape at the ${where}.`
          : "The wall is uneven round the foot.",
        evidence: `(Thickest - thinnest) / mean ${ratio.value.toFixed(2)} at toe, toe quarters and quarters; bounds ${ratio.bounds.join(" and ")}.`,
      };
    },
  },
  {
    id: "not-concentric",
    subject: "halves",
    when: "Outline, undistorted outline and bone do not share a middle",
    next: "The foot is drifting that way: take horn from the side it has gone to, from outside.",
    see: (facts) => {
      const drift = facts.outline?.drift;
      const bounds = boundsOf("outlineDriftMm", facts.bounds);
      if (!drift) return undefined;
      const size = Math.hypot(drift.lateral, drift.toe);
      const level = levelBeyond(size, lengthSd(facts), bounds);
      if (level === "steady") return undefined;
      const towards =
        Math.abs(drift.toe) > Math.abs(drift.lateral)
          ? drift.toe > 0
            ? "the toe"
            : "the heels"
          : facts.wording.side(drift.lateral > 0 ? "lateral" : "medial");
      return {
        level,
        text: `The outline has drifted ${facts.wording.length(size)} towards ${towards} of the foot's own shape.`,
        evidence: `Middle of the present outline against the live sole moved out by an even wall of ${facts.wording.length(facts.outline?.evenWallMm ?? 0)}. Bounds ${bounds.join(" and ")} mm.`,
      };
    },
  },
  {
    id: "cor-disagrees",
    subject: "halves",
    lens: "even-halves",
    when: "The ways to the centre of rotation lie more than 6 mm apart on a foot of size 1, beyond the noise of the marks",
    next: "Prepare frog, bars and widest part again and place the marks once more; do not cut by the halves yet.",
    see: (facts) => {
      const { cor } = facts.survey;
      if (!cor || !corDisagrees(facts.survey, lengthSd(facts))) return undefined;
      const { length } = facts.wording;
      const ways = (["widest", "apex", "bars", "diagonals"] as const).flatMap((way) => {
        const at = cor[way];
        return at === undefined ? [] : [`${way} ${length(at)}`];
      });
      return {
        level: "drifting",
        text: `The ways to the centre of rotation disagree by ${length(cor.spread)}.`,
        evidence: `From the back of the sulcus: ${ways.join(", ")}; the median is used.`,
      };
    },
  },
  {
    id: "halves",
    subject: "halves",
    lens: "even-halves",
    when: "Front and support are known from the survey",
    next: "Even halves aim at 50 : 50; up to 60 : 40 is tolerated by others.",
    see: (facts) => {
      const { front, support, frontShare } = facts.survey;
      if (
        front === undefined ||
        support === undefined ||
        frontShare === undefined ||
        corDisagrees(facts.survey, lengthSd(facts))
      )
        return undefined;
      const share = Math.round(frontShare * 100);
      return {
        level: "steady",
        text: `${share} : ${100 - share}, ${facts.wording.length(front)} ahead of the centre of rotation and ${facts.wording.length(support)} behind it.`,
        evidence: "Toe and heels against the median of the ways to the centre of rotation.",
      };
    },
  },
  {
    id: "rings-diverge",
    subject: "hairline",
    when: "Growth rings lie further apart at the heel than at the toe, or the other way round",
    next: "Wider at the heel than at the toe: ask about laminitis and tell the vet. Wider at the toe: the heel is held back.",
    see: (facts) => {
      const bounds = boundsOf("ringDivergence", facts.bounds);
      const worst = facts.rings
        .map((ring) => ({ ring, by: ringDivergence(ring) }))
        .filter(
          ({ ring, by }) => by !== undefined && Math.abs((ring.heelMm ?? 0) - ring.toeMm) > RING_NOISE_MM,
        )
        .reduce<{ by?: number | undefined; day?: string | undefined }>(
          (a, { by, ring }) => (Math.abs(by ?? 0) > Math.abs(a.by ?? 0) ? { by, day: ring.day } : a),
          {},
        );
      if (worst.by === undefined || levelOf(worst.by, bounds) === "steady") return undefined;
      const heel = worst.by > 0;
      return {
        level: heel ? "ask the vet" : levelOf(worst.by, bounds),
        text: `Rings diverge: ${Math.round(Math.abs(worst.by) * 100)} % wider at the ${heel ? "heel" : "toe"}${worst.day ? `, grown since about ${worst.day}` : ""}.`,
        evidence: `Distance below the hairline at heel against toe; bounds ${bounds.map((one) => `${one * 100} %`).join(" and ")}. The day is the distance over this foot's growth.`,
      };
    },
  },
];
