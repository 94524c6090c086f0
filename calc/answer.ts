import { z } from "zod";
import { issuesOf } from "~core/schema/issues";
import { CALCULATORS } from "./calculators";
import type { Tools } from "./parts";

/** What a call prints and how it ends: answers on standard output, an error as JSON on standard error. */
export interface Answer {
  stdout: string;
  stderr: string;
  exitCode: 0 | 2;
}

interface PathIssue {
  path: string;
  message: string;
}

const errorText = (message: string, issues: PathIssue[]): string =>
  JSON.stringify({
    error: { message, issues: issues.map(({ path, message: said }) => ({ path, message: said })) },
  });

const refused = (message: string, issues: PathIssue[]): Answer => ({
  stdout: "",
  stderr: `${errorText(message, issues)}\n`,
  exitCode: 2,
});

/** For a call that brings no solver: programmes are then said to be unsolved, never guessed. */
const NO_TOOLS: Tools = { solve: () => ({ kind: "stopped" }), seconds: () => 0 };

const help = (): string =>
  [
    "npm run -s calc -- NAME < input.json          one JSON object in, one out",
    "npm run -s calc -- NAME --lines < input.jsonl  one a line",
    "npm run -s calc -- NAME --schema              JSON Schema of input and output",
    "",
    ...Object.entries(CALCULATORS).map(([name, { about }]) => `${name.padEnd(15)}${about}`),
    "",
  ].join("\n");

/** One input text to one output text, or the error to print. */
function calculate(
  name: string,
  text: string,
  tools: Tools,
): { ok: true; line: string } | { ok: false; line: string } {
  const calculator = CALCULATORS[name];
  if (!calculator) throw new Error(`unknown calculator ${name}`);
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch (error) {
    const message = error instanceof Error ? error.message : String(error);
    return { ok: false, line: errorText("The input is not JSON.", [{ path: "", message }]) };
  }
  const checked = calculator.input.safeParse(input);
  if (!checked.success)
    return { ok: false, line: errorText(`The input of ${name} is not right.`, issuesOf(checked.error)) };
  const result = calculator.run(checked.data, tools);
  if (!result.ok)
    return { ok: false, line: errorText(`${name} has no answer for this input.`, result.issues) };
  return { ok: true, line: JSON.stringify(calculator.output.parse(result.value)) };
}

/** The headless command: arguments and the whole of standard input in, what to print out. */
export function answer(args: readonly string[], input: string, tools: Tools = NO_TOOLS): Answer {
  const [name, ...flags] = args;
  if (name === undefined || name === "--help") return { stdout: help(), stderr: "", exitCode: 0 };
  const calculator = CALCULATORS[name];
  if (!calculator)
    return refused(`There is no calculator called ${name}.`, [
      { path: "", message: `Known: ${Object.keys(CALCULATORS).join(", ")}.` },
    ]);
  const strange = flags.find((flag) => flag !== "--lines" && flag !== "--schema");
  if (strange !== undefined)
    return refused(`Unknown option ${strange}.`, [{ path: "", message: "See --help." }]);
  if (flags.includes("--schema")) {
    const schema = {
      input: z.toJSONSchema(calculator.input, { io: "input" }),
      output: z.toJSONSchema(calculator.output),
    };
    return { stdout: `${JSON.stringify(schema, null, 2)}\n`, stderr: "", exitCode: 0 };
  }
  if (!flags.includes("--lines")) {
    const one = calculate(name, input, tools);
    return one.ok
      ? { stdout: `${one.line}\n`, stderr: "", exitCode: 0 }
      : { stdout: "", stderr: `${one.line}\n`, exitCode: 2 };
  }
  const texts = input.split("\n");
  if (texts.at(-1)?.trim() === "") texts.pop();
  const answers = texts.map((text) => calculate(name, text, tools));
  return {
    stdout: answers.map(({ line }) => `${line}\n`).join(""),
    stderr: "",
    exitCode: answers.every((one) => one.ok) ? 0 : 2,
  };
}

/** True when the call reads standard input. */
export const wantsInput = (args: readonly string[]): boolean =>
  args[0] !== undefined && args[0] in CALCULATORS && !args.includes("--schema");
