/** A point or direction in space. Which axes is said by its user. */
export type Space = readonly [number, number, number];

export const add3 = (a: Space, b: Space): Space => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus3 = (a: Space, b: Space): Space => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times3 = (a: Space, by: number): Space => [a[0] * by, a[1] * by, a[2] * by];
export const dot3 = (a: Space, b: Space): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const length3 = (a: Space): number => Math.sqrt(dot3(a, a));
export const unit3 = (a: Space): Space => times3(a, 1 / (length3(a) || 1));
export const cross3 = (a: Space, b: Space): Space => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
