import type { IsoDate } from "../calendar/date";
import { caseName, type Case } from "../case/caseRecord";
import { noiseOf } from "../foot/records/pairs";
import { sentenceCase, type Wording } from "../foot/wording";
import type { Photo } from "../photo/photoRecord";
import { FILM_VIEW_NAMES } from "../radiograph/filmMarks";
import { filmNumbers } from "../radiograph/filmNumbers";
import type { Film } from "../radiograph/filmRecord";
import type { Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import { trendsOfFoot } from "../foot/records/trends";
import { caseStanding } from "../casework/caseStanding";
import type { CaseRecords } from "../casework/exitFacts";
import { feetAt, pictureCaption } from "./ownerSheet";
import { fourNumbers } from "./parts";
import type { Sheet, SheetPart } from "./sheet";
import {
  caseFacts,
  defectParts,
  filmParts,
  logParts,
  observedParts,
  prescriptionParts,
  shoeParts,
  stageParts,
  toldParts,
} from "./vetParts";
import { VET_FILE, VET_FILE_VERSION, type VetFile } from "./vetFile";

/** Pictures on a vet's sheet. */
const MOST_PICTURES = 8;
const MOST_FILMS = 4;

interface VetQuestion {
  horse: Horse;
  one: Case;
  records: CaseRecords;
  today: IsoDate;
}

/** The newest films, and of the pictures the first and the last of each view of each foot, then the others, newest first. */
function picturesFor({ one, records }: Pick<VetQuestion, "one" | "records">): {
  films: Film[];
  photos: Photo[];
} {
  const films = records.films
    .filter(({ limb }) => one.feet.includes(limb))
    .sort((a, b) => b.date.localeCompare(a.date))
    .slice(0, MOST_FILMS);
  const photos = records.photos
    .filter(({ limb }) => one.feet.includes(limb))
    .sort((a, b) => b.date.localeCompare(a.date) || b.takenAt.localeCompare(a.takenAt));
  const isEnd = (photo: Photo): boolean => {
    const own = photos.filter(({ limb, view }) => limb === photo.limb && view === photo.view);
    return photo === own[0] || photo === own.at(-1);
  };
  const inOrder = [...photos.filter(isEnd), ...photos.filter((photo) => !isEnd(photo))];
  const chosen = new Set(
    inOrder.slice(0, MOST_PICTURES - films.length - (one.paperId === undefined ? 0 : 1)),
  );
  return { films, photos: photos.filter((photo) => chosen.has(photo)) };
}

/**
 * The vet's sheet of a case: prescription, stages with their tests, measures, radiographs, pictures, what was told and
 * written down; the same as data besides. What it measures it calls a measure: what it means is the vet's.
 */
export function vetSheet(
  question: VetQuestion,
  settings: Settings,
  wording: Wording,
  day: (date: IsoDate) => string,
): Sheet {
  const { horse, one, records, today } = question;
  const standing = caseStanding(one, records, today, wording);
  const last = [...records.visits]
    .filter(({ status }) => status !== "planned")
    .sort((a, b) => a.date.localeCompare(b.date))
    .at(-1);
  const { films, photos } = picturesFor(question);
  const parts: SheetPart[] = [
    { kind: "facts", rows: caseFacts(one, horse, wording, day) },
    ...prescriptionParts(one, standing.prescription, wording, day),
    ...stageParts(one, standing, wording, day),
    ...(last
      ? [
          { kind: "heading" as const, text: `Measures of ${day(last.date)}` },
          fourNumbers(feetAt(last, records), noiseOf(settings), wording),
        ]
      : []),
    ...shoeParts(one, last, records, wording),
    ...filmParts(films, records, wording, day),
    ...defectParts(one, records, wording, day),
    ...toldParts(one),
    ...observedParts(one, records, day),
    ...logParts(one, day),
    ...(films.length + photos.length + (one.paperId === undefined ? 0 : 1) > 0
      ? [
          { kind: "heading" as const, text: "Pictures" },
          {
            kind: "pictures" as const,
            pictures: [
              ...(one.paperId === undefined
                ? []
                : [{ pictureId: one.paperId, caption: "The prescription as it was written" }]),
              ...films.map(({ pictureId, limb, view, date, standIn }) => ({
                pictureId,
                caption: `${sentenceCase(wording.limb(limb))}, radiograph ${FILM_VIEW_NAMES[view].toLowerCase()}, ${day(date)}${standIn ? ", stand-in" : ""}`,
              })),
              ...photos.map((photo) => ({
                pictureId: photo.pictureId,
                caption: pictureCaption(photo, wording, day),
              })),
            ],
          },
        ]
      : []),
  ];
  return {
    for: "vet",
    title: `${horse.name}: ${caseName(one)}`,
    subtitle: `For the vet, ${day(today)}`,
    parts,
    foot: "Measures by the farrier; they are no diagnosis. Angles in degrees, wall against pastern negative = broken back. What follows from them is yours to say.",
    data: vetFile(question),
  };
}

/** The case as data: every number by its name, lengths in mm, angles in degrees. */
function vetFile({ horse, one, records, today }: VetQuestion): VetFile {
  const own = records.readings.filter(
    ({ limb, date }) => one.feet.includes(limb) && date >= (one.opened ?? ""),
  );
  return {
    format: VET_FILE,
    version: VET_FILE_VERSION,
    made: today,
    horse: { id: horse.id, name: horse.name, kind: horse.kind, massKg: horse.massKg },
    case: one,
    visits: own
      .sort(
        (a, b) =>
          a.date.localeCompare(b.date) || a.limb.localeCompare(b.limb) || b.moment.localeCompare(a.moment),
      )
      .map((reading) => ({
        date: reading.date,
        limb: reading.limb,
        moment: reading.moment,
        values: Object.fromEntries(
          trendsOfFoot([reading], reading.limb).flatMap(({ id, of }) => {
            const value = of(reading);
            return value === undefined ? [] : [[id, value]];
          }),
        ),
      })),
    films: records.films
      .filter(({ limb }) => one.feet.includes(limb))
      .map((film) => ({
        date: film.date,
        limb: film.limb,
        view: film.view,
        standIn: film.standIn,
        values: Object.fromEntries(filmNumbers(film).map(({ id, value }) => [id, value])),
      })),
  };
}
