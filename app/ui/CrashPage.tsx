import { ExportBackup } from "./ExportBackup";
import { Mark } from "./Mark";

/** Leads back and offers the data, with plain elements only: whatever broke must not break this. */
export function CrashPage({ title, text }: { title: string; text: string }) {
  return (
    <main className="crash-page">
      <Mark size={44} />
      <h1>{title}</h1>
      <p>{text}</p>
      <p className="crash-ways">
        <a className="link" href="/">
          Back to Today
        </a>
        <ExportBackup label="Export a backup of everything" />
      </p>
    </main>
  );
}
