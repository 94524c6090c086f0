import { TextButton } from "~app/ui/TextButton";
import { lazy, Suspense, useState } from "react";
import { NavLink, useLocation, useRouteLoaderData } from "react-router";
import type { Round } from "../data/session";
import { chooseRound } from "../data/session";
import { Mark } from "./Mark";
import { ABOVE, BELOW, type Place } from "./places";
import { SaveLine } from "./SaveLine";
import "./frame.css";

// On the desk nobody opens it: its code comes with the first press.
const MoreDrawer = lazy(() => import("./MoreDrawer"));

/** The rail on the left, a bar at the bottom of a phone; the work to the right of it. */
export function Frame({ children, onFind }: { children: React.ReactNode; onFind: () => void }) {
  const round = (useRouteLoaderData("root") as { round: Round } | undefined)?.round ?? "own";
  return (
    <div className="frame">
      <a className="skip" href="#work">
        To the work
      </a>
      <nav className="rail" aria-label="Main">
        <p className="rail-name">
          <Mark /> Plumbline
        </p>
        <RailLinks links={ABOVE} />
        <button type="button" className="rail-find" onClick={onFind}>
          Find <kbd>/</kbd>
        </button>
        <More />
        <div className="rail-rest" />
        <RailLinks links={BELOW} />
        <div className="rail-foot">
          <SaveLine />
          <RoundNote round={round} />
        </div>
      </nav>
      <main id="work" className="work" tabIndex={-1}>
        {children}
      </main>
    </div>
  );
}

function RailLinks({ links }: { links: readonly Place[] }) {
  return links.map(({ to, name, inBar }) => (
    <NavLink
      key={to}
      to={to}
      end={to === "/"}
      className={inBar ? "rail-link" : "rail-link rail-not-in-bar"}
      prefetch="intent"
    >
      <span className="rail-bob" aria-hidden="true" />
      {name}
    </NavLink>
  ));
}

/** On a phone: every place that has no room in the bar, and what the rail says below. */
function More() {
  const [open, setOpen] = useState(false);
  const [opened, setOpened] = useState(false);
  const { pathname } = useLocation();
  const rest = [...ABOVE, ...BELOW].filter(({ inBar }) => !inBar);
  const here = rest.find(({ to }) => pathname.startsWith(to));
  const round = (useRouteLoaderData("root") as { round: Round } | undefined)?.round ?? "own";
  return (
    <>
      <button
        type="button"
        className={here ? "rail-link rail-more active" : "rail-link rail-more"}
        aria-expanded={open}
        onClick={() => {
          setOpened(true);
          setOpen(true);
        }}
      >
        <span className="rail-bob" aria-hidden="true" />
        {here?.name ?? "More"}
      </button>
      {opened && (
        <Suspense>
          <MoreDrawer open={open} onClose={() => setOpen(false)} places={rest}>
            <SaveLine />
            <RoundNote round={round} />
          </MoreDrawer>
        </Suspense>
      )}
    </>
  );
}

/** Says that made-up records are open, and the way back to one's own. */
export function RoundNote({ round }: { round: Round }) {
  if (round === "own") return null;
  return (
    <p className="round-note">
      {round === "demo" ? "Demo round, all made up." : "First day, made up."}{" "}
      <TextButton
        onClick={() => {
          chooseRound("own");
          location.assign("/");
        }}
      >
        Back to my own
      </TextButton>
    </p>
  );
}
