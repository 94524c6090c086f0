/** The house's walls: imports point down only. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.ts$" },
  to: { path: "^(core|calc|app|demo|tests|bench)/", pathNot: allowed },
});

/**
 * The floors of the core, from the ground up: a folder imports what lies on lower floors, and those neighbours of its own
 * floor that stand behind it. No two folders import each other.
 */
const FLOORS = [
  {
    constants: ["math"],
    math: [],
    calendar: ["constants"],
    units: ["constants"],
    geometry: [],
    schema: ["calendar"],
    repeatability: ["constants"],
    instrument: ["constants", "units"],
  },
  { foot: [] },
  { gait: [], balance: [] },
  { trim: [], shoe: [] },
  {
    forge: [],
    photo: [],
    simulator: ["photo"],
    suggest: ["photo"],
    practice: ["photo", "simulator", "forge"],
    radiograph: [],
    case: [],
    ground: [],
    caution: [],
  },
  { record: [] },
  {
    cycle: [],
    visit: ["cycle"],
    rounds: ["cycle", "visit"],
    herd: ["cycle", "visit"],
    outcome: ["cycle", "visit"],
    casework: ["cycle", "visit"],
    sheet: ["cycle", "visit", "casework"],
    merge: [],
  },
];

const floors = FLOORS.flatMap((folders, floor) =>
  Object.entries(folders).map(([folder, neighbours]) => {
    const below = FLOORS.slice(0, floor).flatMap((lower) => Object.keys(lower));
    return {
      name: `floor-of-${folder}`,
      comment: `core/${folder} stands on ${[...below, ...neighbours].join(", ") || "nothing"}.`,
      severity: "error",
      from: { path: `^core/${folder}/`, pathNot: "\\.(test|fixture)\\.ts$" },
      to: {
        path: "^core/",
        pathNot: `^core/(result\\.ts$|(${[folder, ...below, ...neighbours].join("|")})/)`,
      },
    };
  }),
);

/** Folders inside a folder of the core: the same, by name. */
const INNER = {
  foot: {
    "": [],
    survey: [""],
    parametric: ["", "survey"],
    records: ["", "survey"],
    findings: ["", "survey", "parametric", "records"],
  },
  shoe: { "": [], advice: [""] },
  forge: { "": [], pattern: [""], heats: [""], cutlist: [""], anvil: ["", "pattern"] },
};

const innerFloors = Object.entries(INNER).flatMap(([folder, rooms]) =>
  Object.entries(rooms).map(([room, below]) => {
    const pathOf = (name) => (name === "" ? `^core/${folder}/[^/]+$` : `^core/${folder}/${name}/`);
    return {
      name: `floor-of-${folder}${room === "" ? "" : `-${room}`}`,
      severity: "error",
      from: { path: pathOf(room), pathNot: "\\.(test|fixture)\\.ts$" },
      to: { path: `^core/${folder}/`, pathNot: [room, ...below].map(pathOf) },
    };
  }),
);

module.exports = {
  forbidden: [
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
    {
      name: "every-folder-of-the-core-has-its-floor",
      comment: "A new folder of the core is given its floor first.",
      severity: "error",
      from: {},
      to: {
        path: "^core/[^/]+/",
        pathNot: `^core/(${FLOORS.flatMap((folders) => Object.keys(folders)).join("|")})/`,
      },
    },
    ...floors,
    ...innerFloors,
    only("core-imports-core", "^core/", "^core/", "The core computes; it knows no screen and no store."),
    {
      name: "core-has-no-interface",
      severity: "error",
      from: { path: "^core/" },
      to: { path: "node_modules/(react|react-dom|antd|dexie|react-router|d3-[a-z]+|comlink)/" },
    },
    only(
      "calc-imports-core",
      "^calc/",
      "^(core|calc)/",
      "The headless command only parses, calls and prints.",
    ),
    only("demo-imports-core", "^demo/", "^(core|demo)/", "The demo round is made by the core alone."),
    only(
      "data-imports-core",
      "^app/data/",
      "^(core/|app/data/|app/workers/)",
      "Stores know records and workers.",
    ),
    only(
      "workers-import-down",
      "^app/workers/",
      "^(core/|demo/|app/workers/|app/data/(database|folder|mergeStore|packed|pictureBytes|sealed|storeFiles|tablesZip)\\.ts$)",
      "Workers adapt the core, and the store for what would stop the page.",
    ),
    only(
      "drawing-imports-core",
      "^app/drawing/",
      "^(core/|app/drawing/)",
      "Drawings draw what the core computed.",
    ),
    only("charts-import-core", "^app/charts/", "^(core/|app/charts/)", "Charts draw what the core computed."),
    only(
      "ui-imports-down",
      "^app/ui/",
      "^(core/|app/ui/|app/data/|app/drawing/|app/workers/)",
      "Shared parts know no feature.",
    ),
    only(
      "stage-imports-down",
      "^app/stage/",
      "^(core/|app/(stage|ui|data|drawing|charts|workers)/)",
      "What two stages of a visit share knows no stage.",
    ),
    {
      name: "features-do-not-import-features",
      severity: "error",
      from: { path: "^app/features/([^/]+)/" },
      to: { path: "^app/features/", pathNot: "^app/features/$1/" },
    },
    {
      name: "nothing-imports-routes",
      severity: "error",
      from: { pathNot: "^app/(routes/|routes\\.ts$|root\\.tsx$)" },
      to: { path: "^app/(routes/|root\\.tsx$)" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    exclude: { path: "\\.react-router|\\+types" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
