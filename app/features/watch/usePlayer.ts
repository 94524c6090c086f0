import { useEffect, useRef, useState } from "react";
import { frameAt, frameRate, frameTime, stepFrames, USUAL_FPS } from "~core/gait/frames";

/** Frames whose moments are looked at to tell the clip's own rate. */
const LOOKED_AT = 24;
/** A clip recorded on the device does not tell its length until its end was sought, s. */
const FAR = 1e6;

/** One clip as it is played: a video element of the page, and what its buttons do. */
export interface Player {
  video: React.RefObject<HTMLVideoElement | null>;
  url: string | undefined;
  ready: boolean;
  trouble: string | undefined;
  time: number;
  duration: number;
  frame: number;
  playing: boolean;
  seek: (time: number) => void;
  step: (by: number) => void;
  play: (rate: number) => void;
  pause: () => void;
  on: Pick<
    React.VideoHTMLAttributes<HTMLVideoElement>,
    "onLoadedMetadata" | "onDurationChange" | "onTimeUpdate" | "onSeeked" | "onPlay" | "onPause" | "onError"
  >;
}

/** Plays a clip that stays in its file: the page only borrows it. `onMove` is told of every frame that is shown. */
export function usePlayer(file: Blob | undefined, onMove?: (time: number) => void): Player {
  const video = useRef<HTMLVideoElement>(null);
  const [url, setUrl] = useState<string | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [time, setTime] = useState(0);
  const [duration, setDuration] = useState(0);
  const [playing, setPlaying] = useState(false);
  const [fps, setFps] = useState(USUAL_FPS);
  const shown = useRef<number[]>([]);
  const moved = useRef(onMove);
  useEffect(() => {
    moved.current = onMove;
  });
  useEffect(() => {
    if (!file) return;
    const made = URL.createObjectURL(file);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- the address is borrowed and given back here
    setUrl(made);
    setTrouble(undefined);
    setDuration(0);
    setTime(0);
    setFps(USUAL_FPS);
    shown.current = [];
    return () => {
      URL.revokeObjectURL(made);
      setUrl(undefined);
    };
  }, [file]);
  useEffect(() => {
    const element = video.current;
    if (!url || !element || !("requestVideoFrameCallback" in element)) return;
    let asked = 0;
    const look = (_now: number, { mediaTime }: VideoFrameCallbackMetadata) => {
      if (!element.paused) {
        if (shown.current.push(mediaTime) === LOOKED_AT) setFps(frameRate(shown.current));
        setTime(mediaTime);
        moved.current?.(mediaTime);
      }
      asked = element.requestVideoFrameCallback(look);
    };
    asked = element.requestVideoFrameCallback(look);
    return () => element.cancelVideoFrameCallback(asked);
  }, [url]);
  const seek = (to: number) => {
    if (!video.current) return;
    video.current.currentTime = to;
    setTime(to);
  };
  const learn = (element: HTMLVideoElement) => {
    if (element.duration === Number.POSITIVE_INFINITY) element.currentTime = FAR;
    else if (Number.isFinite(element.duration) && element.duration > 0) {
      if (element.currentTime >= element.duration && duration === 0) element.currentTime = 0;
      setDuration(element.duration);
    }
  };
  return {
    video,
    url,
    ready: duration > 0,
    trouble,
    time,
    duration,
    frame: frameAt(time, fps),
    playing,
    seek,
    step: (by) => {
      video.current?.pause();
      seek(stepFrames(time, by, fps, duration));
    },
    play: (rate) => {
      const element = video.current;
      if (!element) return;
      element.playbackRate = rate;
      if (element.ended || time >= frameTime(Number.MAX_SAFE_INTEGER, fps, duration)) seek(0);
      element.play().catch(() => setPlaying(false));
    },
    pause: () => video.current?.pause(),
    on: {
      onLoadedMetadata: ({ currentTarget }) => learn(currentTarget),
      onDurationChange: ({ currentTarget }) => learn(currentTarget),
      onTimeUpdate: ({ currentTarget }) => {
        if (currentTarget.paused) setTime(currentTarget.currentTime);
      },
      onPlay: () => setPlaying(true),
      onPause: () => setPlaying(false),
      onError: () => {
        setDuration(0);
        setTrouble(
          "This browser cannot play this clip. MP4 (H.264) or WebM would do; so does one recorded here with “Record”.",
        );
      },
    },
  };
}
