import { Button, Segmented, Slider } from "antd";
import type { Player } from "./usePlayer";

/** How slow it is played, with what is said. */
export const RATES = { "1": "1", "0.5": "½", "0.25": "¼", "0.125": "⅛" } as const;

interface ClipPlayerProps {
  player: Player;
  name: string;
  rate: number;
  onRate: (rate: number) => void;
  /** What else can be done with the frame that is shown. */
  children?: React.ReactNode;
}

/** One clip: played, slowed, stepped by arrow, key or thumb. */
export function ClipPlayer({ player, name, rate, onRate, children }: ClipPlayerProps) {
  const { video, url, ready, trouble, time, duration, frame, playing, on } = player;
  const step = (by: number) => player.step(by);
  return (
    <figure className="clip-player">
      {url && (
        <div
          role="group"
          className="clip-stage"
          aria-label={`${name}, frame by frame with the arrow keys`}
          tabIndex={0}
          onKeyDown={(event) => {
            if (event.key !== "ArrowLeft" && event.key !== "ArrowRight") return;
            event.preventDefault();
            event.stopPropagation();
            step(event.key === "ArrowRight" ? 1 : -1);
          }}
        >
          <video ref={video} src={url} muted playsInline preload="auto" {...on} />
        </div>
      )}
      {trouble && (
        <p className="ember" role="alert">
          {trouble}
        </p>
      )}
      {ready && (
        <>
          <Slider
            ariaLabelForHandle={`${name}, moment`}
            min={0}
            max={duration}
            step={0.01}
            value={time}
            tooltip={{ open: false }}
            onChange={(to) => {
              player.pause();
              player.seek(to);
            }}
          />
          <div className="clip-acts">
            <Button aria-label={`${name}: one frame back`} onClick={() => step(-1)}>
              ‹
            </Button>
            <Button onClick={() => (playing ? player.pause() : player.play(rate))}>
              {playing ? "Stop" : "Play"}
            </Button>
            <Button aria-label={`${name}: one frame on`} onClick={() => step(1)}>
              ›
            </Button>
            <Segmented
              aria-label={`${name}, speed`}
              options={Object.entries(RATES).map(([value, label]) => ({ value: Number(value), label }))}
              value={rate}
              onChange={onRate}
            />
            <span className="quiet clip-time">
              {time.toFixed(2)} of {duration.toFixed(2)} s, frame {frame + 1}
            </span>
          </div>
          {children}
        </>
      )}
    </figure>
  );
}
