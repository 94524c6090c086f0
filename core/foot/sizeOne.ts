/** Ground width of a foot of size factor 1, mm. Assumption, because it lies in the middle of riding horses' feet. */
export const SIZE_ONE_WIDTH_MM = { fore: 127, hind: 120 };
