import { LIMBS } from "../foot/limb";
import { readFilm } from "../radiograph/readFilm";
import { laidFilms } from "../visit/filmOfFoot";

/** How the outside estimates of one thing lie against radiographs: estimate less film, mm. */
export interface OutsideError {
  what: "centre of rotation" | "tip of the coffin bone" | "sulcus depth against the sole";
  n: number;
  mean: number;
  /** With n - 1; undefined for one film. */
  sd: number | undefined;
}

/**
 * The user's own error of the outside marks, from every film that could be laid onto a survey of its day. For centre of
 * rotation and tip positive = the estimate lies further forward; for the sulcus, what its depth lacks to the sole.
 */
export function outsideErrors(records: Parameters<typeof laidFilms>[1]): OutsideError[] {
  const found: Record<OutsideError["what"], number[]> = {
    "centre of rotation": [],
    "tip of the coffin bone": [],
    "sulcus depth against the sole": [],
  };
  for (const limb of LIMBS)
    for (const { film, filmed, survey, reading } of laidFilms(limb, records)) {
      if (survey.cor) found["centre of rotation"].push(survey.cor.median - filmed.corY);
      if (survey.coffinTip !== undefined)
        found["tip of the coffin bone"].push(survey.coffinTip - filmed.tipY);
      const read = readFilm(film);
      const sole = read.ok ? read.value.lateral?.soleDepth?.tip : undefined;
      if (sole !== undefined && reading.sulcusDepthMm !== undefined)
        found["sulcus depth against the sole"].push(reading.sulcusDepthMm - sole);
    }
  return Object.entries(found).flatMap(([what, errors]): OutsideError[] => {
    const n = errors.length;
    if (n === 0) return [];
    const mean = errors.reduce((sum, one) => sum + one, 0) / n;
    const squares = errors.reduce((sum, one) => sum + (one - mean) ** 2, 0);
    return [
      { what: what as OutsideError["what"], n, mean, sd: n > 1 ? Math.sqrt(squares / (n - 1)) : undefined },
    ];
  });
}
