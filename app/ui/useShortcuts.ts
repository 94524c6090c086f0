import { useLayoutEffect, useRef } from "react";

/** Keys to what they do: "?", "[", "ctrl+k", "g t" (one after the other). */
export type Shortcuts = Record<string, () => void>;

const CHORD_MS = 900;
/** Keys that a number never contains: they work while a number is being typed. */
const SAFE_IN_NUMBERS = new Set(["[", "]", "?", "u"]);

/** Inputs in which no letter can be typed. */
const NO_LETTERS = new Set(["checkbox", "radio", "range", "file", "button"]);

/**
 * Listens for shortcuts on the whole page; plain keys are left alone where text is typed. A key counts from the moment
 * that its screen is there: an effect after the painting would miss the first press on a busy machine.
 */
export function useShortcuts(shortcuts: Shortcuts): void {
  const current = useRef(shortcuts);
  useLayoutEffect(() => {
    current.current = shortcuts;
  });
  useLayoutEffect(() => {
    let first = "";
    let firstAt = 0;
    const onKey = (event: KeyboardEvent) => {
      const name = keyName(event);
      const place = typingPlace(event.target);
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
      if (plain && place === "text") return;
      if (plain && place === "number" && !SAFE_IN_NUMBERS.has(name)) return;
      if (name === "ctrl+z" && place !== "none" && (event.target as HTMLElement).dataset["typed"] === "true")
        return;
      const chord = event.timeStamp - firstAt < CHORD_MS ? `${first} ${name}` : "";
      const action = current.current[chord] ?? current.current[name];
      first = name;
      firstAt = event.timeStamp;
      if (!action) return;
      event.preventDefault();
      first = "";
      action();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}

function keyName(event: KeyboardEvent): string {
  const ctrl = event.ctrlKey || event.metaKey ? "ctrl+" : "";
  const alt = event.altKey ? "alt+" : "";
  const shift = ctrl && event.shiftKey ? "shift+" : "";
  const digit = /^Digit(\d)$/.exec(event.code)?.[1];
  const key = event.altKey && digit ? digit : event.key;
  return `${ctrl}${alt}${shift}${key.length === 1 ? key.toLowerCase() : key}`;
}

function typingPlace(target: EventTarget | null): "none" | "number" | "text" {
  if (!(target instanceof HTMLElement)) return "none";
  if (target.dataset["numeric"] === "true") return "number";
  // A box that was ticked or a line that was dragged holds the focus, but no letter is typed there.
  if (target instanceof HTMLInputElement && NO_LETTERS.has(target.type)) return "none";
  return target.isContentEditable || ["INPUT", "TEXTAREA", "SELECT"].includes(target.tagName)
    ? "text"
    : "none";
}
