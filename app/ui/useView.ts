import { useSearchParams } from "react-router";

/** Which of a stage's views the address names, and the way to another one; `otherwise` while it names none. */
export function useView<View extends string>(
  views: Readonly<Record<View, string>>,
  otherwise: View,
): { view: View; show: (next: View) => void } {
  const [search, setSearch] = useSearchParams();
  const asked = search.get("view");
  return {
    view: asked !== null && asked in views ? (asked as View) : otherwise,
    show: (next) =>
      setSearch(
        (now) => {
          const changed = new URLSearchParams(now);
          changed.set("view", next);
          return changed;
        },
        { replace: true, preventScrollReset: true },
      ),
  };
}
