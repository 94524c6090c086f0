/** Two landmarks closer than this part of the figure's own size are one and the same point. */
export const COINCIDENT_PART = 1e-9;
/** Two directions whose sine is below this are parallel. */
export const PARALLEL_SINE = 1e-9;
