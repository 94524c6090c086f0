import { TextButton } from "~app/ui/TextButton";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { keepPicture, type KeptPicture } from "~app/data/pictures";
import { storageTrouble } from "~app/data/trouble";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { withPicturesWorker } from "~app/workers/pictures";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { TRACE } from "~core/photo/fill";
import { usualFocalPx } from "~core/photo/liveFrame";
import { HOW_GOOD_LINE } from "~core/suggest/howGood";
import {
  isMeasured,
  MEASURED_VIEWS,
  PHOTO_MARKS,
  PHOTO_VIEW_FACTS,
  PHOTO_VIEWS,
  type MeasuredView,
  type PhotoView,
} from "~core/photo/views";
import type { Photo } from "~core/photo/photoRecord";
import type { Limb } from "~core/foot/limb";
import type { Moment } from "~core/foot/records/reading";
import type { StageContext } from "~app/stage/stageContext";
import { LiveCamera, ViewsTaken } from "./LiveCamera";
import { hasCamera } from "./useCamera";
import { CORNERS } from "./usePhotoMarks";
import { TakeButton } from "~app/ui/TakeButton";
import { usePicture } from "~app/ui/usePicture";
import "./photo.css";

/** How the simulated camera stands: near enough to square, zoomed in, from 1.6 m. */
const SIMULATED = { rollDeg: 1.5, distanceMm: 1600, focal35: 165, width: 1280, height: 960 };

/** What stands in the address in place of a view when all of a foot's are taken. */
const ALL_TAKEN = "taken";

interface PhotoPanelProps {
  context: StageContext;
  moment: Moment;
  /** The foot that the simulated camera is held to. */
  foot: FootParameters;
}

