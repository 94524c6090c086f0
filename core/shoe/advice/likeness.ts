import type { ShoeFacts } from "../facts";
import type { Specification } from "../specification";
import { wantsOf } from "./dress";
import type { Base, ShoeRule } from "./rule";

/** The base that a shoe is, whatever dresses it. */
export const baseOf = ({ type, pad }: Pick<Specification, "type" | "pad">): Base =>
  type === "bare"
    ? "bare"
    : type === "sliding plate"
      ? "sliding"
      : type === "plain"
        ? pad === "frog support"
          ? "frog pad"
          : "open"
        : type;

/** Fields that differ from foot to foot and do not make a kind of shoe. */
const NOT_A_KIND = ["web", "leastWidth", "changeFrom", "nailsMedial", "nailsLateral", "pattern", "raise"];

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/**
 * Whether a shoe of the records is of the kind that a rule speaks for: of the base that it speaks for most, else with
 * everything that it wishes. A rule that wishes nothing that makes a kind has none: undefined.
 */
export function kindOfRule(
  rule: ShoeRule,
  facts: ShoeFacts,
  base: Base,
): ((spec: Specification) => boolean) | undefined {
  const most = Math.max(0, ...Object.values(rule.bases ?? {}));
  if (most > 0 && (rule.bases?.[base] ?? 0) > 0) return (spec) => baseOf(spec) === base;
  const { edges = {}, ...wants } = wantsOf(rule, facts, base);
  const fields = Object.entries(wants).filter(([field]) => !NOT_A_KIND.includes(field));
  const places = Object.entries(edges);
  if (fields.length + places.length === 0) return undefined;
  return (spec) =>
    spec.type !== "bare" &&
    fields.every(([field, value]) => same(spec[field as keyof Specification], value)) &&
    places.every(([sector, edge]) => spec.edges[sector as keyof typeof spec.edges] === edge);
}
