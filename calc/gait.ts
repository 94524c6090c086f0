import { z } from "zod";
import { readBeat } from "~core/gait/beat";
import { ok } from "~core/result";
import { finite } from "~core/schema/fields";
import { calculator, positive } from "./parts";

export const beat = calculator({
  about: "The rhythm of footfalls: a metronome, no examination. First and last step are left out.",
  input: z.strictObject({
    times: z.array(finite).describe("seconds, rising, one for each footfall"),
  }),
  output: z.strictObject({
    perMinute: positive.describe("footfalls a minute"),
    intervals: z
      .strictObject({ mean: positive, sd: finite.min(0) })
      .describe("seconds between footfalls; sd with n - 1"),
    evenness: positive.describe(
      "mean of the first, third, … used interval over the mean of the second, fourth, …; 1 is even",
    ),
  }),
  run: ({ times }) => {
    const read = readBeat(times);
    if (!read.ok) return read;
    const { perMinute, intervals, evenness } = read.value;
    return ok({ perMinute, intervals, evenness });
  },
});