/** The photographs of this foot by view: take or choose one, or let the simulated camera take it. */
export function PhotoPanel({ context, moment, foot }: PhotoPanelProps) {
  const { visit, file, limb, feet, nextFoot } = context;
  const wording = useWording();
  const settings = useSettings();
  const { save } = useEdits();
  const [search, setSearch] = useSearchParams();
  const [busy, setBusy] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  // A foot of a case is pictured from the front and at its defect too.
  const inCase = file.cases.some(({ status, feet: own }) => status === "open" && own.includes(limb));
  const views: readonly PhotoView[] = inCase ? PHOTO_VIEWS : MEASURED_VIEWS;
  const photos = feet[limb].photos.filter((photo) => photo.moment === moment);
  const go = (places: Readonly<Record<string, string | undefined>>) =>
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [name, value] of Object.entries(places))
          if (value === undefined) next.delete(name);
          else next.set(name, value);
        return next;
      },
      { preventScrollReset: true },
    );
  const open = (id: string) => go({ photo: id, camera: undefined });
  // Which view the camera is held to stands in the address, so that it goes on with the next foot.
  const camera = search.get("camera");
  const looking = camera === ALL_TAKEN ? ALL_TAKEN : views.find((view) => view === camera);
  const toTake = (of: Limb, from = 0): PhotoView[] =>
    views
      .slice(from)
      .filter((view) => !feet[of].photos.some((photo) => photo.moment === moment && photo.view === view));
  /** Keeps a picture; its record's id, or nothing where it could not be kept. */
  const take = async (
    view: PhotoView,
    from: () => Promise<{ file: Blob; focalPx?: number | undefined; zoom?: number }>,
    by: "file" | "camera" | "simulated",
  ): Promise<string | undefined> => {
    setTrouble(undefined);
    setBusy(by === "simulated" ? "The simulated camera is taking its picture …" : "Readying the picture …");
    try {
      const { file, focalPx, zoom } = await from();
      const kept = await keepPicture(file);
      if (!kept.ok) {
        setTrouble(kept.issues[0]?.message);
        return undefined;
      }
      const photo = photoRecord(kept.value, { view, by, focalPx, zoom });
      await save({
        table: "photos",
        id: photo.id,
        path: [],
        was: undefined,
        now: photo,
        label: "photograph",
      });
      return photo.id;
    } catch (error) {
      setTrouble(storageTrouble(error));
      return undefined;
    } finally {
      setBusy(undefined);
    }
  };
  const takeOne = async (...asked: Parameters<typeof take>) => {
    const id = await take(...asked);
    if (id !== undefined) open(id);
  };
  const shot = async (picture: Blob, zoom: number) => {
    if (!looking || looking === ALL_TAKEN || busy !== undefined) return;
    const id = await take(looking, () => Promise.resolve({ file: picture, zoom }), "camera");
    if (id === undefined) return go({ camera: undefined });
    go({ camera: toTake(limb, views.indexOf(looking) + 1)[0] ?? ALL_TAKEN });
  };
  /** The camera is left; the first picture that nothing is marked in is opened. */
  const leaveCamera = () => {
    const unmarked = views
      .flatMap((view) => photos.filter((photo) => photo.view === view))
      .find(({ points }) => Object.keys(points).length === 0);
    if (unmarked) open(unmarked.id);
    else go({ camera: undefined });
  };
  const photoRecord = (
    kept: KeptPicture,
    made: {
      view: PhotoView;
      by: "file" | "camera" | "simulated";
      focalPx: number | undefined;
      zoom: number | undefined;
    },
  ): Photo => {
    const simulated = made.by === "simulated";
    const told = made.focalPx ?? kept.focalPx;
    // A picture out of the live frame carries no data of its own; how the camera sees is known well enough to guess.
    const focalPx = told ?? (made.by === "camera" ? usualFocalPx(kept, made.zoom) : undefined);
    return {
      id: crypto.randomUUID(),
      visitId: visit.id,
      horseId: visit.horseId,
      limb,
      moment,
      view: made.view,
      date: visit.date,
      takenAt: new Date().toISOString(),
      pictureId: kept.pictureId,
      width: kept.width,
      height: kept.height,
      simulated,
      points: {},
      ...(focalPx !== undefined && { focalPx }),
      ...(focalPx !== undefined && told === undefined && { focalGuessed: true }),
      ...(settings.cameraLens && !simulated && { lens: settings.cameraLens }),
    };
  };
  const simulate = (view: MeasuredView) =>
    takeOne(
      view,
      async () => {
        const seed = Math.floor(Math.random() * 1e6);
        const shot = { ...SIMULATED, slantDeg: 3 + 6 * Math.random(), azimuthDeg: 360 * Math.random() };
        const { bytes, truth } = await withPicturesWorker((remote) =>
          remote.simulate(foot, view, shot, seed),
        );
        return { file: new Blob([bytes], { type: "image/jpeg" }), focalPx: truth.focalPx };
      },
      "simulated",
    );
  return (
    <div className="photos bench-lane">
      {looking === ALL_TAKEN ? (
        <ViewsTaken
          limb={limb}
          nextFoot={nextFoot && toTake(nextFoot)[0] ? nextFoot : undefined}
          onNext={(next) => go({ foot: next, camera: toTake(next)[0] })}
          onMark={leaveCamera}
        />
      ) : (
        looking && (
          <LiveCamera
            limb={limb}
            view={looking}
            left={toTake(limb, views.indexOf(looking) + 1).length}
            busy={busy !== undefined}
            onShot={(picture, zoom) => void shot(picture, zoom)}
            onClose={leaveCamera}
          />
        )
      )}
      <p className="quiet">
        A printed card makes a picture measurable.{" "}
        <Link className="link" to="/card">
          Print the card
        </Link>
      </p>
      <p className="quiet photo-note">{HOW_GOOD_LINE}</p>
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
      {views.map((view) => (
        <section key={view} className="photo-view" aria-label={PHOTO_VIEW_FACTS[view].name}>
          <h3>{PHOTO_VIEW_FACTS[view].name}</h3>
          <p className="quiet">
            {PHOTO_VIEW_FACTS[view].card} {PHOTO_VIEW_FACTS[view].take}
          </p>
          {photos
            .filter((photo) => photo.view === view)
            .map((photo) => (
              <PhotoTile
                key={photo.id}
                photo={photo}
                label={`${PHOTO_VIEW_FACTS[view].name}, ${wording.limb(limb)}`}
                onOpen={() => open(photo.id)}
              />
            ))}
          <div className="marking-acts">
            <TakeButton
              label={`Take or choose: ${PHOTO_VIEW_FACTS[view].name.toLowerCase()}`}
              disabled={busy !== undefined}
              onFile={(file) => void takeOne(view, () => Promise.resolve({ file }), "file")}
            />
            {hasCamera() && (
              <TextButton disabled={busy !== undefined} onClick={() => go({ camera: view })}>
                Camera that watches the card
              </TextButton>
            )}
            {isMeasured(view) && (
              <TextButton disabled={busy !== undefined} onClick={() => void simulate(view)}>
                Simulated camera
              </TextButton>
            )}
          </div>
        </section>
      ))}
    </div>
  );
}

function PhotoTile({ photo, label, onOpen }: { photo: Photo; label: string; onOpen: () => void }) {
  const { url, missing } = usePicture(photo.pictureId);
  const wanted = PHOTO_MARKS[photo.view].length + CORNERS.length;
  const placed = Object.keys(photo.points).filter((name) => !name.startsWith(TRACE)).length;
  return (
    <button
      type="button"
      className="photo-tile"
      aria-label={`Open the photograph: ${label}`}
      onClick={onOpen}
    >
      {url ? <img src={url} alt="" /> : <span className="quiet">{missing ? "not in this store" : "…"}</span>}
      <span>
        {placed === 0 ? "not marked yet" : `${placed} of ${wanted} marks`}
        {photo.simulated && <span className="brass"> · simulated</span>}
      </span>
    </button>
  );
}
