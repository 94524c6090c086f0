import { useCallback } from "react";
import { useSearchParams } from "react-router";
import { useHeading } from "./useHeading";

/**
 * Which of a stage's views the address names, and the way to another one; `otherwise` while it names none. The other view
 * is that of the place one is heading for: a foot chosen the moment before is not lost because its page is still on its
 * way.
 */
export function useView<View extends string>(
  views: Readonly<Record<View, string>>,
  otherwise: View,
): { view: View; show: (next: View) => void } {
  const [search] = useSearchParams();
  const { heading, go } = useHeading();
  const asked = search.get("view");
  const show = useCallback(
    (next: View) => {
      const to = new URL(heading());
      to.searchParams.set("view", next);
      go(to, { replace: true, preventScrollReset: true });
    },
    [heading, go],
  );
  return { view: asked !== null && asked in views ? (asked as View) : otherwise, show };
}
