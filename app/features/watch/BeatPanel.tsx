import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import { BeatChart } from "~app/charts/beat/BeatChart";
import { beatModel } from "~app/charts/beat/model";
import { TakeButton } from "~app/ui/TakeButton";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { footfallsInWorker } from "~app/workers/gait";
import { beatChange, beatInWords, isThin, readBeat, type KeptBeat } from "~core/gait/beat";
import type { Heard } from "~core/gait/footfalls";
import { beatBefore, type LookOfVisit } from "~core/gait/looks";
import { sentenceCase } from "~core/foot/wording";
import type { Visit } from "~core/record/visit";
import { HeardEditor } from "./HeardEditor";
import { lookEdit } from "./lookEdit";
import { lookName } from "./lookName";
import { readSound } from "./readSound";
import { useTaps } from "./useTaps";

interface BeatPanelProps {
  visit: Visit;
  looks: readonly LookOfVisit[];
  look: LookOfVisit;
  lastLooks: readonly LookOfVisit[];
  /** A clip whose sound was asked for. */
  clip: File | undefined;
}

/** A beat that is not kept yet. */
interface Draft extends KeptBeat {
  heard?: Heard;
}

const fromFirst = (times: readonly number[]): number[] => times.map((time) => time - (times[0] ?? 0));

/** The beat of a look: tapped along or heard, read, held against the one before. A metronome, and it says so. */
export function BeatPanel({ visit, looks, look, lastLooks, clip }: BeatPanelProps) {
  const { save } = useEdits();
  const [draft, setDraft] = useState<Draft | undefined>(undefined);
  const [said, setSaid] = useState<string | undefined>(undefined);
  const [listening, setListening] = useState(false);
  const taps = useTaps((times) => {
    setSaid(undefined);
    if (times.length > 0) setDraft({ times, from: "tapped" });
  });
  const listen = async (file: File) => {
    setDraft(undefined);
    setSaid(undefined);
    setListening(true);
    const sound = await readSound(file);
    if (!sound.ok) setSaid(sound.message);
    else {
      const heard = await footfallsInWorker(sound.samples, sound.rate).answer.catch(() => undefined);
      if (!heard) setSaid("The sound could not be worked through. Try it again, or tap along with it.");
      else if (!heard.ok) setSaid(heard.issues[0]?.message);
      else setDraft({ times: heard.value.falls.map(({ at }) => at), from: "sound", heard: heard.value });
    }
    setListening(false);
  };
  const hear = useRef(listen);
  useEffect(() => {
    hear.current = listen;
  });
  useEffect(() => {
    if (clip) void hear.current(clip);
  }, [clip]);
  const shown: Draft | undefined = draft ?? look.beat;
  const read = shown && readBeat(shown.times);
  const before = beatBefore(looks, look.id, lastLooks);
  const readBefore = before && readBeat(before.beat.times);
  const keep = () => {
    if (!draft) return;
    void save(lookEdit(visit, look.id, "beat", { times: fromFirst(draft.times), from: draft.from }));
    setDraft(undefined);
  };
  if (taps.tapping) {
    const live = readBeat(taps.times);
    return (
      <section className="watch-beat" aria-label="Beat">
        <h2>Beat</h2>
        <button
          type="button"
          className="beat-pad"
          aria-label="Tap with every footfall"
          onPointerDown={(event) => taps.tap(event.timeStamp)}
        >
          <b>{taps.times.length}</b>
          <span>{live.ok ? `${Math.round(live.value.perMinute)} a minute` : "with every footfall"}</span>
          <span className="quiet">space bar or here; it ends when you stop</span>
        </button>
        <div className="beat-acts">
          <Button onClick={taps.stop}>Done</Button>
        </div>
      </section>
    );
  }
  const model = shown && beatModel(shown.times);
  const modelBefore = before && beatModel(before.beat.times);
  const longest = Math.max(model?.longest ?? 0, modelBefore?.longest ?? 0);
  const nameBefore = before && `${before.ofLastVisit ? "the last visit, " : ""}${lookName(before.look)}`;
  return (
    <section className="watch-beat" aria-label="Beat">
      <h2>Beat</h2>
      <div className="beat-acts">
        <Button onClick={taps.start}>Tap along</Button>
        <TakeButton
          label="Hear it in a recording"
          accept="audio/*,video/*"
          beside
          onFile={(file) => void listen(file)}
        >
          From a recording
        </TakeButton>
        {look.beat && !draft && (
          <TextButton onClick={() => void save(lookEdit(visit, look.id, "beat", undefined))}>
            Take it away
          </TextButton>
        )}
      </div>
      {listening && <p className="quiet">Listening …</p>}
      {said && (
        <p className="ember" role="alert">
          {said}
        </p>
      )}
      {draft?.heard && (
        <HeardEditor
          heard={draft.heard}
          times={draft.times}
          onTimes={(times) => setDraft({ ...draft, times })}
        />
      )}
      {read && !read.ok && (
        <p className="ember" role="alert">
          {read.issues[0]?.message}
        </p>
      )}
      {!shown && readBefore?.ok && (
        <p>
          {sentenceCase(nameBefore ?? "")}: {beatInWords(readBefore.value)}.
        </p>
      )}
      {read?.ok && (
        <>
          <p className="beat-said">
            {readBefore?.ok ? beatChange(readBefore.value, read.value) : `${beatInWords(read.value)}.`}
          </p>
          {(isThin(read.value) || read.value.gaps.length > 0) && (
            <p className="quiet">
              {isThin(read.value) && `Only ${read.value.used} steps in between: six to ten tell more. `}
              {read.value.gaps.length > 0 &&
                `A footfall seems to be missing after number ${read.value.gaps.map((at) => at + 1).join(", ")}.`}
            </p>
          )}
        </>
      )}
      {(model ?? modelBefore) && (
        <div className="beat-charts">
          {model && (
            <figure>
              <BeatChart model={model} longest={longest} title={`Steps, ${lookName(look)}`} />
              <figcaption>{lookName(look)}</figcaption>
            </figure>
          )}
          {modelBefore && (
            <figure>
              <BeatChart model={modelBefore} longest={longest} title={`Steps, ${nameBefore ?? ""}`} />
              <figcaption className="quiet">{nameBefore}</figcaption>
            </figure>
          )}
        </div>
      )}
      {draft && read?.ok && (
        <div className="beat-acts">
          <Button type="primary" onClick={keep}>
            Keep this beat
          </Button>
          <TextButton onClick={() => setDraft(undefined)}>Leave it</TextButton>
        </div>
      )}
      <p className="quiet beat-note">
        A metronome: how even the feet fall, not why. First and last step are left out. An uneven beat is the
        vet’s.
      </p>
    </section>
  );
}
