import { z } from "zod";
import { dateField, finite } from "~core/schema/fields";
import { planRounds } from "~core/rounds/plan";
import { calculator, positive } from "./parts";

const place = z
  .tuple([finite.min(-90).max(90), finite.min(-180).max(180)])
  .describe("latitude, longitude, degrees");
const minutes = z.number().min(0).describe("minutes");

/** How long a plan may be bettered and proven, s; then it stands with its gap. */
const PROOF_SECONDS = 45;

export const rounds = calculator({
  about: "Jobs on days and yards in order, so that driving, lateness and what is left out cost least.",
  input: z.strictObject({
    home: place,
    speedKmh: positive,
    detour: positive.optional().describe("roads over the great circle; 1.3 unless given"),
    stopMinutes: minutes,
    days: z.array(z.strictObject({ date: dateField, minutes })),
    yards: z.array(z.strictObject({ id: z.string(), at: place })),
    jobs: z.array(
      z.strictObject({
        id: z.string(),
        yard: z.string(),
        minutes,
        windowStart: dateField,
        due: dateField,
        weight: positive.optional().describe("1 unless given"),
        with: z.string().optional().describe("jobs at one yard that share this go together"),
      }),
    ),
  }),
  output: z.strictObject({
    days: z.array(
      z.strictObject({
        date: dateField,
        stops: z.array(z.strictObject({ yard: z.string(), jobs: z.array(z.string()) })),
        drive: finite.describe("minutes, home to home"),
        work: finite.describe("minutes of the jobs; stops not in it"),
      }),
    ),
    left: z.array(z.string()),
    objective: finite,
    bound: finite.describe("no plan costs less"),
    gap: finite.describe("(objective - bound) / objective, 0 where proven"),
  }),
  run: (question, { solve, seconds }) => {
    const from = seconds();
    return planRounds(question, solve, { seconds: PROOF_SECONDS, elapsed: () => seconds() - from });
  },
});
