/** Widest place of the shoe from that of the foot, mm. Source: trade practice. */
export const WIDEST_APART_MM = 4;
