import { useMemo } from "react";
import { useNavigate, type NavigateOptions } from "react-router";
import { Heading } from "./heading";

/** The router has put the address in place before anything of its page is drawn. */
const heading = new Heading(() => new URL(location.href));

interface Headings {
  /** The address that the next press starts from. */
  heading: () => URL;
  go: (to: URL, options?: NavigateOptions) => void;
}

/** The way to another address from wherever the press before has led, even before the screen has followed. */
export function useHeading(): Headings {
  const navigate = useNavigate();
  return useMemo(
    () => ({
      heading: () => heading.at(),
      go: (to, options) =>
        void heading.towards(to, () => navigate({ pathname: to.pathname, search: to.search }, options)),
    }),
    [navigate],
  );
}
