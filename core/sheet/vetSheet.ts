import type { IsoDate } from "../calendar/date";
import { caseName, stagesOf, type Case } from "../case/caseRecord";
import { exitInWords } from "../case/exitTests";
import { noiseOf } from "../foot/records/pairs";
import { sentenceCase, type Wording } from "../foot/wording";
import type { Photo } from "../photo/photoRecord";
import { FILM_VIEW_NAMES } from "../radiograph/filmMarks";
import { filmNumbers } from "../radiograph/filmNumbers";
import type { Film } from "../radiograph/filmRecord";
import type { Horse } from "../record/horse";
import type { Settings } from "../record/settings";
import type { Visit } from "../record/visit";
import { asksInWords } from "../shoe/specWords";
import { specInWords } from "../shoe/specWords";
import { trendsOfFoot } from "../foot/records/trends";
import { caseStanding, standingInWords } from "../casework/caseStanding";
import { defectsOf } from "../casework/defects";
import type { CaseRecords } from "../casework/exitFacts";
import { filmFootLength } from "../visit/filmOfFoot";
import { feetAt, pictureCaption } from "./ownerSheet";
import { fourNumbers } from "./parts";
import type { Sheet, SheetPart } from "./sheet";
import { VET_FILE, VET_FILE_VERSION, type VetFile } from "./vetFile";

/** Pictures on a vet's sheet. */
const MOST_PICTURES = 8;
/** Films' numbers that stand on it. */
const FILM_ROWS = [
  "palmarAngle",
  "soleTip",
  "soleWing",
  "dorsalHigh",
  "dorsalLow",
  "capsuleRotation",
  "boneRotation",
  "coronetExtensor",
  "frontShare",
  "tilt",
  "spaceDifference",
];

interface VetQuestion {
  horse: Horse;
  one: Case;
  records: CaseRecords;
  today: IsoDate;
}

