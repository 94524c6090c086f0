import { daysBetween, type IsoDate } from "../calendar/date";
import type { FilmedSole } from "../foot/survey/filmed";
import type { Limb } from "../foot/limb";
import { knownSize, surveyOfRecord } from "../foot/records/keptSurvey";
import type { Reading } from "../foot/records/reading";
import type { Film } from "../radiograph/filmRecord";
import { filmPlaces } from "../radiograph/filmPlaces";
import type { SoleSurvey } from "../foot/survey/survey";
import type { ShoeRecord } from "../shoe/shoeRecord";

/** A film and a survey so far apart still show one foot, days. Assumption, because three weeks of growth are 6 mm of toe. */
const TOGETHER_DAYS = 21;
/** An older film than this feeds nothing, days. Assumption, because a bone's place in its foot changes over a year. */
const FEEDS_DAYS = 365;

/** A film laid onto the sole that was surveyed about its day. */
export interface LaidFilm {
  film: Film;
  filmed: FilmedSole;
  /** The survey that it was laid onto, by the marks alone. */
  survey: SoleSurvey;
  reading: Reading;
}

type FilmRecords = {
  films?: readonly Film[] | undefined;
  readings: readonly Reading[];
  shoes: readonly Pick<ShoeRecord, "limb" | "date" | "spec">[];
};

/**
 * Lays every lateral film of a foot onto the sole surveyed nearest to its day: by the tack at the frog's point or at the
 * widest line where one was set, else by the toe. A film without a survey within three weeks is left out. Oldest first.
 */
export function laidFilms(limb: Limb, { films = [], readings, shoes }: FilmRecords): LaidFilm[] {
  const own = films.filter((film) => film.limb === limb && film.view === "lateral");
  if (own.length === 0) return [];
  const surveys = readings.filter((one) => one.limb === limb && Object.keys(one.sole).length > 0);
  const knownK = knownSize(surveys);
  return own
    .sort((a, b) => a.date.localeCompare(b.date))
    .flatMap((film): LaidFilm[] => {
      const near = surveys
        .filter(({ date }) => Math.abs(daysBetween(date, film.date)) <= TOGETHER_DAYS)
        .sort(
          (a, b) =>
            Math.abs(daysBetween(a.date, film.date)) - Math.abs(daysBetween(b.date, film.date)) ||
            a.moment.localeCompare(b.moment),
        );
      const shoe = shoes
        .filter((one) => one.limb === limb && one.date <= film.date && one.spec)
        .sort((a, b) => a.date.localeCompare(b.date))
        .at(-1)?.spec;
      const places = filmPlaces(film, shoe && shoe.type !== "bare" ? shoe.thickness : 0);
      const [reading] = near;
      if (!places || !reading) return [];
      const { marks, survey } = surveyOfRecord(reading.sole, limb, knownK);
      const wide = [marks.wideMedial?.y, marks.wideLateral?.y];
      const corY =
        places.frogTack !== undefined && marks.frogApex?.y !== undefined
          ? marks.frogApex.y - places.frogTack
          : places.wideTack !== undefined && wide[0] !== undefined && wide[1] !== undefined
            ? (wide[0] + wide[1]) / 2 - places.wideTack
            : marks.toe?.y !== undefined
              ? marks.toe.y - places.toe
              : undefined;
      if (corY === undefined) return [];
      return [
        {
          film,
          filmed: {
            corY,
            tipY: corY + places.tip,
            soleMm: places.soleMm,
            palmarAngleDeg: places.palmarAngleDeg,
            date: film.date,
            standIn: film.standIn,
          },
          survey,
          reading,
        },
      ];
    });
}

/** The foot's length about the day of a film, mm: bearing length as it was measured nearest to it, within three weeks. */
export function filmFootLength(
  film: Pick<Film, "limb" | "date">,
  readings: readonly Reading[],
): number | undefined {
  return readings
    .filter(
      ({ limb, date, values }) =>
        limb === film.limb && values.bearingLength && Math.abs(daysBetween(date, film.date)) <= TOGETHER_DAYS,
    )
    .sort((a, b) => Math.abs(daysBetween(a.date, film.date)) - Math.abs(daysBetween(b.date, film.date)))[0]
    ?.values.bearingLength?.value;
}

/** What the newest film tells of a foot on a day. */
export const filmedOn = (limb: Limb, day: IsoDate, records: FilmRecords): FilmedSole | undefined =>
  laidFilms(limb, records).findLast(
    ({ filmed: { date } }) => date <= day && daysBetween(date, day) <= FEEDS_DAYS,
  )?.filmed;
