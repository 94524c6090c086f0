import { daysBetween, type IsoDate } from "../calendar/date";
import type { Limb } from "../foot/limb";
import type { PrescriptionAsks } from "../shoe/prescription";
import { stagesOf, type Case, type CaseStage } from "./caseRecord";

/** Where one foot stands in its plan. */
export interface FootStage {
  stage: CaseStage;
  /** The day it went on to it; that the case was opened on for its first stage. */
  since: IsoDate | undefined;
  next: CaseStage | undefined;
}

/** The stage of a foot on a day; undefined where no stage names it. */
export function stageAt(
  one: Pick<Case, "stages" | "moves" | "opened">,
  limb: Limb,
  day?: IsoDate,
): FootStage | undefined {
  const own = stagesOf(one, limb);
  const moved = Object.values(one.moves)
    .filter(
      (move) =>
        move.limb === limb &&
        (day === undefined || move.on <= day) &&
        own.some(({ id }) => id === move.stage),
    )
    .sort(
      (a, b) =>
        a.on.localeCompare(b.on) ||
        own.findIndex(({ id }) => id === a.stage) - own.findIndex(({ id }) => id === b.stage),
    )
    .at(-1);
  const at = moved ? own.findIndex(({ id }) => id === moved.stage) : 0;
  const stage = own[at];
  return stage && { stage, since: moved?.on ?? one.opened, next: own[at + 1] };
}

/**
 * What is prescribed for a foot on a day, by the first open case that says so: what its paper asks, and over it what the
 * foot's stage asks. One that has run out says nothing any more.
 */
export function prescribedFor(
  cases: readonly Case[],
  limb: Limb,
  day: IsoDate,
): (PrescriptionAsks & { by: string; until: string; says: string }) | undefined {
  for (const one of cases) {
    const { prescription, status } = one;
    if (status !== "open" || !prescription?.feet.includes(limb) || prescription.until < day) continue;
    const { feet: _feet, written: _written, weeks: _weeks, ...asks } = prescription;
    const stage = stageAt(one, limb, day)?.stage;
    return {
      ...asks,
      ...Object.fromEntries(Object.entries(stage?.asks ?? {}).filter(([, value]) => value !== undefined)),
      says: [stage && `Stage: ${stage.name}.`, asks.says].filter(Boolean).join(" "),
    };
  }
  return undefined;
}

/** Runs out within so many days: it stands on Today. Assumption, because a vet wants some days' notice. */
export const EXPIRES_SOON_DAYS = 7;

/** How a prescription stands on a day: `days` left, negative once it has run out. */
export function prescriptionOn(
  { prescription }: Pick<Case, "prescription">,
  day: IsoDate,
): { state: "valid" | "expires" | "expired"; days: number; until: IsoDate } | undefined {
  if (!prescription) return undefined;
  const days = daysBetween(day, prescription.until);
  return {
    state: days < 0 ? "expired" : days <= EXPIRES_SOON_DAYS ? "expires" : "valid",
    days,
    until: prescription.until,
  };
}
