import type { IsoDate } from "../calendar/date";
import { stagesOf, type Case } from "../case/caseRecord";
import { exitInWords } from "../case/exitTests";
import { standingInWords, type CaseStanding } from "../casework/caseStanding";
import { defectsOf } from "../casework/defects";
import type { CaseRecords } from "../casework/exitFacts";
import { sentenceCase, type Wording } from "../foot/wording";
import { filmNumbers } from "../radiograph/filmNumbers";
import type { Film } from "../radiograph/filmRecord";
import type { Horse } from "../record/horse";
import type { Visit } from "../record/visit";
import { asksInWords, specInWords } from "../shoe/specWords";
import { filmFootLength } from "../visit/filmOfFoot";
import type { SheetPart } from "./sheet";
import { everyWeeks } from "../units/counted";

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

export const caseFacts = (
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

export function prescriptionParts(
  { prescription }: Case,
  state: CaseStanding["prescription"],
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
        ...(weeks ? [`${everyWeeks(weeks)} at the longest`] : []),
      ].join("; "),
    },
  ];
}

export function stageParts(
  one: Case,
  { feet }: CaseStanding,
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

export function shoeParts(
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

export function filmParts(
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

export function defectParts(
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

export function toldParts({ told }: Case): SheetPart[] {
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

export function observedParts(
  one: Case,
  { visits }: CaseRecords,
  day: (date: IsoDate) => string,
): SheetPart[] {
  const items = visits
    .filter(({ date }) => date >= (one.opened ?? ""))
    .sort((a, b) => a.date.localeCompare(b.date))
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

export function logParts({ log }: Case, day: (date: IsoDate) => string): SheetPart[] {
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
