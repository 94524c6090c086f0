import { Segmented, Slider } from "antd";
import { useLayoutEffect, useRef, useState } from "react";
import { shortDay } from "~app/ui/days";
import { PickOne } from "~app/ui/PickOne";
import { usePicture } from "~app/ui/usePicture";
import { useWording } from "~app/ui/useWording";
import { filmCss, FILM_SHOWN, layFilm } from "~core/radiograph/layFilm";
import { filmNumbers } from "~core/radiograph/filmNumbers";
import type { Film } from "~core/radiograph/filmRecord";
import { shownValue } from "./FilmNumbers";
import { useWindowed } from "./useWindowed";

interface FilmsComparedProps {
  /** Of one foot and view. */
  films: readonly Film[];
  now: Film;
  footLengthMm: number | undefined;
}

/** Two films of one foot, side by side or over each other, at one scale about the centre of rotation, and their numbers. */
export function FilmsCompared({ films, now, footLengthMm }: FilmsComparedProps) {
  const wording = useWording();
  const inOrder = [...films].sort((a, b) => a.date.localeCompare(b.date));
  const [thenId, setThen] = useState(inOrder.find(({ id }) => id !== now.id)?.id);
  const [way, setWay] = useState<"side" | "over">("over");
  const [at, setAt] = useState(50);
  const then = films.find(({ id }) => id === thenId);
  if (!then) return null;
  const [first, second] = then.date <= now.date ? [then, now] : [now, then];
  const bare = [first, second].filter((film) => !layFilm(film).ok);
  const [was, is] = [first, second].map((film) => filmNumbers(film, footLengthMm));
  return (
    <div className="films-compared">
      <div>
        <div className="films-chosen">
          <PickOne
            label="The other film"
            value={then.id}
            options={inOrder
              .filter(({ id }) => id !== now.id)
              .map(({ id, date }) => ({ value: id, label: shortDay(date) }))}
            onPick={setThen}
          />
          <Segmented
            aria-label="How they lie"
            value={way}
            onChange={setWay}
            options={[
              { value: "over", label: "Over each other" },
              { value: "side", label: "Side by side" },
            ]}
          />
        </div>
        {bare.length > 0 ? (
          <p>
            {bare.map(({ date }) => shortDay(date)).join(" and ")}: its scale and marks are not complete, so
            it cannot be laid by the other. Mark it first.
          </p>
        ) : way === "over" ? (
          <>
            <div
              className="films-frame"
              role="img"
              aria-label={`${shortDay(first.date)} to the left, ${shortDay(second.date)} to the right, at one scale`}
              style={{ aspectRatio: `${FILM_SHOWN.width} / ${FILM_SHOWN.height}` }}
            >
              <LaidFilm film={first} />
              <div className="films-over" style={{ clipPath: `inset(0 0 0 ${100 - at}%)` }}>
                <LaidFilm film={second} />
              </div>
              <span className="films-edge" style={{ left: `${100 - at}%` }} aria-hidden />
            </div>
            <Slider
              ariaLabelForHandle="How much of the later film is shown"
              value={at}
              onChange={setAt}
              tooltip={{ open: false }}
            />
          </>
        ) : (
          <div className="films-beside">
            {[first, second].map((film) => (
              <figure key={film.id}>
                <div
                  className="films-frame"
                  role="img"
                  aria-label={`The film of ${shortDay(film.date)}`}
                  style={{ aspectRatio: `${FILM_SHOWN.width} / ${FILM_SHOWN.height}` }}
                >
                  <LaidFilm film={film} />
                </div>
                <figcaption>{shortDay(film.date)}</figcaption>
              </figure>
            ))}
          </div>
        )}
        <p className="quiet">At one scale, level, the centre of rotation in one place.</p>
      </div>
      <section className="film-numbers" aria-label="Then and now">
        <table>
          <thead>
            <tr>
              <th scope="col">Measure</th>
              <th scope="col">{shortDay(first.date)}</th>
              <th scope="col">{shortDay(second.date)}</th>
              <th scope="col">Change</th>
            </tr>
          </thead>
          <tbody>
            {(is ?? []).flatMap(({ id, name, unit, value, band }) => {
              const before = was?.find((one) => one.id === id);
              if (!before) return [];
              const by = value - before.value;
              const sure = Math.abs(by) > Math.hypot(band, before.band);
              return [
                <tr key={id}>
                  <th scope="row">{wording.inOwnWords(name)}</th>
                  <td>{shownValue(before.value, unit)}</td>
                  <td>{shownValue(value, unit)}</td>
                  <td className={sure ? "strong" : "quiet"}>
                    {sure ? `${by > 0 ? "+" : "−"}${shownValue(Math.abs(by), unit)}` : "within the marks"}
                  </td>
                </tr>,
              ];
            })}
          </tbody>
        </table>
      </section>
    </div>
  );
}

function LaidFilm({ film }: { film: Film }) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const { url } = usePicture(film.pictureId);
  const shown = useWindowed(url, film.shown);
  const laid = layFilm(film);
  return (
    <div ref={box} className="films-laid">
      {shown && laid.ok && width > 0 && (
        <img
          src={shown}
          alt=""
          width={film.width}
          height={film.height}
          style={{ transform: filmCss(laid.value, width / FILM_SHOWN.width) }}
        />
      )}
    </div>
  );
}
