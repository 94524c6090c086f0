import type { Space } from "../geometry/space";

/** One pixel of an RGBA picture, its index four times its number, in a colour and a shade of it. */
export function put(pixels: Uint8ClampedArray, at: number, [r, g, b]: Space, shade: number): void {
  pixels[at] = r * shade;
  pixels[at + 1] = g * shade;
  pixels[at + 2] = b * shade;
  pixels[at + 3] = 255;
}
