import type { Vector } from "~core/geometry/vector";

/** What an overlay needs to know of a drawing: its frame, and the way between the foot's millimetres and it. */
export interface ViewGeometry {
  frame: readonly [left: number, top: number, width: number, height: number];
  at: (foot: Vector) => Vector;
  back: (drawn: Vector) => Vector;
}
