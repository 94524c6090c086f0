import { facesFor } from "~app/data/faces";
import { Button, Segmented } from "antd";
import { useEffect, useMemo, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { download } from "~app/data/files";
import type { HorseFile } from "~app/data/queries";
import { sheetPictures } from "~app/data/sheets";
import { storageTrouble } from "~app/data/trouble";
import { shortDay } from "~app/ui/days";
import { PickOne } from "~app/ui/PickOne";
import { useSettings, useWording } from "~app/ui/useWording";
import { ownerSheet } from "~core/sheet/ownerSheet";
import { contentsOf, picturesOf, type Sheet, type SheetPictures } from "~core/sheet/sheet";
import { sheetHtml } from "~core/sheet/sheetHtml";
import { vetSheet } from "~core/sheet/vetSheet";
import { caseName, type Case } from "~core/case/caseRecord";
import type { Visit } from "~core/record/visit";
import "./sheet.css";

/** A sheet as it will leave, what it contains, and the ways out: nothing goes anywhere by itself. */
export function SheetView({ file, today }: { file: HorseFile; today: string }) {
  const [search, setSearch] = useSearchParams();
  const { horse } = file;
  const signed = file.visits.filter(({ status }) => status !== "planned");
  const visit = signed.find(({ id }) => id === search.get("visit")) ?? signed.at(-1);
  const one = file.cases.find(({ id }) => id === search.get("case")) ?? file.cases[0];
  const asked = search.get("for") === "vet" && one ? "vet" : "owner";
  const put = (name: string, value: string) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        next.set(name, value);
        return next;
      },
      { replace: true },
    );
  const sheet = useSheet(file, asked === "vet" ? one : undefined, visit, today);
  const { pictures, trouble: missing } = useSheetPictures(sheet);
  const html = useMemo(() => sheet && pictures && sheetHtml(sheet, pictures), [sheet, pictures]);
  return (
    <div className="page sheet-page">
      <header className="page-head">
        <div>
          <h1>Sheet for the {asked}</h1>
          <p className="quiet">
            <Link className="link" to={`/horses/${horse.id}`}>
              {horse.name}
            </Link>
            {asked === "vet" && one && (
              <>
                {" · "}
                <Link className="link" to={`/horses/${horse.id}/cases/${one.id}`}>
                  {caseName(one)}
                </Link>
              </>
            )}
          </p>
        </div>
        <div className="sheet-which">
          {one && (
            <Segmented
              aria-label="For whom"
              value={asked}
              options={["owner", "vet"]}
              onChange={(next) => put("for", next)}
            />
          )}
          {asked === "owner" && visit && (
            <PickOne
              label="Visit"
              value={visit.id}
              options={signed.toReversed().map(({ id, date }) => ({ value: id, label: shortDay(date) }))}
              onPick={(id) => put("visit", id)}
            />
          )}
          {asked === "vet" && one && file.cases.length > 1 && (
            <PickOne
              label="Case"
              value={one.id}
              options={file.cases.map((own) => ({ value: own.id, label: caseName(own) }))}
              onPick={(id) => put("case", id)}
            />
          )}
        </div>
      </header>
      {!sheet ? (
        <section className="empty">
          <h2>Nothing to hand over yet</h2>
          <p className="quiet">A sheet is made of a visit. Start one first.</p>
        </section>
      ) : (
        <div className="sheet-grid">
          {html ? (
            <iframe className="sheet-preview" title="The sheet as it will leave" sandbox="" srcDoc={html} />
          ) : (
            <p role="status" className="quiet">
              {missing ?? "Making the sheet …"}
            </p>
          )}
          <aside className="sheet-side">
            <section aria-label="What it contains">
              <h2>What it contains</h2>
              <ul>
                {contentsOf(sheet).map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
              <p className="quiet">
                Photographs and records of somebody’s horse: they leave only by your own hand, and only if the
                owner agrees.
              </p>
            </section>
            {html && pictures && <WaysOut sheet={sheet} html={html} pictures={pictures} today={today} />}
          </aside>
        </div>
      )}
    </div>
  );
}

/** The vet's sheet of a case, else the owner's of a visit. */
function useSheet(
  file: HorseFile,
  one: Case | undefined,
  visit: Visit | undefined,
  today: string,
): Sheet | undefined {
  const wording = useWording();
  const settings = useSettings();
  return useMemo(() => {
    const { horse } = file;
    if (one) return vetSheet({ horse, one, records: file, today }, settings, wording, shortDay);
    return visit && ownerSheet({ horse, visit, records: file }, settings, wording, shortDay);
  }, [file, one, visit, today, settings, wording]);
}

function useSheetPictures(sheet: Sheet | undefined) {
  const wanted = sheet ? picturesOf(sheet).join(" ") : "";
  const [made, setMade] = useState<{ wanted: string; pictures: SheetPictures }>();
  const [trouble, setTrouble] = useState<string>();
  useEffect(() => {
    let live = true;
    void sheetPictures(wanted === "" ? [] : wanted.split(" "))
      .then((pictures) => {
        if (live) setMade({ wanted, pictures });
      })
      .catch((error: unknown) => setTrouble(storageTrouble(error)));
    return () => {
      live = false;
    };
  }, [wanted]);
  return { pictures: made?.wanted === wanted ? made.pictures : undefined, trouble };
}

interface WaysOutProps {
  sheet: Sheet;
  html: string;
  pictures: SheetPictures;
  today: string;
}

function WaysOut({ sheet, html, pictures, today }: WaysOutProps) {
  const [busy, setBusy] = useState(false);
  const [says, setSays] = useState<string>();
  const name = `${sheet.title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")}-${sheet.for}-${today}`;
  const asHtml = () => new File([html], `${name}.html`, { type: "text/html" });
  const pdf = async () => {
    setBusy(true);
    try {
      const { sheetPdf } = await import("~core/sheet/sheetPdf");
      return await sheetPdf(sheet, pictures, await facesFor(JSON.stringify(sheet)));
    } finally {
      setBusy(false);
    }
  };
  const canShare = "canShare" in navigator && navigator.canShare({ files: [asHtml()] });
  const share = async () => {
    try {
      await navigator.share({ files: [asHtml()], title: sheet.title });
    } catch (error) {
      // Called off by the user: nothing happened.
      if (!(error instanceof DOMException && error.name === "AbortError"))
        setSays("This device did not share it. Save the file and send it yourself.");
    }
  };
  return (
    <section className="sheet-out" aria-label="Hand it over">
      <h2>Hand it over</h2>
      <Button type="primary" onClick={() => download(`${name}.html`, "text/html", html)}>
        Save as a page (HTML)
      </Button>
      <Button
        loading={busy}
        onClick={() => void pdf().then((bytes) => download(`${name}.pdf`, "application/pdf", bytes))}
      >
        Save as PDF
      </Button>
      {canShare && <Button onClick={() => void share()}>Share …</Button>}
      {says && (
        <p role="alert" className="ember">
          {says}
        </p>
      )}
      <p className="quiet">
        The page opens anywhere, without a network.
        {sheet.for === "vet" &&
          " The vet can answer in it; the answer comes back as a small file, read in at the case."}
      </p>
    </section>
  );
}
