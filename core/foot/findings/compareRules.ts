import { changeSince } from "../../repeatability/change";
import { axisChangeNoise } from "../axis";
import { angleSd, lengthSd, type FootFacts, type FootState } from "./facts";
import type { Rule } from "./rule";

/** Pair mismatch begins here, or at the noise of a difference where that is larger. Trade practice. */
const PAIR = { angleDeg: 3, widthMm: 5, heelMm: 5 };
/** A difference of two readings over the sd of one that 95 of 100 stay under, one-sided. */
const DIFFERENCE_95 = 1.64 * Math.SQRT2;
/** Steeper than its pair by this, with taller heels: a club foot. Source: Redden 2003, on flexural deformity of the coffin joint; trade practice. */
const CLUB_STEEPER_DEG = 8;
const heelMean = ({ measures }: Pick<FootState, "measures">) =>
  measures.heelHeightLateral === undefined || measures.heelHeightMedial === undefined
    ? undefined
    : (measures.heelHeightLateral + measures.heelHeightMedial) / 2;

/** Degrees steeper and mm of heel taller than the other of the pair, where that makes a club foot; else undefined. */
export function clubBy(
  facts: Pick<FootFacts, "measures" | "pair" | "noise">,
): { deg: number; heelMm: number } | undefined {
  const { pair, noise } = facts;
  const [mine, other] = [facts.measures.dorsalAngle, pair?.measures.dorsalAngle];
  const [heel, otherHeel] = [heelMean(facts), pair && heelMean(pair)];
  if (mine === undefined || other === undefined || heel === undefined || otherHeel === undefined)
    return undefined;
  const [deg, heelMm] = [mine - other, heel - otherHeel];
  return deg < CLUB_STEEPER_DEG || heelMm <= noise.lengthMm ? undefined : { deg, heelMm };
}

/** Rules that hold a foot against its pair and its past. */
export const COMPARE_RULES: readonly Rule[] = [
  {
    id: "club-foot",
    subject: "pair",
    when: "One foot 8° or more steeper than the other of the pair, with taller heels",
    next: "The vet first, with a radiograph. Little at a time; never bring the toe back to make the angle: the tendon holds it.",
    insteadOf: ["pair-mismatch", "broken-forward", "toe-run", "toe-long", "dish-vet"],
    see: (facts) => {
      const { pair, wording } = facts;
      const by = clubBy(facts);
      if (!pair || !by) return undefined;
      return {
        level: "ask the vet",
        text: `A club foot: ${wording.angle(by.deg)} steeper than the ${wording.limb(pair.limb)}, its heels ${wording.length(by.heelMm)} taller.`,
        evidence: `From ${CLUB_STEEPER_DEG}° steeper than its pair with taller heels. A shortened tendon unit makes such a foot; how far it may be lowered is the vet's to say.`,
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
        Math.max(Math.hypot(PAIR.angleDeg, DIFFERENCE_95 * angleSd(facts)), Math.SQRT2 * noise.angleDeg),
        (size, more) => `${size} ${more ? "steeper" : "shallower"}`,
        wording.angle,
      );
      compare(
        facts.measures.width ?? facts.survey.width,
        pair.measures.width ?? pair.survey.width,
        Math.max(Math.hypot(PAIR.widthMm, DIFFERENCE_95 * lengthSd(facts)), Math.SQRT2 * noise.lengthMm),
        (size, more) => `${size} ${more ? "wider" : "narrower"}`,
        wording.length,
      );
      compare(
        heelMean(facts),
        heelMean(pair),
        Math.max(Math.hypot(PAIR.heelMm, DIFFERENCE_95 * lengthSd(facts)), Math.SQRT2 * noise.lengthMm),
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
