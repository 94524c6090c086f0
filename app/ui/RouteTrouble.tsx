import { isRouteErrorResponse, Link, useRouteError } from "react-router";
import { storageTrouble } from "~app/data/trouble";
import { ExportBackup } from "./ExportBackup";

/** What went wrong in one part of the screen; the frame around it stays. Leads back, tries again, offers the data. */
export function RouteTrouble() {
  const error = useRouteError();
  const answered = isRouteErrorResponse(error);
  return (
    <section className="empty" role="alert">
      <h2>{answered ? "This page is not there" : "This part went wrong"}</h2>
      <p className="quiet">
        {answered ? error.statusText || "The address leads nowhere." : storageTrouble(error)}
      </p>
      <p className="crash-ways">
        <Link className="link" to="/">
          Back to Today
        </Link>
        <button type="button" className="plain-button" onClick={() => location.reload()}>
          Try again
        </button>
        <ExportBackup label="Export a backup of everything" />
      </p>
    </section>
  );
}
