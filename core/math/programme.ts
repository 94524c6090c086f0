/** A linear programme with whole or free variables, all of them 0 or more. */
export interface Programme {
  /** Cost of each variable; the sum is made as small as can be. */
  cost: readonly number[];
  rows: readonly {
    /** Variable number and its coefficient; no variable twice. */
    terms: readonly (readonly [variable: number, coefficient: number])[];
    sense: ">=" | "<=" | "=";
    bound: number;
  }[];
  whole: boolean;
  /** Upper bounds by variable number. */
  most?: ReadonlyMap<number, number>;
}

/** What a solver found. `values` by variable, `duals` by row (without whole variables only). */
export type Solved =
  | { kind: "optimal"; objective: number; values: number[]; duals: number[] }
  | { kind: "infeasible" }
  /** Time was up; with the values of the best found until then, if there was one. */
  | { kind: "stopped"; values?: number[] | undefined };

/** Solves one programme to its proven optimum, or says that time was up. Handed in, so that the core knows no package. */
export type Solver = (programme: Programme, limits?: { seconds?: number }) => Solved;

/** A number in the solver's text: never in a form with an exponent that a reader could take for a name. */
const figure = (value: number): string => {
  const text = value.toPrecision(15);
  return text.includes("e") ? value.toFixed(20) : text;
};

const termsText = (terms: Programme["rows"][number]["terms"]): string =>
  terms.length === 0
    ? "0 v0"
    : terms
        .map(
          ([variable, coefficient]) =>
            `${coefficient < 0 ? "-" : "+"} ${figure(Math.abs(coefficient))} v${variable}`,
        )
        .join("\n ");

/** The programme in the LP text format that solvers read: variables `v0`, `v1`, rows `r0`, `r1`. */
export function programmeText({ cost, rows, whole, most }: Programme): string {
  const names = cost.map((_, index) => `v${index}`);
  return [
    "Minimize",
    ` obj: ${termsText(cost.map((value, index) => [index, value]))}`,
    "Subject To",
    ...rows.map(
      ({ terms, sense, bound }, index) => ` r${index}: ${termsText(terms)} ${sense} ${figure(bound)}`,
    ),
    ...(most && most.size > 0
      ? ["Bounds", ...[...most].map(([variable, bound]) => ` v${variable} <= ${figure(bound)}`)]
      : []),
    ...(whole ? ["General", ...names.map((name) => ` ${name}`)] : []),
    "End",
    "",
  ].join("\n");
}

/** What a HiGHS build for JavaScript answers, as far as it is read here. */
interface HighsAnswer {
  Status: string;
  ObjectiveValue: number;
  Columns: Record<string, { Primal?: number }>;
  Rows: readonly { Dual?: number }[];
}

/** A solver from a loaded HiGHS. */
export const highsSolver =
  (highs: { solve: (text: string, options: Record<string, unknown>) => unknown }): Solver =>
  (programme, { seconds } = {}) => {
    const found = highs.solve(programmeText(programme), {
      output_flag: false,
      mip_rel_gap: 0,
      mip_abs_gap: 0,
      ...(seconds !== undefined && { time_limit: seconds }),
    }) as HighsAnswer;
    if (found.Status === "Infeasible") return { kind: "infeasible" };
    const values = programme.cost.map((_, index) => found.Columns[`v${index}`]?.Primal);
    if (found.Status !== "Optimal") {
      const whole = programme.whole && values.some((value) => value !== undefined && Math.abs(value) > 1e-9);
      return { kind: "stopped", values: whole ? values.map((value) => value ?? 0) : undefined };
    }
    return {
      kind: "optimal",
      objective: found.ObjectiveValue,
      values: values.map((value) => value ?? 0),
      duals: found.Rows.map(({ Dual }) => Dual ?? 0),
    };
  };
