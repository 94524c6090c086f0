import { z } from "zod";
import { finite } from "~core/schema/fields";
import type { Solver } from "~core/math/programme";
import type { Result } from "~core/result";

/** What a calculator may need that is loaded only when it is called. */
export interface Tools {
  solve: Solver;
  /** A clock that counts seconds from anywhere. */
  seconds: () => number;
}

/** One headless calculator: what it takes, what it gives, and the core function between. */
export interface Calculator {
  about: string;
  input: z.ZodType;
  output: z.ZodType;
  run: (input: unknown, tools: Tools) => Result<unknown>;
}

export const calculator = <In, Out>(parts: {
  about: string;
  input: z.ZodType<In>;
  output: z.ZodType<Out>;
  run: (input: In, tools: Tools) => Result<Out>;
}): Calculator => ({ ...parts, run: (input, tools) => parts.run(input as In, tools) });

export const point = z.tuple([finite, finite]);
export const positive = z.number().positive();
export const rate = z.strictObject({ perDay: finite, sd: z.number().min(0) });
export const hemisphere = z.enum(["north", "south"]).optional();
export const angle = finite.describe("degrees");
export const mm = finite.describe("mm");

const outlineSide = z.array(point).min(2);
/** The shoe's outer edge on each side, from the middle of the toe to the end of the branch. */
export const outline = z.strictObject({ medial: outlineSide, lateral: outlineSide });
