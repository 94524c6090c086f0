import type { Horse } from "./horse";

/** A riding horse of 500 kg with a full set. */
export const HORSE: Horse = {
  id: "h",
  yardId: "y",
  name: "Dunlin",
  kind: "horse",
  massKg: 500,
  use: "riding",
  finish: "full set",
  habits: "",
  notes: "",
};