/** Newest films first by foot and view, then pictures: the first and the last of each view of each foot, newest first. */
function picturesFor({ one, records }: Pick<VetQuestion, "one" | "records">): {
  films: Film[];
  photos: Photo[];
} {
  const films = records.films
    .filter(({ limb }) => one.feet.includes(limb))
    .sort((a, b) => b.date.localeCompare(a.date));
  const photos = records.photos
    .filter(({ limb }) => one.feet.includes(limb))
    .sort((a, b) => a.date.localeCompare(b.date) || a.takenAt.localeCompare(b.takenAt));
  const ends = new Set<Photo>();
  for (const photo of photos) {
    const own = photos.filter(({ limb, view }) => limb === photo.limb && view === photo.view);
    for (const end of [own.at(-1), own[0]]) if (end) ends.add(end);
  }
  const room = Math.max(2, MOST_PICTURES - Math.min(films.length, 4));
  return {
    films: films.slice(0, 4),
    photos: [...ends]
      .sort((a, b) => b.date.localeCompare(a.date))
      .slice(0, Math.min(room, MOST_PICTURES - Math.min(films.length, 4))),
  };
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
    ...(films.length + photos.length > 0
      ? [
          { kind: "heading" as const, text: "Pictures" },
          {
            kind: "pictures" as const,
            pictures: [
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

const caseFacts = (
  one: Case,
  { kind, massKg }: Horse,
  wording: Wording,
  day: (date: IsoDate) => string,
): [string, string][] => [
  ["Case", `${one.kind}, ${one.feet.map((limb) => wording.limb(limb)).join(", ")}`],
  ["Horse", `${kind}, ${massKg} kg`],
  ...(one.opened ? [["Kept since", day(one.opened)] as [string, string]] : []),
  ...(one.onset ? [["First signs", day(one.onset)] as [string, string]] : []),
  ...(one.surgery ? [["Surgery", day(one.surgery)] as [string, string]] : []),
  ["Leads", one.lead === "vet" ? `the vet${one.vet ? ` (${one.vet})` : ""}` : "the farrier"],
];

function prescriptionParts(
  { prescription }: Case,
  state: ReturnType<typeof caseStanding>["prescription"],
  wording: Wording,
  day: (date: IsoDate) => string,
): SheetPart[] {
  if (!prescription) return [];
  const { by, written, until, says, weeks, feet } = prescription;
  return [
    { kind: "heading", text: "Prescription" },
    {
      kind: "text",
      strong: state?.state !== "valid",
      text: `${by}${written ? `, ${day(written)}` : ""}, until ${day(until)}${state?.state === "expired" ? ": it has run out" : state?.state === "expires" ? ": it runs out this week" : ""}.`,
    },
    ...(says ? [{ kind: "text" as const, text: says }] : []),
    {
      kind: "text",
      text: [
        feet.map((limb) => wording.limb(limb)).join(", "),
        ...asksInWords(prescription, wording),
        ...(weeks ? [`every ${weeks} weeks at the longest`] : []),
      ].join("; "),
    },
  ];
}

function stageParts(
  one: Case,
  { feet }: ReturnType<typeof caseStanding>,
  wording: Wording,
  day: (date: IsoDate) => string,
): SheetPart[] {
  if (one.stages.length === 0) return [];
  return [
    { kind: "heading", text: "Stages and their exit tests" },
    {
      kind: "list",
      items: one.feet.map(
        (limb) =>
          `${sentenceCase(wording.limb(limb))}: ${stagesOf(one, limb)
            .map(({ name }) => name)
            .join(" > ")}`,
      ),
    },
    {
      kind: "table",
      head: ["Foot", "Stage, shoeings", "Test", "Says", "Result"],
      widths: [0.11, 0.25, 0.25, 0.27, 0.12],
      rows: feet.flatMap((foot) => {
        if (!foot.stage) return [];
        const { latest } = foot;
        const head = [
          sentenceCase(wording.limb(foot.limb)),
          `${standingInWords(foot)}${foot.since ? `, since ${day(foot.since)}` : ""}`,
        ];
        if (foot.stage.exit.length === 0) return [[...head, "none", "", ""]];
        return foot.stage.exit.map((test, at) => {
          const answer = latest?.answers[at]?.answer;
          return [
            ...(at === 0 ? head : ["", ""]),
            exitInWords(test, wording),
            answer?.says ?? "",
            answer?.state ?? "not measured",
          ];
        });
      }),
    },
  ];
}

function shoeParts(
  one: Case,
  last: Visit | undefined,
  { shoes }: CaseRecords,
  wording: Wording,
): SheetPart[] {
  const items = one.feet.flatMap((limb) => {
    const spec = shoes.find((shoe) => shoe.visitId === last?.id && shoe.limb === limb)?.spec;
    return spec ? [`${sentenceCase(wording.limb(limb))}: ${specInWords(spec, wording)}`] : [];
  });
  return items.length > 0
    ? [
        { kind: "heading", text: "Shod with" },
        { kind: "list", items },
      ]
    : [];
}

function filmParts(
  films: readonly Film[],
  { readings }: CaseRecords,
  wording: Wording,
  day: (date: IsoDate) => string,
): SheetPart[] {
  const columns = films
    .map((film) => ({ film, numbers: filmNumbers(film, filmFootLength(film, readings)) }))
    .filter(({ numbers }) => numbers.length > 0)
    .sort((a, b) => a.film.limb.localeCompare(b.film.limb) || a.film.date.localeCompare(b.film.date));
  if (columns.length === 0) return [];
  const rows = FILM_ROWS.flatMap((id) => {
    const cells = columns.map(({ numbers }) => numbers.find((one) => one.id === id));
    const known = cells.find((cell) => cell !== undefined);
    if (!known) return [];
    return [
      [
        wording.inOwnWords(known.name),
        ...cells.map((cell) =>
          cell
            ? `${cell.value.toFixed(cell.unit === "" ? 2 : 1)} ± ${cell.band.toFixed(cell.unit === "" ? 2 : 1)}${cell.unit === "deg" ? "°" : cell.unit === "mm" ? " mm" : ""}`
            : "–",
        ),
      ],
    ];
  });
  return [
    { kind: "heading", text: "Radiographs" },
    {
      kind: "table",
      head: [
        "Measure",
        ...columns.map(({ film }) => `${film.limb} ${day(film.date)}${film.standIn ? " (stand-in)" : ""}`),
      ],
      rows,
      note: "± one pixel of hand, 90 in 100.",
    },
  ];
}

function defectParts(
  one: Case,
  records: CaseRecords,
  wording: Wording,
  day: (date: IsoDate) => string,
): SheetPart[] {
  const rows = one.feet.flatMap((limb) =>
    defectsOf(one, limb, records)
      .slice(-8)
      .map(({ date, length, width, below, gone, from }) => [
        sentenceCase(wording.limb(limb)),
        day(date),
        gone ? "grown out" : length === undefined ? "–" : wording.length(length),
        width === undefined ? "–" : wording.length(width),
        below === undefined ? "–" : wording.length(below),
        from === "picture" ? "by picture" : "as found",
      ]),
  );
  return rows.length > 0
    ? [
        { kind: "heading", text: "The defect" },
        { kind: "table", head: ["Foot", "Day", "Length", "Width", "Below the hairline", ""], rows },
      ]
    : [];
}

function toldParts({ told }: Case): SheetPart[] {
  const rows = (
    [
      ["Drugs", told.drugs],
      ["Feed", told.feed],
      ["Metabolic state", told.metabolic],
    ] as [string, string][]
  ).filter(([, says]) => says !== "");
  return rows.length > 0
    ? [
        { kind: "heading", text: "As the owner told it" },
        { kind: "facts", rows },
      ]
    : [];
}

function observedParts(one: Case, { visits }: CaseRecords, day: (date: IsoDate) => string): SheetPart[] {
  const items = visits
    .filter(({ date }) => date >= (one.opened ?? ""))
    .flatMap(({ date, observed }) => {
      const seen = one.feet.flatMap((limb) => {
        const said = observed[limb];
        return said && said.seen.length > 0
          ? [`${limb} ${said.seen.join(", ")}${said.note ? ` (${said.note})` : ""}`]
          : [];
      });
      return seen.length > 0 ? [`${day(date)}: ${seen.join("; ")}`] : [];
    })
    .slice(-6);
  return items.length > 0
    ? [
        { kind: "heading", text: "How it answered, observed" },
        { kind: "list", items },
      ]
    : [];
}

function logParts({ log }: Case, day: (date: IsoDate) => string): SheetPart[] {
  const items = Object.values(log)
    .sort((a, b) => a.on.localeCompare(b.on))
    .map(({ on, by, says }) => `${day(on)}${by ? `, ${by}` : ""}: ${says}`);
  return items.length > 0
    ? [
        { kind: "heading", text: "Log" },
        { kind: "list", items },
      ]
    : [];
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
