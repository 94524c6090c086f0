import { LEVEL_BOUNDS } from "../constants/bounds";
import { changeSince } from "../repeatability/change";
import type { Noise } from "../repeatability/repeatability";
import type { Wording } from "../units/wording";
import { axisChangeNoise, readAxis, type AxisReading } from "./axis";
import { levelOf, type Level } from "./level";
import type { FootValues } from "./measures";
import type { ToeYardstick } from "./toeYardstick";

/** A sentence about a foot: what it means, how far from true, and the numbers behind it. */
export interface Statement {
  subject: "axis" | "toe" | "heels" | "change";
  level: Level;
  text: string;
  /** How it was worked out, against which aim, from which school. */
  evidence: string;
}

export interface FootMeaning {
  axis?: AxisReading;
  /** Toe length minus the target, mm. */
  toeOverMm?: number;
  /** Lateral minus medial heel height, mm. */
  heelDifferenceMm?: number;
  statements: Statement[];
}

export interface MeaningContext {
  target: ToeYardstick;
  noise: Noise;
  wording: Wording;
  /** The same foot at the last visit, after its trim; change is read against it. */
  last?: FootValues | undefined;
}

/** What the numbers of one foot mean, in sentences. What was not measured says nothing. */
export function readMeaning(values: FootValues, context: MeaningContext): FootMeaning {
  const meaning: FootMeaning = { statements: [] };
  const { dorsalAngle, pasternAngle, toeLength, heelHeightMedial, heelHeightLateral } = values;
  const { noise, wording } = context;
  if (dorsalAngle && pasternAngle) {
    meaning.axis = readAxis(dorsalAngle.value, pasternAngle.value, noise.angleDeg);
    meaning.statements.push(axisStatement(meaning.axis, context, dorsalAngle.value, pasternAngle.value));
  }
  if (toeLength) {
    meaning.toeOverMm = toeLength.value - context.target.toeLengthMm;
    meaning.statements.push(toeStatement(meaning.toeOverMm, context));
  }
  if (heelHeightMedial && heelHeightLateral) {
    meaning.heelDifferenceMm = heelHeightLateral.value - heelHeightMedial.value;
    meaning.statements.push(heelStatement(meaning.heelDifferenceMm, context));
  }
  const changed = changeStatement(values, context, wording);
  if (changed) meaning.statements.push(changed);
  return meaning;
}

function axisStatement(
  axis: AxisReading,
  { wording }: MeaningContext,
  dorsal: number,
  pastern: number,
): Statement {
  const size = wording.angle(Math.abs(axis.axisDeg));
  const advice = {
    straight: `Axis straight within the noise of ${wording.angle(axis.noiseDeg)}.`,
    "broken back": `Broken back ${size}: less toe or more heel would bring it nearer. Lowering the heel makes it worse.`,
    "broken forward": `Broken forward ${size}: the heel is high for this pastern. Look why before lowering it.`,
  };
  return {
    subject: "axis",
    level: axis.level,
    text: advice[axis.word],
    evidence: `Dorsal ${wording.angle(dorsal)} minus pastern ${wording.angle(pastern)}. Aim 0, straight-axis lens; marked beyond 5°.`,
  };
}

function toeStatement(over: number, { wording, noise, target }: MeaningContext): Statement {
  const level = over <= 0 ? "steady" : levelOf(over, LEVEL_BOUNDS.toeOverYardstickMm.value);
  const size = wording.length(Math.abs(over));
  const within = Math.abs(over) <= noise.lengthMm;
  const text = within
    ? `Toe length at its target of ${wording.length(target.toeLengthMm)}.`
    : over > 0
      ? `Toe ${size} over its target of ${wording.length(target.toeLengthMm)}.`
      : `Toe ${size} under its target of ${wording.length(target.toeLengthMm)}: there is nothing to shorten.`;
  const source = target.published
    ? "Balch and others; Turner, by body mass"
    : "own target, or carried on beyond the table";
  return {
    subject: "toe",
    level: within ? "steady" : level,
    text,
    evidence: `Yardstick, not a verdict: ${source}.`,
  };
}

function heelStatement(difference: number, { wording }: MeaningContext): Statement {
  const level = levelOf(difference, LEVEL_BOUNDS.heelHeightDifferenceMm.value);
  const taller = wording.side(difference > 0 ? "lateral" : "medial");
  const text =
    level === "steady"
      ? "Heels level, hairline to ground."
      : `The ${taller} heel stands ${wording.length(Math.abs(difference))} taller. Check both against the live sole before lowering one.`;
  return {
    subject: "heels",
    level,
    text,
    evidence:
      "Heel heights, hairline straight down to the ground, lateral minus medial. Steady to 2 mm, act beyond 5 mm.",
  };
}

function changeStatement(
  values: FootValues,
  { last, noise }: MeaningContext,
  wording: Wording,
): Statement | undefined {
  if (!last) return undefined;
  const parts: string[] = [];
  const note = (
    now: number | undefined,
    before: number | undefined,
    name: string,
    noiseOf: number,
    angle: boolean,
  ) => {
    if (now === undefined || before === undefined) return;
    const change = changeSince(now, before, noiseOf);
    if (!change.real) return;
    const size = angle
      ? wording.angle(Math.abs(change.difference))
      : wording.length(Math.abs(change.difference));
    parts.push(`${name} ${change.difference > 0 ? "up" : "down"} ${size}`);
  };
  const axisOf = ({ dorsalAngle, pasternAngle }: FootValues) =>
    dorsalAngle && pasternAngle ? dorsalAngle.value - pasternAngle.value : undefined;
  note(values.toeLength?.value, last.toeLength?.value, "toe", noise.lengthMm, false);
  note(values.dorsalAngle?.value, last.dorsalAngle?.value, "dorsal angle", noise.angleDeg, true);
  note(axisOf(values), axisOf(last), "axis", axisChangeNoise(noise.angleDeg), true);
  const compared = values.toeLength || values.dorsalAngle;
  if (!compared) return undefined;
  const said = parts.join(", ");
  return {
    subject: "change",
    level: "steady",
    text: said
      ? `Since the last trim: ${said}.`
      : "No change since the last trim beyond the noise of measuring.",
    evidence: `Noise: ${wording.angle(noise.angleDeg)} and ${wording.length(noise.lengthMm)} (${noise.source}).`,
  };
}
