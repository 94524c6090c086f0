import { useLocation, useNavigate, useNavigation, useSearchParams } from "react-router";

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
  const navigate = useNavigate();
  const here = useLocation();
  const heading = useNavigation().location ?? here;
  const asked = search.get("view");
  return {
    view: asked !== null && asked in views ? (asked as View) : otherwise,
    show: (next) => {
      const changed = new URLSearchParams(heading.search);
      changed.set("view", next);
      void navigate(
        { pathname: heading.pathname, search: `?${changed.toString()}` },
        { replace: true, preventScrollReset: true },
      );
    },
  };
}
