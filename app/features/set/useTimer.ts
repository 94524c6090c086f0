import { useCallback, useEffect, useRef, useState } from "react";
import { secondsLeft } from "~core/shoe/packing";

/** Said to be short when this much is left, s. */
const SOON_S = 45;
const RING = { times: 6, everyS: 0.7, forS: 0.35, hertz: 880 };

/**
 * The clock of something that sets. Its time is counted from the instant that is kept, so that a locked screen, a closed
 * tab or a reload changes nothing. The ring is handed to the sound device ahead, which rings on time even when the page
 * is slowed down; without sound it shows and shakes. While it runs the screen is kept awake where the device allows it.
 */
export function useTimer(mixedAt: string | undefined, minutes: number) {
  const from = mixedAt === undefined ? undefined : Date.parse(mixedAt);
  const [now, setNow] = useState(() => Date.now());
  const sound = useRef<AudioContext | undefined>(undefined);
  const running = from !== undefined;
  const left = from === undefined ? 0 : secondsLeft(from, minutes, now);
  const over = running && left <= 0;

  useEffect(() => {
    if (!running) return undefined;
    const tick = () => setNow(Date.now());
    const every = setInterval(tick, 250);
    const seen = () => {
      if (document.visibilityState === "visible") tick();
    };
    document.addEventListener("visibilitychange", seen);
    let awake: WakeLockSentinel | undefined;
    // Refused on low battery or an old device: then the screen may go dark, and the time still counts.
    void navigator.wakeLock
      ?.request("screen")
      .then((lock) => {
        awake = lock;
      })
      .catch(() => undefined);
    return () => {
      clearInterval(every);
      document.removeEventListener("visibilitychange", seen);
      void awake?.release();
    };
  }, [running]);

  useEffect(() => {
    if (over) navigator.vibrate?.([400, 200, 400, 200, 400]);
  }, [over]);

  const stop = useCallback(() => {
    void sound.current?.close();
    sound.current = undefined;
  }, []);
  useEffect(() => stop, [stop]);

  /** Hands the ring to the sound device; to be called from a tap, which is when a browser allows sound. */
  const arm = useCallback(
    (runs: number) => {
      stop();
      const context = new AudioContext();
      sound.current = context;
      for (let ring = 0; ring < RING.times; ring++) {
        const tone = context.createOscillator();
        const at = context.currentTime + runs * 60 + ring * RING.everyS;
        tone.frequency.value = RING.hertz;
        tone.connect(context.destination);
        tone.start(at);
        tone.stop(at + RING.forS);
      }
      setNow(Date.now());
    },
    [stop, setNow],
  );
  const state: "off" | "running" | "soon" | "over" = !running
    ? "off"
    : over
      ? "over"
      : left <= SOON_S
        ? "soon"
        : "running";
  return { left, state, arm, stop };
}
