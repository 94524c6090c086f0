import { transfer } from "comlink";
import { useEffect, useRef, useState } from "react";
import { frameOf } from "~app/ui/frameOf";
import { standingPictures } from "~app/workers/pictures";
import { STILL_FRAMES, stillFrames, type LiveFrame } from "~core/photo/liveFrame";

/** True where the browser can show its camera. */
export const hasCamera = (): boolean => "mediaDevices" in navigator;

export interface LiveCameraState {
  video: React.RefObject<HTMLVideoElement | null>;
  /** What the last frame showed; corners are parts of its width and height. */
  frame: LiveFrame | undefined;
  /** Size of the camera's picture, px. */
  size: { width: number; height: number } | undefined;
  trouble: string | undefined;
  shoot: () => void;
}

const WANTED = {
  facingMode: "environment",
  width: { ideal: 2560 },
  height: { ideal: 1920 },
} as const;

/**
 * The device's camera while it is looked through: every frame is judged off the main thread, and when enough of them in a
 * row are good and still the shutter goes, if it may go by itself. Everything is let go of when the view is left.
 */
export function useCamera(byItself: boolean, onShot: (picture: Blob, zoom: number) => void): LiveCameraState {
  const video = useRef<HTMLVideoElement>(null);
  const [frame, setFrame] = useState<LiveFrame>();
  const [size, setSize] = useState<LiveCameraState["size"]>();
  const [trouble, setTrouble] = useState<string>();
  const shot = useRef(onShot);
  const mayShoot = useRef(byItself);
  /** How many times the lens enlarges. */
  const zoom = useRef(1);
  useEffect(() => {
    shot.current = onShot;
    mayShoot.current = byItself;
  });
  const shoot = useRef(async () => {
    const picture = video.current && video.current.videoWidth > 0 ? await frameOf(video.current) : undefined;
    if (picture) shot.current(picture, zoom.current);
  });
  useEffect(() => {
    let over = false;
    let stream: MediaStream | undefined;
    const { remote, end } = standingPictures();
    const watch = async () => {
      let before: LiveFrame | undefined;
      let count = 0;
      // After a picture the card has to leave the frame, or be wrong in it: the next view is another picture.
      let armed = true;
      const stillOn = () => !over;
      while (stillOn()) {
        const shown = video.current;
        if (!shown || shown.videoWidth === 0) {
          await new Promise((done) => setTimeout(done, 60));
          continue;
        }
        const bitmap = await createImageBitmap(shown);
        zoom.current =
          (stream?.getVideoTracks()[0]?.getSettings() as { zoom?: number } | undefined)?.zoom ?? 1;
        const now = (await remote.frameIn(transfer(bitmap, [bitmap]), zoom.current)) as LiveFrame | undefined;
        if (!now || !stillOn()) continue;
        count = stillFrames(now, before, count);
        before = now;
        if (now.faults.length > 0) armed = true;
        setFrame(now);
        setSize({ width: shown.videoWidth, height: shown.videoHeight });
        if (armed && count >= STILL_FRAMES && mayShoot.current) {
          armed = false;
          await shoot.current();
        }
        await new Promise((done) => setTimeout(done, 80));
      }
    };
    void navigator.mediaDevices
      .getUserMedia({ video: WANTED })
      .then(async (found) => {
        stream = found;
        if (over || !video.current) {
          for (const track of found.getTracks()) track.stop();
          return;
        }
        video.current.srcObject = found;
        await video.current.play();
        await watch();
      })
      .catch(() => {
        if (!over)
          setTrouble(
            "No camera is there, or it was not allowed. Take the picture with the device’s own camera and choose it.",
          );
      });
    return () => {
      over = true;
      end();
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, []);
  return { video, frame, size, trouble, shoot: () => void shoot.current() };
}
