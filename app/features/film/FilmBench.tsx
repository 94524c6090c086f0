import { Segmented, Slider, Switch } from "antd";
import { useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { HorseFile } from "~app/data/queries";
import type { Handle } from "~app/drawing/MarkHandles";
import { PicturePane } from "~app/drawing/PicturePane";
import { shortDay } from "~app/ui/days";
import { MarkList } from "~app/ui/MarkList";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { usePicture } from "~app/ui/usePicture";
import { useWording } from "~app/ui/useWording";
import type { Vector } from "~core/geometry/vector";
import { change, remove } from "~core/record/change";
import {
  FILM_MARKS,
  FILM_VIEW_NAMES,
  filmMark,
  MARKER_MARKS,
  TAKEN,
  TAKEN_QUESTIONS,
} from "~core/radiograph/filmMarks";
import { filmNumbers } from "~core/radiograph/filmNumbers";
import type { Film } from "~core/radiograph/filmRecord";
import { marksAgainstTruth, type MarksHeld } from "~core/radiograph/markTruth";
import { readFilm } from "~core/radiograph/readFilm";
import { sentenceCase } from "~core/foot/wording";
import { FilmLines } from "./FilmLines";
import { FilmNumbers, shownValue } from "./FilmNumbers";
import { FilmScaleFields } from "./FilmScaleFields";
import { FilmsCompared } from "./FilmsCompared";
import { useFilmMarks } from "./useFilmMarks";
import { useWindowed } from "./useWindowed";
import "./film.css";

/** One step of an arrow key, px of the film. */
const STEP_PX = 0.5;

/** One radiograph: its scale, its landmarks one after the other, and what they measure as they are placed. */
export function FilmBench({
  file,
  film,
  footLengthMm,
}: {
  file: HorseFile;
  film: Film;
  footLengthMm: number | undefined;
}) {
  const wording = useWording();
  const { save } = useEdits();
  const navigate = useNavigate();
  const { url, missing } = usePicture(film.pictureId);
  const shownUrl = useWindowed(url, film.shown);
  const { points, place, takeAway } = useFilmMarks(film);
  const [selected, setSelected] = useState<string>();
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [view, setView] = useState<"mark" | "compare">("mark");
  const others = file.films.filter(
    ({ id, limb, view: of }) => id !== film.id && limb === film.limb && of === film.view,
  );

  const live = useMemo(() => ({ ...film, points }), [film, points]);
  const read = readFilm(live, footLengthMm);
  const numbers = useMemo(() => filmNumbers(live, footLengthMm), [live, footLengthMm]);
  const byMarker = film.scale?.kind === "marker";
  const all = [...(byMarker ? MARKER_MARKS : []), ...FILM_MARKS[film.view]];
  const next = film.scale ? all.find(({ name }) => !points[name] && !skipped.includes(name)) : undefined;
  const factsOf = (name: string) => filmMark(film.view, name);
  const handles = Object.entries(points).map(([name, at]): Handle<string> => ({
    name,
    label: wording.inOwnWords(factsOf(name)?.label ?? name),
    at,
    known: true,
  }));
  const put = (at: Vector) => {
    if (!next) return;
    place(next.name, at, true);
    setSelected(next.name);
  };
  const takeFilmAway = async () => {
    await save(remove("films", film, `${wording.limb(film.limb)} radiograph`));
    void navigate(`/horses/${film.horseId}/films`);
  };
  const measured = read.ok ? read.value : undefined;
  const held = marksAgainstTruth(live);
  return (
    <div className="page film-page">
      <div className="marking-head">
        <Link className="link" to={`/horses/${film.horseId}/films`}>
          ‹ Radiographs of {file.horse.name}
        </Link>
        <h1>
          {sentenceCase(wording.limb(film.limb))}, {FILM_VIEW_NAMES[film.view].toLowerCase()}
          <span className="quiet"> · {shortDay(film.date)}</span>
        </h1>
        {film.standIn && <span className="brass strong">stand-in: no real foot</span>}
        {others.length > 0 && (
          <Segmented
            aria-label="What to do"
            value={view}
            onChange={setView}
            options={[
              { value: "mark", label: "Mark and measure" },
              { value: "compare", label: "Beside another" },
            ]}
          />
        )}
      </div>
      {view === "compare" ? (
        <FilmsCompared films={[...others, film]} now={film} footLengthMm={footLengthMm} />
      ) : (
        <div className="marking">
          <div className="marking-picture">
            {missing && (
              <p className="ember">The film itself is not in this browser’s store. Its marks are kept.</p>
            )}
            {shownUrl && (
              <PicturePane
                url={shownUrl}
                width={film.width}
                height={film.height}
                name="The radiograph with its marks"
                handles={handles}
                selected={selected}
                armed={next?.name}
                step={STEP_PX}
                over={(thick) => <FilmLines film={live} measures={measured} thick={2.4 * thick} />}
                onPlace={put}
                onSelect={setSelected}
                onMove={(mark, at) => place(mark, at, false)}
                onDrop={(mark, at) => place(mark, at, true)}
              />
            )}
            <ShownGreys film={film} />
          </div>
          <aside className="marking-side">
            <section className="marking-step" aria-label="Next mark" aria-live="polite">
              {!film.scale ? (
                <>
                  <p className="marking-next">First the scale</p>
                  <p>
                    What makes its pixels millimetres: a marker beside the foot, or the detector’s pixels.
                  </p>
                </>
              ) : next ? (
                <>
                  <p className="quiet">
                    {all.filter(({ name }) => points[name]).length + 1} of {all.length} · tap it on the film
                  </p>
                  <p className="marking-next">{wording.inOwnWords(next.label)}</p>
                  <p>{wording.inOwnWords(next.find)}</p>
                  {next.optional && (
                    <p className="marking-acts">
                      <TextButton onClick={() => setSkipped([...skipped, next.name])}>
                        Skip this one
                      </TextButton>
                    </p>
                  )}
                </>
              ) : (
                <p className="marking-next">All marks placed. Drag any of them, or use the arrow keys.</p>
              )}
            </section>
            {!read.ok && film.scale && Object.keys(points).length > 2 && (
              <p className="ember" role="alert">
                {read.issues[0]?.message}
              </p>
            )}
            {numbers.length > 0 && <FilmNumbers numbers={numbers} marked={measured?.marked ?? []} />}
            {!next && held && <Practised held={held} />}
            <FilmScaleFields film={film} says={measured?.scale.says} />
            <HowTaken film={film} />
            <details className="marking-list">
              <summary>Marks</summary>
              <MarkList
                marks={all.map(({ name, label }) => ({
                  mark: name,
                  name: wording.inOwnWords(label),
                  state: points[name] ? "placed" : skipped.includes(name) ? "skipped" : "missing",
                }))}
                selected={selected}
                onSelect={setSelected}
                onAgain={takeAway}
              />
              <TextButton className="ember" onClick={() => void takeFilmAway()}>
                Take this radiograph away
              </TextButton>
            </details>
            <p className="quiet">
              Plumbline measures; it does not diagnose. What the bones mean is for the vet who ordered the
              film.
            </p>
          </aside>
        </div>
      )}
    </div>
  );
}

/** On a stand-in: how far the hand was from the truth. */
function Practised({ held }: { held: MarksHeld }) {
  const wording = useWording();
  return (
    <section className="film-held" aria-label="Your marks against the truth">
      <h2>Your marks against the truth</h2>
      <p>
        <b>{shownValue(held.meanMm, "mm")}</b> off on the mean of {held.n} marks. Furthest:{" "}
        {held.worst
          .map(({ label, mm }) => `${wording.inOwnWords(label).toLowerCase()} ${shownValue(mm, "mm")}`)
          .join(", ")}
        .
      </p>
    </section>
  );
}

/** What of the greys is shown: the film stays as it is. */
function ShownGreys({ film }: { film: Film }) {
  const { save } = useEdits();
  const { shown } = film;
  const [moving, setMoving] = useState<readonly [number, number]>();
  const keep = (now: Film["shown"]) =>
    void save(change("films", film, ["shown"], now, "greys of a radiograph"));
  const [low, high] = moving ?? [100 * shown.low, 100 * shown.high];
  return (
    <div className="film-greys">
      <span id="film-greys" className="quiet">
        Dark to light
      </span>
      <Slider
        range
        min={0}
        max={100}
        value={[low, high]}
        ariaLabelForHandle={["Darkest grey shown", "Lightest grey shown"]}
        tooltip={{ open: false }}
        onChange={([from = 0, to = 100]) => setMoving([from, to])}
        onChangeComplete={([from = 0, to = 100]) => {
          setMoving(undefined);
          if (to - from >= 2) keep({ ...shown, low: from / 100, high: to / 100 });
        }}
      />
      <label className="film-invert">
        <Switch checked={shown.invert} onChange={(invert) => keep({ ...shown, invert })} /> Bone dark
      </label>
      {(shown.low > 0 || shown.high < 1 || shown.invert) && (
        <TextButton onClick={() => keep({ low: 0, high: 1, invert: false })}>As it was taken</TextButton>
      )}
    </div>
  );
}

/** How the film was taken: whatever was not as it ought to be marks its numbers. */
function HowTaken({ film }: { film: Film }) {
  const { save } = useEdits();
  return (
    <section className="film-taken" aria-label="How it was taken">
      <h2>How it was taken</h2>
      {TAKEN_QUESTIONS.map((question) => (
        <div key={question} className="film-asked">
          <span id={`asked-${question}`}>{TAKEN[question].asks[film.view]}</span>
          <Segmented
            aria-labelledby={`asked-${question}`}
            value={film.taken[question] ?? "not known"}
            options={["yes", "no", { value: "not known", label: "?" }]}
            onChange={(answer) =>
              void save(
                change(
                  "films",
                  film,
                  ["taken", question],
                  answer === "not known" ? undefined : (answer as "yes" | "no"),
                  "how a radiograph was taken",
                ),
              )
            }
          />
        </div>
      ))}
    </section>
  );
}
