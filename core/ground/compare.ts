import { ok, type Issue, type Result } from "../result";
import { fitShoe } from "../shoe/fit";
import type { FitQuestion } from "../shoe/fitQuestion";
import { fittedPlan, type StandingFoot } from "./fittedPlan";
import { GROUNDS } from "./grounds";
import { planOnGround, type GroundAnswer, type GroundPlan, type Standing } from "./groundModel";
import { pressureField, type PressureField } from "./pressureField";

/** A shoe that is stood on the ground, with what it is called. */
export interface ComparedShoe {
  id: string;
  name: string;
  question: FitQuestion;
}

/** Shoes on one foot; the first is the one that the others are held against. */
export interface GroundQuestion {
  foot: StandingFoot;
  shoes: readonly ComparedShoe[];
  standing: Standing;
}

/** What a shoe does against the first one: + is more of it. */
export interface GroundDifference {
  /** Mm and deg. */
  sink: number;
  pitch: number;
  roll: number;
  front: number;
  support: number;
  /** Pull of the deep flexor at breakover over the first shoe's: the lever over its lever. */
  pull: number;
  /** Peak of the shoe on the heels of the hoof, and the toe's peak on it, over the first shoe's. */
  heelPeak: number;
  toePeak: number;
  /** Parts of the load. */
  frog: number;
  sole: number;
}

/** What a shoe does on a ground, without what stands in its map. */
export type GroundNumbers = Omit<GroundAnswer, "pressures">;

/** One shoe on the ground: its map, what it does there, and against the first; or why there is no answer. */
export type StoodShoe = { id: string } & (
  | {
      answer: GroundNumbers;
      field: PressureField;
      /** Centre of rotation, where the foot breaks over and where its support ends, mm. */
      places: Pick<GroundPlan, "corX" | "corY" | "breaksAtY" | "endsAtY">;
      difference: GroundDifference | undefined;
      issues?: undefined;
    }
  | {
      issues: readonly Issue[];
      answer?: undefined;
      field?: undefined;
      places?: undefined;
      difference?: undefined;
    }
);

/** Plans of shoes, each worked out once for its foot and grid: a load that is dragged only settles them anew. */
export type PlanStore = Map<string, Result<GroundPlan>>;

export function planOf(
  foot: StandingFoot,
  question: FitQuestion,
  gridMm: number,
  plans: PlanStore,
): Result<GroundPlan> {
  const key = JSON.stringify([foot, question, gridMm]);
  const kept = plans.get(key);
  if (kept) return kept;
  const plan = fittedPlan(fitShoe(question), foot, gridMm);
  plans.set(key, plan);
  return plan;
}

const rest = (
  { foot, standing }: GroundQuestion,
  { question }: ComparedShoe,
  gridMm: number,
  plans: PlanStore,
): Result<{ plan: GroundPlan; answer: GroundAnswer }> => {
  const plan = planOf(foot, question, gridMm, plans);
  if (!plan.ok) return plan;
  const answer = planOnGround(plan.value, standing);
  return answer.ok ? ok({ plan: plan.value, answer: answer.value }) : answer;
};

const over = (a: number, b: number): number => (b > 0 ? a / b : 1);

/** What one answer differs by from another. */
export const differenceOf = (own: GroundNumbers, first: GroundNumbers): GroundDifference => ({
  sink: own.sink - first.sink,
  pitch: own.pitch - first.pitch,
  roll: own.roll - first.roll,
  front: own.lever.front - first.lever.front,
  support: own.lever.support - first.lever.support,
  pull: over(own.lever.front, first.lever.front),
  heelPeak: over(own.hoof.heelPeak, first.hoof.heelPeak),
  toePeak: over(own.hoof.toePeak, first.hoof.toePeak),
  frog: own.hoof.frog - first.hoof.frog,
  sole: own.share.sole - first.share.sole,
});

/** Every shoe on this ground, and what it does against the first; a shoe that finds no rest says why and hides no other. */
export function compareOnGround(
  question: GroundQuestion,
  gridMm: number,
  plans: PlanStore = new Map(),
): StoodShoe[] {
  const stood = question.shoes.map((shoe) => ({ shoe, found: rest(question, shoe, gridMm, plans) }));
  const first = stood[0]?.found;
  return stood.map(({ shoe: { id }, found }, at): StoodShoe => {
    if (!found.ok) return { id, issues: found.issues };
    const {
      plan,
      answer: { pressures, ...answer },
    } = found.value;
    const { corX, corY, breaksAtY, endsAtY } = plan;
    const difference = at > 0 && first?.ok ? differenceOf(answer, first.value.answer) : undefined;
    return {
      id,
      answer,
      field: pressureField(plan, pressures),
      places: { corX, corY, breaksAtY, endsAtY },
      difference,
    };
  });
}

/** From how far to how far a shoe's pitch differs from the first one's while what nobody measured is changed, deg. */
export interface Sensitivity {
  id: string;
  from: number;
  to: number;
}
/** The load's lead, mm, and the limb's resistance over what was asked, between which the truth is taken to lie. Assumption. */
const LEADS_MM = [0, 10];
const SPRINGS = [0.5, 2];

export function sensitivityOf(
  question: GroundQuestion,
  gridMm: number,
  plans: PlanStore = new Map(),
): Sensitivity[] {
  const { standing } = question;
  const cases = LEADS_MM.flatMap((lead) =>
    SPRINGS.map((times) =>
      compareOnGround(
        {
          ...question,
          standing: { ...standing, load: { ...standing.load, lead }, spring: standing.spring * times },
        },
        gridMm,
        plans,
      ),
    ),
  );
  return question.shoes.slice(1).flatMap(({ id }, at) => {
    const pitches = cases.flatMap((one) => one[at + 1]?.difference?.pitch ?? []);
    return pitches.length === 0 ? [] : [{ id, from: Math.min(...pitches), to: Math.max(...pitches) }];
  });
}

/** A shoe over all grounds. */
export interface SweptShoe {
  id: string;
  points: { stiffness: number; difference: GroundDifference | undefined }[];
}

/** Every shoe on every named ground under the same load. */
export function sweepGrounds(
  question: GroundQuestion,
  gridMm: number,
  plans: PlanStore = new Map(),
): SweptShoe[] {
  const swept = GROUNDS.map(({ stiffness }) => ({
    stiffness,
    stood: compareOnGround({ ...question, standing: { ...question.standing, stiffness } }, gridMm, plans),
  }));
  return question.shoes.map(({ id }, at) => ({
    id,
    points: swept.flatMap(({ stiffness, stood }) => {
      const one = stood[at];
      return one?.answer ? [{ stiffness, difference: one.difference }] : [];
    }),
  }));
}
