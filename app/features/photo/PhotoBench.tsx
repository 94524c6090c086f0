import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { useState } from "react";
import { useSearchParams } from "react-router";
import type { Handle } from "~app/drawing/MarkHandles";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { solarFrame } from "~core/foot/survey/frame";
import { suspectSwap } from "~core/foot/survey/swap";
import { footToday } from "~core/visit/feetOfHorse";
import { tapOrder } from "~core/suggest/suggest";
import { surveyOfRecord } from "~core/foot/records/keptSurvey";
import { distance, type Vector } from "~core/geometry/vector";
import { sidesChanged, TRACE } from "~core/photo/fill";
import { PHOTO_MARKS, PHOTO_VIEW_FACTS, photoMarkFacts } from "~core/photo/views";
import type { Photo } from "~core/photo/photoRecord";
import type { StageContext } from "~app/stage/stageContext";
import { MarkList } from "~app/ui/MarkList";
import { PhotoNumbers, PhotoTrust } from "./PhotoSaid";
import { CardFound, useFoundCard } from "./CardFound";
import { PicturePane } from "~app/drawing/PicturePane";
import { ScaleLength } from "./ScaleLength";
import { CORNERS, scaleOf, SCALE_ENDS, usePhotoMarks } from "./usePhotoMarks";
import { SuggestedMarks } from "./SuggestedMarks";
import { useSuggestions } from "./useSuggestions";
import { useMarkAgain } from "./useMarkAgain";
import { usePicture } from "~app/ui/usePicture";
import "./photo.css";

const CORNER_NAMES = ["top left", "top right", "bottom right", "bottom left"];
/** One step of an arrow key on the foot, mm. */
const STEP_MM = 0.1;

