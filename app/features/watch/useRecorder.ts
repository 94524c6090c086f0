import { useEffect, useRef, useState } from "react";

/** Recording a clip with the device's own camera. */
export interface Recorder {
  /** True where the browser can record at all. */
  can: boolean;
  recording: boolean;
  seconds: number;
  trouble: string | undefined;
  /** What the camera sees, for the page to show. */
  live: MediaStream | undefined;
  start: () => Promise<void>;
  stop: () => void;
}

/** A clip longer than this is no use for one look, s. */
const LONGEST_S = 120;
/** The clip is handed over in pieces so long, ms: the first tells that there is one. */
const PIECE_MS = 100;

/** Records picture and sound until it is stopped; the clip is handed over and kept nowhere. */
export function useRecorder(onClip: (clip: File) => void): Recorder {
  const [live, setLive] = useState<MediaStream | undefined>(undefined);
  const [seconds, setSeconds] = useState(0);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const recorder = useRef<MediaRecorder | undefined>(undefined);
  /** When the first of the clip was there, ms: the camera takes its time after it was told to start. */
  const began = useRef<number | undefined>(undefined);
  const can = typeof MediaRecorder !== "undefined" && "mediaDevices" in navigator;
  const stop = () => {
    if (recorder.current?.state === "recording") recorder.current.stop();
  };
  useEffect(() => {
    if (!live) return;
    const timer = setInterval(() => {
      const now = Math.floor((performance.now() - (began.current ?? performance.now())) / 1000);
      setSeconds(now);
      if (now >= LONGEST_S) stop();
    }, 250);
    return () => {
      clearInterval(timer);
      for (const track of live.getTracks()) track.stop();
    };
  }, [live]);
  const start = async () => {
    setTrouble(undefined);
    setSeconds(0);
    try {
      const camera = { facingMode: "environment", frameRate: { ideal: 60 } };
      const stream = await navigator.mediaDevices
        .getUserMedia({ video: camera, audio: true })
        // Without a microphone there is still a picture.
        .catch(() => navigator.mediaDevices.getUserMedia({ video: camera }));
      const made = new MediaRecorder(stream);
      const parts: Blob[] = [];
      began.current = undefined;
      made.ondataavailable = ({ data }) => {
        parts.push(data);
        if (data.size > 0) began.current ??= performance.now();
      };
      made.onstop = () => {
        setLive(undefined);
        onClip(new File(parts, "recorded here", { type: made.mimeType }));
      };
      recorder.current = made;
      made.start(PIECE_MS);
      setLive(stream);
    } catch {
      setTrouble(
        "No camera is there, or it was not allowed. A clip from the device’s own camera can be chosen instead.",
      );
    }
  };
  return { can, recording: live !== undefined, seconds, trouble, live, start, stop };
}
