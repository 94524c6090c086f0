/** Whatever one presses: a press on a part of it is a press on it. */
const PRESSED = "a[href], button, summary, label, input, [role='button'], [role='tab'], [role='radio']";
/** How far in px a hand may slip between down and up for it still to be a press. */
const SLIP_PX = 8;

/**
 * A press counts for what it was set down on. Leaving a field can say what is wrong at its place, or give a value whose
 * consequences come a moment later: then the page moves while the hand is down, and the browser counts the press for
 * whatever has come under it, mostly for nothing. A hand that slides away itself takes its press back, as ever.
 */
export function keepPressesSteady(): void {
  let down: { on: HTMLElement; x: number; y: number } | undefined;
  const begin = (event: PointerEvent) => {
    const on = event.target instanceof Element ? event.target.closest<HTMLElement>(PRESSED) : null;
    down =
      on && event.isPrimary && event.button === 0 ? { on, x: event.clientX, y: event.clientY } : undefined;
  };
  const end = (event: MouseEvent) => {
    if (!event.isTrusted) return;
    const pressed = down;
    down = undefined;
    if (!pressed?.on.isConnected) return;
    if (event.target instanceof Node && pressed.on.contains(event.target)) return;
    const { on, x, y } = pressed;
    if (Math.hypot(event.clientX - x, event.clientY - y) > SLIP_PX) return;
    const { left, right, top, bottom } = on.getBoundingClientRect();
    if (x >= left && x <= right && y >= top && y <= bottom) return;
    event.preventDefault();
    event.stopPropagation();
    on.click();
  };
  window.addEventListener("pointerdown", begin, true);
  window.addEventListener("pointercancel", () => (down = undefined), true);
  window.addEventListener("click", end, true);
}
