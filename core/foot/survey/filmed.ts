import type { SoleSurvey } from "./survey";

/** What a radiograph tells of a sole, y of the solar frame, mm. */
export interface FilmedSole {
  corY: number;
  tipY: number;
  /** Sole under the tip, mm, where it was marked, and the palmar or plantar angle, deg. */
  soleMm?: number | undefined;
  palmarAngleDeg?: number | undefined;
  date: string;
  standIn: boolean;
}

/**
 * A sole thinner than this on a radiograph is a thin one, mm. Assumption, because about 15 mm is usual and a film is read to
 * some mm only.
 */
export const THIN_SOLE_FILM_MM = 12;

/** Breakover lies so far ahead of the tip, mm on a foot of size 1, as in the survey by marks. Source: trade practice. */
const AHEAD_OF_TIP_MM = 6;

/**
 * A survey with the centre of rotation and the tip off a radiograph in place of the estimates; halves and breakover follow.
 * The estimates themselves stay beside it. A survey without any estimate stays as it is.
 */
export function withFilm(survey: SoleSurvey, film: FilmedSole | undefined): SoleSurvey {
  const { cor, front, support } = survey;
  if (!film || !cor) return survey;
  const back = film.corY - cor.median;
  const filmed: SoleSurvey = {
    ...survey,
    cor: { ...cor, film: film.corY, median: film.corY },
    back: film.corY,
    coffinTip: film.tipY,
    breakover: film.tipY + AHEAD_OF_TIP_MM * (survey.k ?? 1),
  };
  if (front !== undefined) filmed.front = front - back;
  if (support !== undefined) filmed.support = support + back;
  if (survey.toeExcess !== undefined) filmed.toeExcess = survey.toeExcess - 2 * back;
  if (filmed.front !== undefined && filmed.support !== undefined)
    filmed.frontShare = filmed.front / (filmed.front + filmed.support);
  return filmed;
}
