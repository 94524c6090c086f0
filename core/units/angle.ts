import { fail, ok, type Result } from "../result";

/**
 * Reads an angle in degrees: `52`, `52.5`, `52,5`, `52°`, `52 deg`. Negative angles are read (a limb can lean
 * either way). Errors: `not-an-angle` with a sentence that says what was not understood.
 */
export function parseAngle(text: string): Result<number> {
  const typed = text.trim();
  if (typed === "") return fail("empty", "text", "Nothing was typed. Type an angle such as 52 or 48.5.");
  const found = /^([-−]?)(\d+(?:[.,]\d+)?|[.,]\d+)\s*(?:°|deg|degrees)?$/i.exec(typed);
  if (!found)
    return fail("not-an-angle", "text", `“${typed}” is not an angle. Type it like 52 or 48.5.`, text);
  const size = Number((found[2] ?? "").replace(",", "."));
  return ok(found[1] === "" || size === 0 ? size : -size);
}

/** Degrees to one place, with a true minus sign: `48.5°`, `−4.0°`. */
export function formatAngle(deg: number, decimals = 1): string {
  const size = Math.abs(deg).toFixed(decimals);
  return `${deg < 0 && Number(size) !== 0 ? "−" : ""}${size}°`;
}
