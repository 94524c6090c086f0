import dayjs from "dayjs";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { besideStore, forgetHeld, lostHeld } from "~app/data/held";
import { session } from "~app/data/session";
import { DemoLoader } from "~app/ui/DemoLoader";
import { shortDay } from "~app/ui/days";
import { TextButton } from "~app/ui/TextButton";
import { lostInWords, type Held } from "~core/record/lostStore";

/** A round without horses: where to begin, or that there were some and the browser has thrown them away. */
export default function EmptyRound({ start }: { start: boolean }) {
  const [lost, setLost] = useState<Held>();
  useEffect(() => {
    if (session.round === "own") void lostHeld(session.db, besideStore()).then(setLost, () => undefined);
  }, []);
  if (lost && !start)
    return (
      <LostRound
        held={lost}
        onLetGo={() => {
          forgetHeld(besideStore());
          setLost(undefined);
        }}
      />
    );
  return (
    <section className="empty">
      <h2>{start ? "Opening the demo round" : "No horses here yet"}</h2>
      <p className="quiet">
        Add your first horse, or look around with a made-up round of eight yards. The demo lies apart from
        your own records and never touches them.
      </p>
      {!start && (
        <Link className="go-button" to="/horses/new">
          Add a horse
        </Link>
      )}
      <DemoLoader kind="demo" label="Load the demo round" start={start} />
      {!start && <DemoLoader kind="first-day" label="Try a first day: one horse, nothing measured" />}
    </section>
  );
}

function LostRound({ held, onLetGo }: { held: Held; onLetGo: () => void }) {
  const { lost, again } = lostInWords(held, (ms) => shortDay(dayjs(ms).format("YYYY-MM-DD")));
  return (
    <section className="empty" role="alert">
      <h2 className="ember">This browser has lost your records</h2>
      <p>{lost}</p>
      <p>{again}</p>
      <Link className="go-button" to="/files">
        Bring a backup in
      </Link>
      <TextButton onClick={onLetGo}>Begin anew without them</TextButton>
    </section>
  );
}
