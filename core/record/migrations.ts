import type { TableName } from "./tables";

/**
 * A step from one version of the records to the next: for each table that changes, a pure function from an old row
 * to a new one. A shipped step is never edited. Each has a literal row before and after in its test.
 */
export interface Migration {
  to: number;
  tables: Partial<Record<TableName, (row: OldRow) => OldRow>>;
  /** Rows of other tables that an old row turns into, besides what becomes of itself. Only of tables named above. */
  makes?: Partial<Record<TableName, (row: OldRow) => MadeRow[]>>;
}

type OldRow = Record<string, unknown>;

/** A row that a step makes. */
export interface MadeRow {
  table: TableName;
  row: OldRow;
}

/** A toe was one word: a square one was drawn set under, the others are done to a round toe's ground edge. */
function toeAt9({ toe, ...row }: OldRow): OldRow {
  if (toe === undefined) return row;
  return toe === "square" ? { ...row, toe: "square set under" } : { ...row, toe: "round", toeEdge: toe };
}

/** A specification of version 8 in the words of version 9: what was drawn is drawn again. */
function specAt9({ heels, clips, studs, extraSide, extraWeb, ...row }: OldRow): OldRow {
  const [medial, lateral] = [extraSide === "medial" ? extraWeb : 0, extraSide === "lateral" ? extraWeb : 0];
  const end = heels === "open" ? "open" : "plain";
  return {
    toeEdge: "plain",
    ...toeAt9(row),
    endMedial: end,
    endLateral: end,
    fullToeMedial: 0.5,
    fullToeLateral: 0.5,
    turn: 0,
    widerMedial: medial,
    widerLateral: lateral,
    outMedial: medial,
    outLateral: lateral,
    changeFrom: "toe quarter",
    edges: heels === "safe inner edge" ? { quarterMedial: "safe inside", heelMedial: "safe inside" } : {},
    unloaded: [],
    clips: clips === "toe" ? ["toe"] : clips === "side" ? ["side medial", "side lateral"] : [],
    nailMetal: "steel",
    studsGood: studs,
    studsWet: studs,
    riveted: row["pad"] !== "none",
    packed: "bedded",
  };
}

/** A vet's plan stood on the horse, as a prescription or as its work: the case that is made of it. */
function caseAt10({ id, prescription, use, life, finish }: OldRow): MadeRow[] {
  const asked = prescription as OldRow | undefined;
  if (!asked && use !== "vet plan") return [];
  const conditions = ((life as OldRow | undefined)?.["conditions"] as string[] | undefined) ?? [];
  const kind = ["sore heels", "laminitis"].find((one) => conditions.includes(one)) ?? "other";
  const feet = asked?.["feet"] ?? (finish === "fronts" ? ["LF", "RF"] : ["LF", "RF", "LH", "RH"]);
  return [
    {
      table: "cases",
      row: {
        id: `case-${String(id)}`.slice(0, 80),
        horseId: id,
        status: "open",
        kind,
        title: kind === "other" ? "Vet’s plan" : "",
        feet,
        lead: "vet",
        vet: asked?.["by"] ?? "",
        ...(asked && { prescription: asked }),
        stages: [],
        moves: {},
        vetAgreed: {},
        progress: [],
        log: {},
        told: { drugs: "", feed: "", metabolic: "" },
        reopened: [],
      },
    },
  ];
}

