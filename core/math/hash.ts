/**
 * A short name for a text: the same for the same text, another for nearly every other. Not for secrets. Source: FNV-1a, 32
 * bits (Fowler, Noll and Vo).
 *
 * @example hashText("hoof") // "1t3tq9e"
 */
export function hashText(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193) >>> 0;
  return hash.toString(36).padStart(7, "0");
}
