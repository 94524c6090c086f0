/** A pair `[x, y]`. What x and y mean is said by the frame: a point changes frame only through a named function. */
export type Vector = readonly [number, number];

declare const frame: unique symbol;
type Framed<Name extends string> = Vector & { readonly [frame]?: Name };

/** Picture pixels, x right, y down. */
export type ImagePoint = Framed<"image">;
/** Sole: x towards lateral, y towards the toe, mm, origin at the back of the central sulcus. */
export type SolarPoint = Framed<"solar">;
/** Side: y towards the toe as in the sole, z up from the bearing plane, mm. Written `[y, z]`. */
export type SidePoint = Framed<"side">;
/** Rear: x towards lateral, z up from the bearing plane, mm. Written `[x, z]`. */
export type RearPoint = Framed<"rear">;

export const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1]];
export const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1]];
export const times = (a: Vector, factor: number): Vector => [a[0] * factor, a[1] * factor];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1];
export const length = (a: Vector): number => Math.hypot(a[0], a[1]);
export const distance = (a: Vector, b: Vector): number => length(minus(a, b));

/** Turned counter-clockwise where y points up (clockwise on a screen). */
export function turned(a: Vector, rad: number): Vector {
  const [cos, sin] = [Math.cos(rad), Math.sin(rad)];
  return [a[0] * cos - a[1] * sin, a[0] * sin + a[1] * cos];
}
