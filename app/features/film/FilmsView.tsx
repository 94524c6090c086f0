import { DatePicker, Segmented } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { keepFilm, keepStandIn, type KeptFilm } from "~app/data/films";
import type { HorseFile } from "~app/data/queries";
import { storageTrouble } from "~app/data/trouble";
import { CautionNote } from "~app/ui/CautionNote";
import { shortDay } from "~app/ui/days";
import { TakeButton } from "~app/ui/TakeButton";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { usePicture } from "~app/ui/usePicture";
import { useWording } from "~app/ui/useWording";
import { outsideErrors } from "~core/casework/outsideError";
import { cautionsAt } from "~core/caution/cautions";
import { LIMBS, type Limb } from "~core/foot/limb";
import { sentenceCase } from "~core/foot/wording";
import { make } from "~core/record/change";
import { FILM_VIEW_NAMES, FILM_VIEWS, type FilmView } from "~core/radiograph/filmMarks";
import { filmNumbers } from "~core/radiograph/filmNumbers";
import type { Film } from "~core/radiograph/filmRecord";
import { readFilm } from "~core/radiograph/readFilm";
import type { Result } from "~core/result";
import { baseFoot } from "~core/visit/feetOfHorse";
import { footHistory } from "~core/cycle/horseDue";
import { shownValue } from "./FilmNumbers";
import "./film.css";

const ACCEPT = "image/png,image/jpeg,application/dicom,.dcm,.dicom";
/** What of a film stands in the list. */
const AT_A_GLANCE: readonly string[] = [
  "palmarAngle",
  "soleTip",
  "capsuleRotation",
  "frontShare",
  "tilt",
  "spaceDifference",
];

