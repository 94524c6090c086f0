import { Link } from "react-router";

/** An address that leads nowhere leads back. */
export default function NotFoundRoute() {
  return (
    <div className="page empty">
      <h1>This page is not there</h1>
      <p className="quiet">The address leads nowhere. Your records are untouched.</p>
      <p>
        <Link className="link" to="/">
          Back to Today
        </Link>{" "}
        ·{" "}
        <Link className="link" to="/files">
          Export a backup
        </Link>
      </p>
    </div>
  );
}