/** In rising order, without gaps, from version 2 on. */
export const MIGRATIONS: readonly Migration[] = [
  {
    // Reading the foot: survey, walls, rings, side and rear views beside the fast lane; red flags; lenses and bounds.
    to: 2,
    tables: {
      readings: (row) => ({ sole: {}, walls: {}, trace: [], rings: {}, side: {}, rear: {}, ...row }),
      visits: (row) => ({ flags: {}, ...row }),
      settings: (row) => ({
        lenses: { frontBack: "straight-axis", side: "even-sole" },
        bounds: {},
        ...row,
      }),
    },
  },
  {
    // The trim bench: a plan, its ticks, and what was seen past a limit; a lens for bare feet and own margins.
    to: 3,
    tables: {
      trims: (row) => ({ ticks: {}, past: {}, ...row }),
      settings: (row) => ({
        margins: { shod: 0, barefoot: 2 },
        ...row,
        lenses: { bare: "live-sole", ...(row["lenses"] as object) },
      }),
    },
  },
  {
    // The shoe bench: shoes, ready-made sizes and nails in tables of their own; nothing that was kept changes.
    to: 4,
    tables: {},
  },
  {
    // The forge: what lies on the anvil, what came off it, and steel; settings gain how steel is cut.
    to: 5,
    tables: {
      settings: (row) => ({
        forge: {
          allowances: { toe: [38.1, 44.45, 50.8], wideLess: 6.35, bump: 12.7, stretch: 6.35 },
          barLength: 3000,
          kerf: 2,
          leastOffcut: 150,
        },
        ...row,
      }),
    },
  },
  {
    // Rounds: where they start and which days are worked; appointments and calls in tables of their own.
    to: 6,
    tables: {
      settings: (row) => ({
        pairs: [],
        rounds: { speedKmh: 50, stopMinutes: 15, leaves: "07:30", week: [540, 540, 540, 540, 540, 0, 0] },
        ...row,
      }),
    },
  },
  {
    // Read true: heights, chalk and frog of a reading, places of finds, horn taps, what was told on arrival are new; a
    // visit has as many looks as are taken, each with its own ground and gait.
    to: 7,
    tables: {
      visits: ({ surface, gait, ...row }) => ({
        looks:
          surface === undefined && gait === undefined
            ? {}
            : { before: { ...(surface !== undefined && { surface }), ...(gait !== undefined && { gait }) } },
        ...row,
      }),
      watchings: ({ moment, ...row }) => ({ look: moment, ...row }),
    },
  },
  {
    // The trim that can be trusted: flares, stages, floats and choices of a trim, toe-only visits, reasons of a due day
    // are new; settings gain the order of the cut sheet and what the nippers leave.
    to: 8,
    tables: { settings: (row) => ({ sheet: { order: "heels first", raspMm: 1.5 }, ...row }) },
  },
  {
    // A shoe that says it all: shape of the toe apart from its edge, each branch its own, clips by place, studs by ground.
    to: 9,
    tables: {
      shoes: ({ spec, ...row }) => ({ ...row, ...(spec !== undefined && { spec: specAt9(spec as OldRow) }) }),
      forgings: ({ measures, ...row }) => ({
        ...row,
        ...(measures !== undefined && {
          measures: { ...(measures as OldRow), spec: specAt9((measures as OldRow)["spec"] as OldRow) },
        }),
      }),
      horses: ({ prescription, ...row }) => ({
        ...row,
        ...(prescription !== undefined && { prescription: toeAt9(prescription as OldRow) }),
      }),
    },
  },
  {
    // Cases and radiographs in tables of their own; the prescription, and a vet's plan that stood as the work, become one.
    to: 10,
    tables: {
      visits: (row) => ({ observed: {}, ...row }),
      horses: ({ prescription: _moved, use, ...row }) => ({
        ...row,
        use: use === "vet plan" ? (row["finish"] === "trim" ? "barefoot" : "riding") : use,
      }),
    },
    makes: { horses: caseAt10 },
  },
  {
    // The beat of a look and the still of a foot's landing are new; nothing that was kept changes.
    to: 11,
    tables: {},
  },
  {
    // Tries and protocols of practice in tables of their own, and which points of a photograph were suggested: nothing
    // that was kept changes.
    to: 12,
    tables: {},
  },
  {
    // The lens of a photograph and of this device: nothing that was kept changes.
    to: 13,
    tables: {},
  },
  {
    // A photograph says whether its focal length was guessed, and what a merge set aside has a table of its own: nothing
    // that was kept changes.
    to: 14,
    tables: {},
  },
];

/** The version of the records that this build reads and writes. */
export const RECORD_VERSION = 1 + MIGRATIONS.length;

/** One row of a table carried up from an older version; rows of tables that did not change come back as they were. */
export function migrateRow(
  table: TableName,
  row: Record<string, unknown>,
  from: number,
  migrations: readonly Migration[] = MIGRATIONS,
): Record<string, unknown> {
  return migrations
    .filter((step) => step.to > from)
    .reduce((current, step) => step.tables[table]?.(current) ?? current, row);
}

/** The rows of other tables that one row of an older version turns into, each carried up to this version. */
export function madeRows(
  table: TableName,
  row: OldRow,
  from: number,
  migrations: readonly Migration[] = MIGRATIONS,
): MadeRow[] {
  const steps = migrations.filter(({ to }) => to > from);
  return steps.flatMap(({ to, makes }) => {
    const before = migrateRow(
      table,
      row,
      from,
      steps.filter((step) => step.to < to),
    );
    return (makes?.[table]?.(before) ?? []).map((made) => ({
      ...made,
      row: migrateRow(made.table, made.row, to, steps),
    }));
  });
}
