import { addDays } from "~core/calendar/date";
import type { Film } from "~core/radiograph/filmRecord";
import type { Records } from "~core/record/tables";
import { FILMS } from "./films";

/** The radiographs of the demo round, each with the file that holds its picture. They are stand-ins, and called so. */
export function demoFilms(records: Pick<Records, "horses" | "visits">): { film: Film; file: string }[] {
  return FILMS.flatMap(({ file, horse, back, daysAfter, markerMm, ...drawn }, index) => {
    const of = records.horses.find(({ name }) => name === horse);
    const visit = records.visits
      .filter(({ horseId, status }) => horseId === of?.id && status === "signed")
      .at(-back);
    if (!of || !visit) return [];
    const film: Film = {
      id: `demo-film-${index + 1}`,
      horseId: of.id,
      date: addDays(visit.date, daysAfter),
      pictureId: `demo-film-picture-${index + 1}`,
      standIn: true,
      scale: { kind: "marker", mm: markerMm },
      taken: {
        blocks: "yes",
        square: "yes",
        "cannon upright": "yes",
        "beam level": "yes",
        "beam across": "yes",
      },
      shown: { low: 0, high: 1, invert: false },
      note: "",
      ...drawn,
    };
    return [{ film, file }];
  });
}
