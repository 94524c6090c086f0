import { useEffect, useState } from "react";
import { Link } from "react-router";
import { atStake } from "~app/data/backups";
import { session } from "~app/data/session";
import { backupWanted } from "~core/record/backupAge";

/** On Today: what stands in this browser alone, once that is much; nothing of made-up rounds. */
export default function BackupLine() {
  const [wanted, setWanted] = useState<string>();
  useEffect(() => {
    if (session.round === "own") void atStake(session.db).then((stake) => setWanted(backupWanted(stake)));
  }, []);
  if (!wanted) return null;
  return (
    <p className="stale brass">
      {wanted}{" "}
      <Link className="link" to="/files">
        Back up
      </Link>
    </p>
  );
}
