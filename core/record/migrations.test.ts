import { describe, expect, test } from "@jest/globals";
import { caseSchema } from "../case/caseRecord";
import { madeRows, migrateRow, MIGRATIONS, RECORD_VERSION, type Migration } from "./migrations";
import type { Records } from "./tables";

describe("migrations", () => {
  /** A literal row before and after for every shipped step; a step without one fails the gate below. */
  const LITERALS: {
    to: number;
    table: keyof Records;
    before: Record<string, unknown>;
    after: Record<string, unknown>;
  }[] = [
    {
      to: 2,
      table: "readings",
      before: {
        id: "v.LF.before",
        values: { width: { value: 128, source: "calliper" } },
        confirmed: ["odd"],
      },
      after: {
        id: "v.LF.before",
        values: { width: { value: 128, source: "calliper" } },
        sole: {},
        walls: {},
        trace: [],
        rings: {},
        side: {},
        rear: {},
        confirmed: ["odd"],
      },
    },
    {
      to: 2,
      table: "visits",
      before: { id: "v", notes: { watch: "lands flat" }, watch: "", tell: "" },
      after: { id: "v", flags: {}, notes: { watch: "lands flat" }, watch: "", tell: "" },
    },
    {
      to: 2,
      table: "settings",
      before: { id: "settings", unit: "in" },
      after: {
        id: "settings",
        unit: "in",
        lenses: { frontBack: "straight-axis", side: "even-sole" },
        bounds: {},
      },
    },
    {
      to: 3,
      table: "trims",
      before: { id: "v.LF", cuts: { toe: 4 } },
      after: { id: "v.LF", cuts: { toe: 4 }, ticks: {}, past: {} },
    },
    {
      to: 3,
      table: "settings",
      before: { id: "settings", lenses: { frontBack: "even-halves", side: "even-sole" } },
      after: {
        id: "settings",
        margins: { shod: 0, barefoot: 2 },
        lenses: { frontBack: "even-halves", bare: "live-sole", side: "even-sole" },
      },
    },
    {
      to: 5,
      table: "settings",
      before: { id: "settings", unit: "mm" },
      after: {
        id: "settings",
        unit: "mm",
        forge: {
          allowances: { toe: [38.1, 44.45, 50.8], wideLess: 6.35, bump: 12.7, stretch: 6.35 },
          barLength: 3000,
          kerf: 2,
          leastOffcut: 150,
        },
      },
    },
    {
      to: 6,
      table: "settings",
      before: { id: "settings", unit: "in" },
      after: {
        id: "settings",
        unit: "in",
        pairs: [],
        rounds: { speedKmh: 50, stopMinutes: 15, leaves: "07:30", week: [540, 540, 540, 540, 540, 0, 0] },
      },
    },
    {
      to: 7,
      table: "visits",
      before: { id: "v", notes: {}, surface: "gravel", gait: "walk" },
      after: { id: "v", notes: {}, looks: { before: { surface: "gravel", gait: "walk" } } },
    },
    {
      to: 7,
      table: "watchings",
      before: { id: "v.LF.after", limb: "LF", moment: "after", flight: "straight" },
      after: { id: "v.LF.after", limb: "LF", look: "after", flight: "straight" },
    },
    {
      to: 8,
      table: "settings",
      before: { id: "settings", unit: "in" },
      after: { id: "settings", unit: "in", sheet: { order: "heels first", raspMm: 1.5 } },
    },
    {
      to: 9,
      table: "shoes",
      before: {
        id: "v.LH.shoe",
        spec: {
          type: "plain",
          width: 22,
          thickness: 10,
          profile: "flat",
          crease: "creased",
          material: "steel",
          toe: "rolled",
          support: "frog",
          heels: "safe inner edge",
          clips: "side",
          traction: "stud holes",
          studs: "small",
          pad: "none",
          packing: "none",
          extraSide: "lateral",
          extraWeb: 3,
          fullMedial: 1,
          fullLateral: 3,
          longerMedial: 0,
          longerLateral: 2,
          nailsMedial: 3,
          nailsLateral: 3,
          pattern: "slim",
          relief: false,
        },
      },
      after: {
        id: "v.LH.shoe",
        spec: {
          type: "plain",
          width: 22,
          thickness: 10,
          profile: "flat",
          crease: "creased",
          material: "steel",
          toe: "round",
          toeEdge: "rolled",
          support: "frog",
          endMedial: "plain",
          endLateral: "plain",
          fullToeMedial: 0.5,
          fullToeLateral: 0.5,
          fullMedial: 1,
          fullLateral: 3,
          longerMedial: 0,
          longerLateral: 2,
          turn: 0,
          widerMedial: 0,
          widerLateral: 3,
          outMedial: 0,
          outLateral: 3,
          changeFrom: "toe quarter",
          edges: { quarterMedial: "safe inside", heelMedial: "safe inside" },
          unloaded: [],
          clips: ["side medial", "side lateral"],
          nailsMedial: 3,
          nailsLateral: 3,
          pattern: "slim",
          nailMetal: "steel",
          traction: "stud holes",
          studsGood: "small",
          studsWet: "small",
          relief: false,
          pad: "none",
          riveted: false,
          packing: "none",
          packed: "bedded",
        },
      },
    },
    {
      to: 9,
      table: "forgings",
      before: {
        id: "two-measures",
        measures: {
          end: "hind",
          spec: {
            toe: "square",
            clips: "none",
            heels: "open",
            studs: "none",
            extraSide: "none",
            extraWeb: 0,
            pad: "flat",
          },
        },
      },
      after: {
        id: "two-measures",
        measures: {
          end: "hind",
          spec: {
            toe: "square set under",
            toeEdge: "plain",
            endMedial: "open",
            endLateral: "open",
            fullToeMedial: 0.5,
            fullToeLateral: 0.5,
            turn: 0,
            widerMedial: 0,
            widerLateral: 0,
            outMedial: 0,
            outLateral: 0,
            changeFrom: "toe quarter",
            edges: {},
            unloaded: [],
            clips: [],
            nailMetal: "steel",
            studsGood: "none",
            studsWet: "none",
            pad: "flat",
            riveted: true,
            packed: "bedded",
          },
        },
      },
    },
    {
      to: 9,
      table: "horses",
      before: { id: "h", prescription: { by: "the vet", toe: "rolled", raiseDeg: 3 } },
      after: { id: "h", prescription: { by: "the vet", toe: "round", toeEdge: "rolled", raiseDeg: 3 } },
    },
    {
      to: 10,
      table: "horses",
      before: { id: "h", name: "Dunlin", use: "vet plan", finish: "fronts", prescription: { by: "the vet" } },
      after: { id: "h", name: "Dunlin", use: "riding", finish: "fronts" },
    },
    {
      to: 10,
      table: "visits",
      before: { id: "v", notes: {} },
      after: { id: "v", notes: {}, observed: {} },
    },
  ];

  test("a vet’s plan that stood on the horse becomes a case of its own, as the schema reads it; without one none is made", () => {
    const old = {
      id: "h",
      name: "Dunlin",
      use: "vet plan",
      finish: "fronts",
      life: { conditions: ["laminitis"] },
      prescription: { by: "the vet", until: "2026-12-01", feet: ["RF"], says: "Raised.", raiseDeg: 3 },
    };
    const made = madeRows("horses", old, 9);
    expect(made).toHaveLength(1);
    expect(made[0]).toMatchObject({
      table: "cases",
      row: {
        id: "case-h",
        horseId: "h",
        kind: "laminitis",
        lead: "vet",
        vet: "the vet",
        feet: ["RF"],
        prescription: { by: "the vet", until: "2026-12-01", raiseDeg: 3 },
      },
    });
    expect(caseSchema.safeParse(made[0]?.row).error).toBeUndefined();
    const { prescription: _none, ...plain } = old;
    expect(madeRows("horses", plain, 9)[0]?.row).toMatchObject({ kind: "laminitis", feet: ["LF", "RF"] });
    expect(madeRows("horses", { ...plain, use: "roads" }, 9)).toEqual([]);
    expect(madeRows("horses", old, 10)).toEqual([]);
  });

  test("what version 8 kept is carried through both steps before the case is made of it", () => {
    const [made] = madeRows(
      "horses",
      { id: "h", use: "riding", prescription: { by: "x", until: "2026-12-01", feet: ["LF"], toe: "rolled" } },
      8,
    );
    expect(made?.row["prescription"]).toMatchObject({ toe: "round", toeEdge: "rolled" });
  });

  test("gate: every shipped step has a literal row before and after, in order without gaps", () => {
    expect(MIGRATIONS.map(({ to }) => to)).toEqual(MIGRATIONS.map((_, index) => index + 2));
    expect(RECORD_VERSION).toBe(MIGRATIONS.length + 1);
    for (const step of MIGRATIONS)
      for (const table of Object.keys(step.tables))
        expect(LITERALS.some((one) => one.to === step.to && one.table === table)).toBe(true);
  });

  test("each step turns its literal row into the other", () => {
    for (const { to, table, before, after } of LITERALS)
      expect(
        migrateRow(
          table,
          before,
          to - 1,
          MIGRATIONS.filter((step) => step.to === to),
        ),
      ).toEqual(after);
  });

  test("a row is carried through every step after its version, and only those", () => {
    const steps: Migration[] = [
      { to: 2, tables: { horses: (row) => ({ ...row, two: true }) } },
      { to: 3, tables: { horses: (row) => ({ ...row, three: row["two"] }), yards: (row) => row } },
    ];
    expect(migrateRow("horses", { id: "h" }, 1, steps)).toEqual({ id: "h", two: true, three: true });
    expect(migrateRow("horses", { id: "h" }, 2, steps)).toEqual({ id: "h", three: undefined });
    expect(migrateRow("visits", { id: "v" }, 1, steps)).toEqual({ id: "v" });
  });
});
