import { Segmented, Slider } from "antd";
import { useLayoutEffect, useRef, useState } from "react";
import { shortDay } from "~app/ui/days";
import { PickOne } from "~app/ui/PickOne";
import { usePicture } from "~app/ui/usePicture";
import { useWording } from "~app/ui/useWording";
import { LIMBS } from "~core/foot/limb";
import { sentenceCase } from "~core/foot/wording";
import type { Photo } from "~core/photo/photoRecord";
import { cssMatrix, layPicture, SHOWN } from "~core/photo/thenNow";
import { PHOTO_VIEW_FACTS, PHOTO_VIEWS } from "~core/photo/views";
import "./thenNow.css";

/** The pictures of one foot in one view, then over now at one scale, with a slider between; and all of them as a strip. */
export function ThenNow({ photos }: { photos: readonly Photo[] }) {
  const wording = useWording();
  const [chosen, setChosen] = useState<{ limb?: Photo["limb"]; view?: Photo["view"] }>({});
  const limbs = LIMBS.filter((limb) => photos.some((photo) => photo.limb === limb));
  const limb = limbs.find((one) => one === chosen.limb) ?? limbs[0];
  const views = PHOTO_VIEWS.filter((view) => photos.some((one) => one.limb === limb && one.view === view));
  const view = views.find((one) => one === chosen.view) ?? views[0];
  if (!limb || !view) return null;
  const own = photos
    .filter((photo) => photo.limb === limb && photo.view === view)
    .sort((a, b) => a.date.localeCompare(b.date) || a.takenAt.localeCompare(b.takenAt));
  return (
    <section className="then-now" aria-label="Pictures then and now">
      <div className="then-now-head">
        <h2>Then and now</h2>
        <Segmented
          aria-label="Foot"
          options={limbs}
          value={limb}
          onChange={(next) => setChosen({ ...chosen, limb: next })}
        />
        {views.length > 1 && (
          <Segmented
            aria-label="View"
            options={views.map((value) => ({ value, label: PHOTO_VIEW_FACTS[value].name }))}
            value={view}
            onChange={(next) => setChosen({ ...chosen, view: next })}
          />
        )}
      </div>
      <Pair
        key={`${limb} ${view}`}
        photos={own}
        name={`${sentenceCase(wording.limb(limb))}, ${PHOTO_VIEW_FACTS[view].name.toLowerCase()}`}
      />
    </section>
  );
}

const momentName = ({ date, moment }: Photo): string =>
  `${shortDay(date)}, ${moment === "before" ? "as it came" : "done"}`;

/** Two pictures over one another; the newest over the first unless others are chosen. */
function Pair({ photos, name }: { photos: readonly Photo[]; name: string }) {
  const [then, setThen] = useState(photos[0]?.id);
  const [now, setNow] = useState(photos.at(-1)?.id);
  const [at, setAt] = useState(50);
  const [first, second] = [photos.find(({ id }) => id === then), photos.find(({ id }) => id === now)];
  if (!first || !second) return null;
  const options = photos.map((photo) => ({ value: photo.id, label: momentName(photo) }));
  const bare = [first, second].filter((photo) => !layPicture(photo)?.ok);
  const unmarked = [first, second].filter((photo) => {
    const laid = layPicture(photo);
    return laid?.ok && laid.value.by === "scale";
  });
  return (
    <div className="then-now-pair">
      <div>
        {bare.length > 0 ? (
          <p>
            {bare.map(momentName).join(" and ")}: no card or known length is marked, so it has no scale to be
            laid by. Mark it at its visit, under Survey.
          </p>
        ) : (
          <>
            <Laid first={first} second={second} at={at} name={name} />
            <Slider
              ariaLabelForHandle="How much of now is shown"
              value={at}
              onChange={setAt}
              tooltip={{ open: false }}
            />
          </>
        )}
      </div>
      <div className="then-now-beside">
        <div className="then-now-chosen">
          <label>
            <span className="quiet">Then, to the left</span>
            <PickOne label="Then" value={first.id} options={options} onPick={setThen} />
          </label>
          <label>
            <span className="quiet">Now, to the right</span>
            <PickOne label="Now" value={second.id} options={options} onPick={setNow} />
          </label>
        </div>
        <ul className="then-now-strip" aria-label="All pictures of this view">
          {photos.map((photo) => (
            <li key={photo.id}>
              <Tile
                photo={photo}
                shown={photo.id === first.id || photo.id === second.id}
                onChoose={() => setNow(photo.id)}
              />
            </li>
          ))}
        </ul>
        {unmarked.length > 0 && (
          <p className="quiet">
            {unmarked.map(momentName).join(" and ")}: at its true scale, but its marks are not placed; it is
            laid by its middle.
          </p>
        )}
        {bare.length === 0 && (
          <p className="quiet">
            At one scale by the card, laid over one another by the marks. What lies off the card’s plane may
            stand a little aside.
          </p>
        )}
      </div>
    </div>
  );
}

/** Both pictures in one frame, the second uncovered from the right. */
function Laid({ first, second, at, name }: { first: Photo; second: Photo; at: number; name: string }) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const shown = SHOWN[first.view];
  return (
    <div
      ref={box}
      className="then-now-frame"
      role="img"
      aria-label={`${name}: ${momentName(first)} to the left, ${momentName(second)} to the right, at one scale`}
      style={{ aspectRatio: `${shown.width} / ${shown.height}` }}
    >
      <Picture photo={first} pxPerMm={width / shown.width} />
      <div className="then-now-over" style={{ clipPath: `inset(0 0 0 ${100 - at}%)` }}>
        <Picture photo={second} pxPerMm={width / shown.width} />
      </div>
      <span className="then-now-edge" style={{ left: `${100 - at}%` }} aria-hidden />
    </div>
  );
}

function Picture({ photo, pxPerMm }: { photo: Photo; pxPerMm: number }) {
  const { url } = usePicture(photo.pictureId);
  const laid = layPicture(photo);
  if (!url || !laid?.ok || pxPerMm === 0) return null;
  return (
    <img
      src={url}
      alt=""
      width={photo.width}
      height={photo.height}
      style={{ transform: cssMatrix(laid.value, photo.view, pxPerMm) }}
    />
  );
}

function Tile({ photo, shown, onChoose }: { photo: Photo; shown: boolean; onChoose: () => void }) {
  const { url, missing } = usePicture(photo.pictureId);
  return (
    <button type="button" className="then-now-tile" aria-pressed={shown} onClick={onChoose}>
      {url ? <img src={url} alt="" /> : <span className="quiet">{missing ? "not in this store" : "…"}</span>}
      <span>
        {momentName(photo)}
        {photo.simulated && <span className="brass"> · simulated</span>}
      </span>
    </button>
  );
}