/** One photograph: card corners, then the marks one after the other, and what they say as they are placed. */
export function PhotoBench({ context, photo }: { context: StageContext; photo: Photo }) {
  const { limb, feet } = context;
  const [, setSearch] = useSearchParams();
  const wording = useWording();
  const { save } = useEdits();
  const { url, missing } = usePicture(photo.pictureId);
  const base = footToday(context.file.horse, limb, {}, feet[limb].last).foot;
  const { marked, reading, valuesOf, place, take, change, knownLength } = usePhotoMarks(context, photo);
  const [selected, setSelected] = useState<string | undefined>(undefined);
  const [skipped, setSkipped] = useState<readonly string[]>([]);
  const [tracing, setTracing] = useState(false);
  const [twoPoint, setTwoPoint] = useState(photo.scale?.kind === "two-point");

  const scaleMarks: readonly string[] = twoPoint ? SCALE_ENDS : CORNERS;
  const all = [...scaleMarks, ...tapOrder(photo.view)];
  const again = useMarkAgain({
    date: context.visit.date,
    marks: PHOTO_MARKS[photo.view],
    first: marked.points,
    valuesOf,
  });
  const factsOf = (mark: string) => {
    const corner = (CORNERS as readonly string[]).indexOf(mark);
    if (corner >= 0)
      return {
        name: `Card, ${CORNER_NAMES[corner] ?? ""}`,
        find: `The ${CORNER_NAMES[corner] ?? ""} outer corner of the printed frame, its bob hanging down`,
        optional: false,
      };
    if ((SCALE_ENDS as readonly string[]).includes(mark))
      return {
        name: mark === "scale a" ? "Scale, one end" : "Scale, other end",
        find: "An end of something of known length, in the plane of the foot",
        optional: false,
      };
    if (mark.startsWith(TRACE))
      return {
        name: "Edge of the live sole",
        find: "Tap round its edge, from heel to heel: five points or more",
        optional: false,
      };
    const facts = photoMarkFacts(photo.view, mark);
    return { ...facts, name: wording.inOwnWords(facts.name), find: wording.inOwnWords(facts.find) };
  };
  const traced = Object.keys(marked.points).filter((name) => name.startsWith(TRACE));
  const unplaced = all.find((mark) => !marked.points[mark] && !skipped.includes(mark));
  const next = again.marking ? again.next : tracing ? `${TRACE}${traced.length + 1}` : unplaced;
  const move = (mark: string, at: Vector, rest: boolean) => {
    if (!again.marking) place(mark, at, rest);
    else if (!scaleMarks.includes(mark)) again.place(mark, at);
  };
  const scale = scaleOf(marked);
  const pxPerMm = scale
    ? scale.kind === "card"
      ? distance(scale.corners[0], scale.corners[1]) / scale.widthMm
      : distance(scale.a, scale.b) / scale.mm
    : photo.width / 300;
  const handles = [...all, ...(again.marking ? [] : traced)].flatMap((mark): Handle<string>[] => {
    const at = again.points[mark];
    return at ? [{ name: mark, label: factsOf(mark).name, at, known: true }] : [];
  });
  const suggestions = useSuggestions({
    photo,
    base,
    scale: scaleOf(marked),
    lens: marked.lens,
    points: marked.points,
    suggested: marked.suggested,
    wanted: !again.marking,
  });
  const proposed = suggestions?.ok ? suggestions.value.marks : {};
  const open = PHOTO_MARKS[photo.view].filter((mark) => !marked.points[mark] && proposed[mark]);
  const pale = open.flatMap((mark): Handle<string>[] => {
    const one = proposed[mark];
    return one ? [{ name: mark, label: `${factsOf(mark).name}, suggested`, at: one.at, known: false }] : [];
  });
  const corners = CORNERS.flatMap((corner) => {
    const at = marked.points[corner];
    return at ? [at] : [];
  });
  const looked = useFoundCard(photo.pictureId, corners.length === 0 && !twoPoint && !again.marking);
  const seen = looked?.ok ? looked.value : undefined;

  const put = (at: Vector) => {
    if (!next) return;
    move(next, at, true);
    setSelected(next);
  };
  const leave = () => {
    setSearch(
      (now) => {
        const search = new URLSearchParams(now);
        search.delete("photo");
        return search;
      },
      { preventScrollReset: true },
    );
  };
  const remove = () => {
    void save({ table: "photos", id: photo.id, path: [], was: photo, now: undefined, label: "photograph" });
    leave();
  };
  const found = reading?.ok ? reading.value : undefined;
  const lastSole = feet[limb].surveys.at(-1)?.sole;
  const suspicion =
    photo.view === "sole" && found?.lateralTo
      ? suspectSwap(
          limb,
          { lateralTo: found.lateralTo },
          surveyOfRecord(found.filled.sole, limb).survey,
          lastSole && surveyOfRecord(lastSole, limb).survey,
        )
      : undefined;
  const issues = reading && !reading.ok ? reading.issues : (found?.issues ?? []);
  const tooEarly = photo.view === "sole" && !("marks" in solarFrame(marked.points));
  return (
    <div className="marking">
      <div className="marking-head">
        <Button onClick={leave}>‹ All photographs</Button>
        <h2>
          {PHOTO_VIEW_FACTS[photo.view].name}, {wording.limb(limb)}
        </h2>
        {photo.simulated && <span className="brass strong">simulated: no real foot</span>}
      </div>
      <div className="marking-picture">
        {missing && (
          <p className="ember">
            The picture itself is not in this browser’s store. Its marks and readings are kept.
          </p>
        )}
        {url && (
          <PicturePane
            url={url}
            width={photo.width}
            height={photo.height}
            handles={[...handles, ...pale]}
            card={seen ? seen.corners : corners}
            selected={selected}
            armed={next}
            step={STEP_MM * pxPerMm}
            onPlace={put}
            onSelect={setSelected}
            onMove={(mark, at) => move(mark, at, false)}
            onDrop={(mark, at) => move(mark, at, true)}
          />
        )}
      </div>
      <aside className="marking-side">
        <section className="marking-step marking-roomy" aria-label="Next mark" aria-live="polite">
          {next ? (
            <>
              <p className="quiet">
                {again.marking
                  ? `${again.placed}, a second time without looking`
                  : tracing
                    ? `${traced.length} points`
                    : `${handles.length - traced.length + 1} of ${all.length}`}{" "}
                · tap it on the picture
              </p>
              <p className="marking-next">{factsOf(next).name}</p>
              <p>{factsOf(next).find}</p>
              <p className="marking-acts">
                {factsOf(next).optional && !again.marking && (
                  <TextButton onClick={() => setSkipped([...skipped, next])}>Skip this one</TextButton>
                )}
                {tracing && <TextButton onClick={() => setTracing(false)}>The edge is traced</TextButton>}
                {next === CORNERS[0] && !twoPoint && (
                  <TextButton onClick={() => setTwoPoint(true)}>No card in the picture</TextButton>
                )}
              </p>
            </>
          ) : again.marking ? (
            <>
              <p className="marking-next">All marks placed a second time.</p>
              <p className="marking-acts">
                <Button type="primary" onClick={again.keep}>
                  Keep the pairs
                </Button>
              </p>
            </>
          ) : (
            <>
              <p className="marking-next">All marks placed. Drag any of them, or use the arrow keys.</p>
              {found && <TextButton onClick={again.start}>Mark it again, without looking</TextButton>}
              {photo.view === "sole" && (
                <TextButton onClick={() => setTracing(true)}>
                  {traced.length === 0 ? "Trace the edge of the live sole" : "Add to the traced edge"}
                </TextButton>
              )}
            </>
          )}
          {suggestions && !again.marking && (
            <SuggestedMarks
              view={photo.view}
              found={suggestions}
              open={open}
              next={next}
              traced={traced.length > 0}
              onTake={(places) => {
                take(places);
                setSelected(undefined);
              }}
              onTrace={(points) =>
                take(Object.fromEntries(points.map((at, index) => [`${TRACE}${index + 1}`, at])))
              }
            />
          )}
          {again.marking && <TextButton onClick={again.leave}>Leave it</TextButton>}
          {again.said && (
            <p className="quiet" role="status">
              {again.said}
            </p>
          )}
          {twoPoint && !again.marking && (
            <ScaleLength
              text={knownLength.text}
              mm={knownLength.mm}
              issue={knownLength.issue}
              onType={knownLength.type}
              onLeave={() => change(() => ({}), true)}
            />
          )}
        </section>
        {next === CORNERS[0] && looked && (
          <CardFound
            found={looked}
            onTake={({ corners: four, lens }) => {
              take(Object.fromEntries(CORNERS.map((corner, at) => [corner, four[at] as Vector])), lens);
              setSelected(undefined);
            }}
          />
        )}
        {found && !again.marking && <PhotoTrust photo={found.photo} size={photo} lens={marked.lens} />}
        {suspicion && !again.marking && (
          <div className="lane-ask" role="group" aria-label="A question">
            <p>{wording.inOwnWords(suspicion.question)}</p>
            <TextButton
              onClick={() =>
                change(({ points }) => ({ points: sidesChanged(points) as typeof points }), true)
              }
            >
              Change {wording.side("medial")} and {wording.side("lateral")} over
            </TextButton>
          </div>
        )}
        {!again.marking &&
          !(tooEarly && next) &&
          issues.map(({ path, message }) => (
            <p key={path} className="ember" role="alert">
              {wording.inOwnWords(message)}
            </p>
          ))}
        {found && !again.marking && <PhotoNumbers numbers={found.numbers} />}
        <details className="marking-list" hidden={again.marking}>
          <summary>Marks</summary>
          <MarkList
            marks={all.map((mark) => ({
              mark,
              name: factsOf(mark).name,
              state: marked.points[mark] ? "placed" : skipped.includes(mark) ? "skipped" : "missing",
              suggested: marked.suggested.includes(mark),
            }))}
            selected={selected}
            onSelect={setSelected}
            onAgain={(mark) =>
              change(
                ({ points }) => ({
                  points: Object.fromEntries(Object.entries(points).filter(([name]) => name !== mark)),
                }),
                true,
              )
            }
          />
          <TextButton className="ember" onClick={remove}>
            Take this photograph away
          </TextButton>
        </details>
      </aside>
    </div>
  );
}
