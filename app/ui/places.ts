/** A place of the application; on a phone the first ones stand in the bar, the others behind More. */
export interface Place {
  to: string;
  name: string;
  /** Stands in the bar of a phone. */
  inBar?: true;
}
export const ABOVE: readonly Place[] = [
  { to: "/", name: "Today", inBar: true },
  { to: "/horses", name: "Horses", inBar: true },
  { to: "/forge", name: "Forge" },
  { to: "/rounds", name: "Rounds", inBar: true },
  { to: "/ground", name: "Ground" },
  { to: "/practice", name: "Practice" },
];
export const BELOW: readonly Place[] = [
  { to: "/files", name: "Files" },
  { to: "/cautions", name: "Cautions" },
  { to: "/settings", name: "Settings" },
];
