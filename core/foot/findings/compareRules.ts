import { changeSince } from "../../repeatability/change";
import { axisChangeNoise } from "../axis";
import { landingOf, onlyThisOne } from "../../gait/watching";
import { isFore } from "../limb";
import { wearAgreement, wornSide } from "../wear";
import type { FootState } from "./facts";
import type { Rule } from "./rule";

/** Pair mismatch begins here, or at the noise of a difference where that is larger. Source: handbook, findings. */
const PAIR = { angleDeg: 3, widthMm: 5, heelMm: 5 };
/** Half widths that differ by more than this are a flare to one side, mm. Assumption. */
const FLARE_MM = 6;

const heelMean = ({ measures }: FootState) =>
  measures.heelHeightLateral === undefined || measures.heelHeightMedial === undefined
    ? undefined
    : (measures.heelHeightLateral + measures.heelHeightMedial) / 2;

const flareOf = ({ survey }: FootState): number | undefined =>
  survey.halfWidth.lateral === undefined || survey.halfWidth.medial === undefined
    ? undefined
    : survey.halfWidth.lateral - survey.halfWidth.medial;

/** Rules that hold a foot against its pair, its past, its wear and the way it was seen to move. */
export const COMPARE_RULES: readonly Rule[] = [
  {
    id: "crack-overdue",
    subject: "wall",
    when: "A crack in the wall and the interval already past",
    next: "Shorten the interval: the last week is the one to protect. Take the lever off the crack today.",
    see: ({ look, daysOver }) => {
      const cracks = Object.values(look?.finds ?? {}).filter(({ kind }) => kind === "crack");
      if (cracks.length === 0 || daysOver === undefined || daysOver <= 0) return undefined;
      return {
        level: "act",
        text: `A crack, and the foot is ${daysOver} ${daysOver === 1 ? "day" : "days"} past its date.`,
        evidence: "An overdue foot is a long foot: more lever on the wall at every step.",
      };
    },
  },
  {
    id: "pair-mismatch",
    subject: "pair",
    when: "The pair differs by more than 3°, 5 mm of width or 5 mm of heel, beyond the noise of a difference",
    next: "Ask whether it was always so. Never lower the better foot to match the worse.",
    see: (facts) => {
      const { pair, noise, wording } = facts;
      if (!pair) return undefined;
      const parts: string[] = [];
      const compare = (
        mine: number | undefined,
        other: number | undefined,
        bound: number,
        say: (size: string, more: boolean) => string,
        show: (n: number) => string,
      ) => {
        if (mine === undefined || other === undefined) return;
        const difference = mine - other;
        if (Math.abs(difference) > bound) parts.push(say(show(Math.abs(difference)), difference > 0));
      };
      compare(
        facts.measures.dorsalAngle,
        pair.measures.dorsalAngle,
        Math.max(PAIR.angleDeg, Math.SQRT2 * noise.angleDeg),
        (size, more) => `${size} ${more ? "steeper" : "shallower"}`,
        wording.angle,
      );
      compare(
        facts.measures.width ?? facts.survey.width,
        pair.measures.width ?? pair.survey.width,
        Math.max(PAIR.widthMm, Math.SQRT2 * noise.lengthMm),
        (size, more) => `${size} ${more ? "wider" : "narrower"}`,
        wording.length,
      );
      compare(
        heelMean(facts),
        heelMean(pair),
        Math.max(PAIR.heelMm, Math.SQRT2 * noise.lengthMm),
        (size, more) => `heels ${size} ${more ? "taller" : "lower"}`,
        wording.length,
      );
      if (parts.length === 0) return undefined;
      return {
        level: "drifting",
        text: `Unlike the ${wording.limb(pair.limb)}: ${parts.join(", ")}.`,
        evidence: `Marked beyond ${PAIR.angleDeg}°, ${PAIR.widthMm} mm of width, ${PAIR.heelMm} mm of heel, or the noise of a difference where that is larger.`,
      };
    },
  },
  {
    id: "one-sided",
    subject: "pair",
    when: "A flare, a worn side, a turned toe or a swinging flight that only one of the pair has",
    next: "A pattern on one of a pair only is a question: something is uneven higher up, or hurts. Tell the vet if it is new.",
    see: (facts) => {
      const { pair } = facts;
      if (!pair) return undefined;
      const parts: string[] = [];
      const [mine, other] = [flareOf(facts), flareOf(pair)];
      if (
        mine !== undefined &&
        other !== undefined &&
        Math.abs(mine) > FLARE_MM &&
        Math.abs(other) <= FLARE_MM / 2
      )
        parts.push(`flared to ${mine > 0 ? "lateral" : "medial"}`);
      const [worn, pairWorn] = [
        facts.look && wornSide(facts.look.wear),
        pair.look && wornSide(pair.look.wear),
      ];
      if (worn && pair.look && Object.keys(pair.look.wear).length > 0 && worn !== pairWorn)
        parts.push(`worn on the ${worn} side`);
      parts.push(...onlyThisOne(facts.watching, pair.watching));
      if (parts.length === 0) return undefined;
      return {
        level: "act",
        text: facts.wording.inOwnWords(
          `Only this ${isFore(facts.limb) ? "fore" : "hind"} foot of the pair: ${parts.join(", ")}.`,
        ),
        evidence: facts.wording.inOwnWords(
          `Half widths differ by more than ${FLARE_MM} mm on this foot and by less than half of that on its pair; worn side from the painted shoe; the rest as it was watched.`,
        ),
      };
    },
  },
  {
    id: "landing-wear",
    subject: "movement",
    when: "Landing, wear of the shoe and breakover do not tell one story",
    next: "Watch it again on hard level ground, away and towards you, before the balance is changed.",
    see: (facts) => {
      const found = wearAgreement(facts.look?.wear ?? {}, facts.watching);
      if (!found || found.agrees) return undefined;
      return {
        level: "drifting",
        text: facts.wording.inOwnWords(`Landing and wear disagree: ${found.disagreements.join("; ")}.`),
        evidence: "The shoe is thinnest where the foot lands and where it leaves the ground.",
      };
    },
  },
  {
    id: "lands-one-side",
    subject: "movement",
    lens: "even-sole",
    when: "The foot lands on one side first, and the wear agrees or was not painted",
    next: "Check that side against the live sole: it is the taller one as a rule.",
    insteadOf: [],
    see: (facts) => {
      const lands = facts.watching?.lands;
      const landing = lands && landingOf(lands);
      if (!landing?.side) return undefined;
      const agreement = wearAgreement(facts.look?.wear ?? {}, facts.watching);
      if (agreement && !agreement.agrees) return undefined;
      return {
        level: "drifting",
        text: facts.wording.inOwnWords(
          `Lands ${landing.word} first${agreement ? ", and the wear agrees" : ""}.`,
        ),
        evidence: "As it was watched and, where it was painted, as the old shoe is worn.",
      };
    },
  },
  {
    id: "wet-foot",
    subject: "measuring",
    when: "The feet have stood wet",
    next: "Read lengths and widths as upper limits, and measure again when dry.",
    see: ({ horn }) =>
      horn !== "wet"
        ? undefined
        : {
            level: "steady",
            text: "The feet have stood wet: a swollen foot reads larger than it is.",
            evidence: "Noted on arrival.",
          },
  },
  {
    id: "change",
    subject: "change",
    when: "The foot was measured before: what moved beyond the noise",
    next: "Only what is named has changed; the rest is the measuring.",
    see: (facts) => {
      const { last, noise, wording } = facts;
      if (!last) return undefined;
      const parts: string[] = [];
      let compared = false;
      const note = (
        now: number | undefined,
        before: number | undefined,
        noiseOf: number,
        name: string,
        show: (n: number) => string,
      ) => {
        if (now === undefined || before === undefined) return;
        compared = true;
        const change = changeSince(now, before, noiseOf);
        if (change.real)
          parts.push(`${name} ${change.difference > 0 ? "up" : "down"} ${show(Math.abs(change.difference))}`);
      };
      const axis = ({ measures }: FootState) =>
        measures.dorsalAngle === undefined || measures.pasternAngle === undefined
          ? undefined
          : measures.dorsalAngle - measures.pasternAngle;
      note(facts.measures.toeLength, last.measures.toeLength, noise.lengthMm, "toe", wording.length);
      note(
        facts.measures.dorsalAngle,
        last.measures.dorsalAngle,
        noise.angleDeg,
        "dorsal angle",
        wording.angle,
      );
      note(axis(facts), axis(last), axisChangeNoise(noise.angleDeg), "axis", wording.angle);
      note(facts.survey.front, last.survey.front, Math.SQRT2 * noise.lengthMm, "front half", wording.length);
      note(facts.survey.support, last.survey.support, Math.SQRT2 * noise.lengthMm, "support", wording.length);
      if (!compared) return undefined;
      const [was, is] = [axis(last), axis(facts)];
      const nearer =
        was !== undefined && is !== undefined && changeSince(is, was, axisChangeNoise(noise.angleDeg)).real
          ? Math.abs(is) < Math.abs(was)
            ? " The axis is better."
            : " The axis is worse."
          : "";
      return {
        level: "steady",
        text: parts.length
          ? `Since ${facts.lastName}: ${parts.join(", ")}.${nearer}`
          : `No change since ${facts.lastName} beyond the noise of measuring.`,
        evidence: `Noise: ${wording.angle(noise.angleDeg)} and ${wording.length(noise.lengthMm)} (${noise.source}).`,
      };
    },
  },
];