/** A horse's radiographs: put one in, see what each measures, and how the eye compares with them. */
export function FilmsView({ file, today }: { file: HorseFile; today: string }) {
  const { horse, films, readings } = file;
  const wording = useWording();
  const { save } = useEdits();
  const navigate = useNavigate();
  const [of, setOf] = useState<{ limb: Limb; view: FilmView; date: string }>({
    limb: "LF",
    view: "lateral",
    date: today,
  });
  const [busy, setBusy] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const foot = baseFoot(horse, of.limb, footHistory(readings, of.limb).at(-1));
  const take = async (says: string, from: () => Promise<Result<KeptFilm>>, standIn: boolean) => {
    setTrouble(undefined);
    setBusy(says);
    try {
      const kept = await from();
      if (!kept.ok) return setTrouble(kept.issues[0]?.message);
      const { date, ...facts } = kept.value;
      const film: Film = {
        id: crypto.randomUUID(),
        horseId: horse.id,
        limb: of.limb,
        view: of.view,
        date: date ?? of.date,
        standIn,
        points: {},
        taken: {},
        shown: { low: 0, high: 1, invert: false },
        note: "",
        ...facts,
      };
      await save(make("films", film, `radiograph, ${wording.limb(of.limb)}`));
      void navigate(`/horses/${horse.id}/films/${film.id}`);
    } catch (error) {
      setTrouble(storageTrouble(error));
    } finally {
      setBusy(undefined);
    }
  };
  const errors = outsideErrors(file);
  const inOrder = [...films].sort((a, b) => b.date.localeCompare(a.date) || a.limb.localeCompare(b.limb));
  return (
    <div className="page films-page">
      <header className="page-head">
        <div>
          <h1>Radiographs</h1>
          <p className="quiet">
            <Link className="link" to={`/horses/${horse.id}`}>
              {horse.name}
            </Link>{" "}
            · Plumbline measures; the vet reads them.
          </p>
        </div>
      </header>
      <div className="films-grid">
        <section aria-label="Radiographs">
          {inOrder.length === 0 && (
            <div className="empty">
              <h2>No radiograph yet</h2>
              <p className="quiet">
                Ask the vet for the file: DICOM holds its scale; PNG and JPEG want a marker in them.
              </p>
            </div>
          )}
          <ul className="films-list">
            {inOrder.map((film) => (
              <FilmRow key={film.id} film={film} />
            ))}
          </ul>
        </section>
        <aside className="films-side">
          <section className="films-add sheet" aria-label="Put a radiograph in">
            <h2>Put one in</h2>
            <Segmented
              aria-label="Foot"
              options={[...LIMBS]}
              value={of.limb}
              onChange={(limb) => setOf({ ...of, limb })}
            />
            <Segmented
              aria-label="View"
              options={FILM_VIEWS.map((value) => ({ value, label: FILM_VIEW_NAMES[value] }))}
              value={of.view}
              onChange={(view) => setOf({ ...of, view })}
            />
            <label className="films-day">
              <span>Taken on</span>
              <DatePicker
                value={dayjs(of.date)}
                allowClear={false}
                onChange={(day: dayjs.Dayjs | null) =>
                  setOf({ ...of, date: day?.format("YYYY-MM-DD") ?? today })
                }
              />
            </label>
            <TakeButton
              label="Choose a radiograph"
              accept={ACCEPT}
              disabled={busy !== undefined}
              onFile={(chosen) => void take("Reading the film …", () => keepFilm(chosen), false)}
            >
              Choose a file
            </TakeButton>
            <p className="quiet">
              DICOM (uncompressed or baseline JPEG), PNG or JPEG. Names in the file are not read.
            </p>
            <p className="marking-acts">
              <TextButton
                disabled={busy !== undefined}
                onClick={() => void take("Drawing a stand-in …", () => keepStandIn(foot, of.view), true)}
              >
                Draw a stand-in
              </TextButton>
              <a className="link" href="/demo/film.dcm" download>
                One as DICOM
              </a>
            </p>
            {busy && (
              <p role="status" className="strong">
                {busy}
              </p>
            )}
            {trouble && (
              <p role="alert" className="ember">
                {trouble}
              </p>
            )}
          </section>
          {errors.length > 0 && (
            <section aria-label="Your eye against the films">
              <h2>Your eye against the films</h2>
              <ul className="films-errors">
                {errors.map(({ what, n, mean, sd }) => (
                  <li key={what}>
                    <b>{sentenceCase(what)}</b>{" "}
                    {what === "sulcus depth against the sole"
                      ? `reads ${shownValue(Math.abs(mean), "mm")} ${mean < 0 ? "less" : "more"}`
                      : `placed ${shownValue(Math.abs(mean), "mm")} too far ${mean > 0 ? "forward" : "back"}`}
                    {sd !== undefined && `, give or take ${shownValue(sd, "mm")}`}{" "}
                    <span className="quiet">({n === 1 ? "one film" : `${n} films`})</span>
                  </li>
                ))}
              </ul>
              <p className="quiet">
                Outside estimate less radiograph, on the soles surveyed within three weeks of a film.
                {films.some(({ standIn }) => standIn) &&
                  " Stand-ins are among them: they say nothing about a real eye."}
              </p>
            </section>
          )}
          {cautionsAt("film").map((caution) => (
            <CautionNote key={caution.id} caution={caution} about={horse.id} />
          ))}
        </aside>
      </div>
    </div>
  );
}

function FilmRow({ film }: { film: Film }) {
  const wording = useWording();
  const { url, missing } = usePicture(film.pictureId);
  const read = readFilm(film);
  const numbers = filmNumbers(film).filter(({ id }) => AT_A_GLANCE.includes(id));
  return (
    <li>
      <Link className="films-row sheet" to={`/horses/${film.horseId}/films/${film.id}`}>
        {url ? (
          <img src={url} alt="" />
        ) : (
          <span className="quiet">{missing ? "not in this store" : "…"}</span>
        )}
        <span>
          <b>
            {sentenceCase(wording.limb(film.limb))}, {FILM_VIEW_NAMES[film.view].toLowerCase()}
          </b>
          <span className="quiet"> {shortDay(film.date)}</span>
          {film.standIn && <span className="brass"> · stand-in</span>}
          {numbers.length === 0 && (
            <span className="films-state ember">
              {read.ok ? `${read.value.missing.length} marks still to be placed` : read.issues[0]?.message}
            </span>
          )}
        </span>
        <span className="films-numbers">
          {numbers.map(({ id, name, value, unit, outside }) => (
            <span key={id}>
              <span className="quiet">{wording.inOwnWords(name)}</span>
              <b className={outside ? "ember" : undefined}>{shownValue(value, unit)}</b>
            </span>
          ))}
        </span>
      </Link>
    </li>
  );
}
