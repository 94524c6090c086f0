import type { Bounds } from "../../constants/bounds";
import { fail, ok, type Result } from "../../result";

/** Bounds as they stand in their field: `0.06 / 0.16`. */
export const showBounds = ([drifting, act]: Bounds): string => `${drifting} / ${act}`;

/**
 * Reads two numbers, where drifting begins and where act begins; an empty text takes the own bounds away.
 * Errors: `not-two` where there are not two numbers of 0 or more, `order` where act begins before drifting.
 */
export function readBounds(text: string): Result<[number, number] | undefined> {
  if (text.trim() === "") return ok(undefined);
  const numbers = text
    .split(/[/;\s]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(",", ".")));
  const [drifting, act] = numbers;
  if (numbers.length !== 2 || drifting === undefined || act === undefined || !(drifting >= 0) || !(act >= 0))
    return fail(
      "not-two",
      "bounds",
      "Type two numbers: where drifting begins and where act begins, as 2 / 5.",
    );
  if (drifting > act) return fail("order", "bounds", "Drifting must begin before act does.");
  return ok([drifting, act]);
}
