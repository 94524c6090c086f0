import { TextButton } from "~app/ui/TextButton";
import { NavLink, useRouteLoaderData } from "react-router";
import type { Round } from "../data/session";
import { chooseRound } from "../data/session";
import { Mark } from "./Mark";
import { SaveLine } from "./SaveLine";
import "./frame.css";

const ABOVE = [
  ["/", "Today"],
  ["/horses", "Horses"],
  ["/forge", "Forge"],
  ["/rounds", "Rounds"],
] as const;
const BELOW = [
  ["/files", "Files"],
  ["/cautions", "Cautions"],
  ["/settings", "Settings"],
] as const;

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

function RailLinks({ links }: { links: readonly (readonly [string, string])[] }) {
  return links.map(([to, name]) => (
    <NavLink key={to} to={to} end={to === "/"} className="rail-link" prefetch="intent">
      <span className="rail-bob" aria-hidden="true" />
      {name}
    </NavLink>
  ));
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
