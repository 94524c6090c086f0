import { Button, Switch } from "antd";
import { useEffect, useRef, useState } from "react";
import { keepPicture } from "~app/data/pictures";
import { storageTrouble } from "~app/data/trouble";
import type { StageContext } from "~app/stage/stageContext";
import { TakeButton } from "~app/ui/TakeButton";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { usePicture } from "~app/ui/usePicture";
import { useWording } from "~app/ui/useWording";
import { LIMBS, type Limb } from "~core/foot/limb";
import { sentenceCase } from "~core/foot/wording";
import type { LookOfVisit } from "~core/gait/looks";
import { footEdit, watchingPlace } from "~core/record/footRecords";
import { ClipPlayer } from "./ClipPlayer";
import { lookName } from "./lookName";
import { usePlayer } from "./usePlayer";
import { frameOf } from "~app/ui/frameOf";
import { useRecorder } from "./useRecorder";

interface ClipPanelProps {
  context: StageContext;
  look: LookOfVisit;
  /** Its sound goes to the beat. */
  onHear: (clip: File) => void;
}

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;

/** Clips of a look: stepped to the frame in which a foot lands, two of them in step; stills are kept, the clip never is. */
export function ClipPanel({ context, look, onHear }: ClipPanelProps) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save } = useEdits();
  const [clip, setClip] = useState<File | undefined>(undefined);
  const [other, setOther] = useState<File | undefined>(undefined);
  const [rate, setRate] = useState(0.25);
  /** How far the second clip is ahead of the first, s, while they go in step. */
  const [ahead, setAhead] = useState<number | undefined>(undefined);
  const [said, setSaid] = useState<string | undefined>(undefined);
  const second = usePlayer(other);
  const follow = (time: number) => {
    const element = second.video.current;
    if (ahead !== undefined && element?.paused) second.seek(Math.max(0, time + ahead));
  };
  const first = usePlayer(clip, follow);
  const recorder = useRecorder(setClip);
  const stepFirst = (by: number) => {
    first.step(by);
    if (ahead !== undefined) second.step(by);
  };
  const seekFirst = (to: number) => {
    first.seek(to);
    if (ahead !== undefined) second.seek(Math.max(0, to + ahead));
  };
  const stillEdit = (of: Limb, stillId: string | undefined) =>
    footEdit(watchingPlace(visit, of, look.id), "watchings", feet[of].watching[look.id], {
      path: ["stillId"],
      now: stillId,
      label: `${wording.limb(of)} landing`,
    });
  const keep = async () => {
    setSaid(undefined);
    try {
      const frame = first.video.current && (await frameOf(first.video.current));
      if (!frame) return setSaid("This frame could not be made a picture of. Step to another one.");
      const kept = await keepPicture(frame);
      if (!kept.ok) return setSaid(kept.issues[0]?.message);
      await save(stillEdit(limb, kept.value.pictureId));
      setSaid(`Kept, ${Math.max(1, Math.round(frame.size / 1000))} kB.`);
    } catch (error) {
      setSaid(storageTrouble(error));
    }
  };
  const stills = LIMBS.flatMap((of) => {
    const id = feet[of].watching[look.id]?.stillId;
    return id === undefined ? [] : [{ of, id }];
  });
  return (
    <section className="watch-clip" aria-label="Clip">
      <h2>Clip</h2>
      <div className="clip-acts">
        <TakeButton label="Choose a clip" accept="video/*" beside onFile={setClip}>
          {clip ? "Another clip" : "Choose a clip"}
        </TakeButton>
        {recorder.can &&
          (recorder.recording ? (
            <Button danger onClick={recorder.stop}>
              Stop, {recorder.seconds} s
            </Button>
          ) : (
            <Button onClick={() => void recorder.start()}>Record</Button>
          ))}
        {clip && first.ready && (
          <TakeButton label="A second clip beside it" accept="video/*" beside onFile={setOther}>
            {other ? "Another beside it" : "A second one beside it"}
          </TakeButton>
        )}
        {clip && <Button onClick={() => onHear(clip)}>Hear its beat</Button>}
      </div>
      {recorder.trouble && (
        <p className="ember" role="alert">
          {recorder.trouble}
        </p>
      )}
      {recorder.live && <LivePicture stream={recorder.live} />}
      {clip && (
        <p className="quiet">
          {megabytes(clip.size)}. Nothing of it is stored but the frames you keep, some 100 kB each; the clip
          stays
          {clip.name === "recorded here" ? " on this page until you leave it." : " in its file."}
        </p>
      )}
      <div className="clip-pair" data-two={other !== undefined}>
        {clip && (
          <ClipPlayer
            player={{ ...first, step: stepFirst, seek: seekFirst }}
            name="First clip"
            rate={rate}
            onRate={setRate}
          >
            <div className="clip-acts">
              <Button type="primary" onClick={() => void keep()}>
                Keep this frame: {wording.limb(limb)} lands
              </Button>
              {said && <span aria-live="polite">{said}</span>}
            </div>
          </ClipPlayer>
        )}
        {other && (
          <ClipPlayer player={second} name="Second clip" rate={rate} onRate={setRate}>
            <label className="clip-step">
              <Switch
                checked={ahead !== undefined}
                onChange={(inStep) => setAhead(inStep ? second.time - first.time : undefined)}
                aria-label="In step from these two frames on"
              />
              In step from these two frames on
            </label>
          </ClipPlayer>
        )}
      </div>
      {stills.length > 0 && (
        <ul className="clip-stills" aria-label="Landings kept">
          {stills.map(({ of, id }) => (
            <li key={of}>
              <Still pictureId={id} name={`${wording.limb(of)} landing, ${lookName(look)}`} />
              <span>{sentenceCase(wording.limb(of))}</span>
              <TextButton onClick={() => void save(stillEdit(of, undefined))}>Take it away</TextButton>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Still({ pictureId, name }: { pictureId: string; name: string }) {
  const { url, missing } = usePicture(pictureId);
  return missing ? (
    <p className="quiet">The picture is not in the store.</p>
  ) : url ? (
    <img src={url} alt={name} />
  ) : null;
}

function LivePicture({ stream }: { stream: MediaStream }) {
  const video = useRef<HTMLVideoElement>(null);
  useEffect(() => {
    if (video.current) video.current.srcObject = stream;
  }, [stream]);
  return (
    <video ref={video} className="clip-live" muted autoPlay playsInline aria-label="What the camera sees" />
  );
}
