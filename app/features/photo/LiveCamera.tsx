import { Button, Switch } from "antd";
import { useState } from "react";
import { useWording } from "~app/ui/useWording";
import type { Limb } from "~core/foot/limb";
import { FAULT_WORDS, type FrameFault, type LiveFrame } from "~core/photo/liveFrame";
import { PHOTO_VIEW_FACTS, type PhotoView } from "~core/photo/views";
import { useCamera } from "./useCamera";
import "./camera.css";

interface LiveCameraProps {
  limb: Limb;
  view: PhotoView;
  /** Pictures that come after this one without leaving the camera. */
  left: number;
  busy: boolean;
  onShot: (picture: Blob, zoom: number) => void;
  onClose: () => void;
}

/** What is told of a frame, and which faults mean that it is wrong. */
const TOLD: readonly {
  name: string;
  faults: readonly FrameFault[];
  value: (frame: LiveFrame, angle: (deg: number) => string) => string;
}[] = [
  {
    name: "Card",
    faults: ["no-card", "unsure", "small", "large"],
    value: ({ corners, faults }) =>
      !corners ? "not seen" : faults.includes("unsure") ? "not clear" : "seen",
  },
  {
    name: "Slant",
    faults: ["slanted"],
    value: ({ slantDeg }, angle) => (slantDeg === undefined ? "·" : angle(slantDeg)),
  },
  {
    name: "Distance",
    faults: ["near", "far"],
    value: ({ distanceMm }) => (distanceMm === undefined ? "·" : `≈ ${(distanceMm / 1000).toFixed(1)} m`),
  },
  {
    name: "Light",
    faults: ["dark", "bright"],
    value: ({ light, faults }) =>
      light === undefined
        ? "·"
        : faults.includes("dark")
          ? "dark"
          : faults.includes("bright")
            ? "glare"
            : "good",
  },
  {
    name: "Sharp",
    faults: ["blurred"],
    value: ({ blurPx, faults }) => (blurPx === undefined ? "·" : faults.includes("blurred") ? "no" : "yes"),
  },
];

/** The device's camera with the card watched in it: what is wrong is said, and the shutter goes when nothing is. */
export function LiveCamera({ limb, view, left, busy, onShot, onClose }: LiveCameraProps) {
  const wording = useWording();
  const [byItself, setByItself] = useState(true);
  const { video, frame, size, trouble, shoot } = useCamera(byItself && !busy, onShot);
  const facts = PHOTO_VIEW_FACTS[view];
  const [fault] = frame?.faults ?? [];
  const say =
    trouble ??
    (busy
      ? "Kept."
      : !frame
        ? "Looking for the card …"
        : fault
          ? FAULT_WORDS[fault]
          : byItself
            ? "Hold still …"
            : "All is right: take it.");
  return (
    <section className="camera" aria-label="Camera">
      <header className="camera-head">
        <h2>
          {facts.name}, {wording.limb(limb)}
        </h2>
        <p>{facts.card}</p>
      </header>
      <div className="camera-view">
        <video ref={video} muted playsInline aria-label="What the camera sees" />
        {size && frame?.corners && (
          <svg
            viewBox={`0 0 ${size.width} ${size.height}`}
            preserveAspectRatio="xMidYMid meet"
            aria-hidden="true"
          >
            <polygon
              className={frame.faults.length === 0 ? "camera-card camera-good" : "camera-card"}
              points={frame.corners.map(([x, y]) => `${x * size.width},${y * size.height}`).join(" ")}
              style={{ strokeWidth: size.width / 160 }}
            />
          </svg>
        )}
      </div>
      <p className={fault ? "camera-say camera-fault" : "camera-say"} role={trouble ? "alert" : "status"}>
        {say}
      </p>
      <dl className="camera-told">
        {TOLD.map(({ name, faults, value }) => {
          const wrong = frame?.faults.some((one) => faults.includes(one)) ?? false;
          return (
            <div key={name} className={wrong ? "camera-wrong" : undefined}>
              <dt>{name}</dt>
              <dd>{frame ? value(frame, wording.angle) : "·"}</dd>
            </div>
          );
        })}
      </dl>
      <footer className="camera-acts">
        <Button onClick={onClose}>Close</Button>
        <Button type="primary" size="large" disabled={trouble !== undefined || busy} onClick={shoot}>
          Take it now
        </Button>
        <label className="camera-self">
          <Switch checked={byItself} onChange={setByItself} aria-label="By itself when all is right" />
          <span>By itself when all is right</span>
        </label>
        {left > 0 && (
          <p className="camera-left">Then {left === 1 ? "one more view" : `${left} more views`}.</p>
        )}
      </footer>
    </section>
  );
}

interface ViewsTakenProps {
  limb: Limb;
  /** The foot that comes next in the day's order, where it has views to be taken. */
  nextFoot: Limb | undefined;
  onNext: (limb: Limb) => void;
  onMark: () => void;
}

/** All views of a foot are taken: on with the next foot of the day's order, or to the marks. */
export function ViewsTaken({ limb, nextFoot, onNext, onMark }: ViewsTakenProps) {
  const wording = useWording();
  return (
    <section className="camera camera-taken" aria-label="Camera">
      <h2>All views of the {wording.limb(limb)} are taken.</h2>
      <footer className="camera-acts">
        {nextFoot && (
          <Button type="primary" size="large" onClick={() => onNext(nextFoot)}>
            On: {wording.limb(nextFoot)}
          </Button>
        )}
        <Button size="large" onClick={onMark}>
          Mark them
        </Button>
      </footer>
    </section>
  );
}
