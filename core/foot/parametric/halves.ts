import { corYOf, meanHeelY, toeYOf, type FootParameters } from "./parameters";

/** How much foot stands ahead of the plumb line through the centre of rotation, and how much behind it. */
export interface Halves {
  frontMm: number;
  supportMm: number;
  /** front / (front + support), 0 to 1; 0.5 is even. */
  frontShare: number;
}

/** Front from the centre of rotation to the toe, support from there back to where the heels are. */
export function halvesOf(foot: FootParameters): Halves {
  return halvesFrom(toeYOf(foot) - corYOf(foot), corYOf(foot) - meanHeelY(foot));
}

export const halvesFrom = (frontMm: number, supportMm: number): Halves => ({
  frontMm,
  supportMm,
  frontShare: frontMm / (frontMm + supportMm),
});

/** Shown as two whole numbers that add up to a hundred: `53 : 47`. */
export function halvesInWords({ frontShare }: Halves): string {
  const front = Math.round(frontShare * 100);
  return `${front} : ${100 - front}`;
}
