/** The house's walls: imports point down only. */
const only = (name, from, allowed, comment) => ({
  name,
  comment,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.ts$" },
  to: { path: "^(core|calc|app|demo|tests|bench)/", pathNot: allowed },
});

module.exports = {
  forbidden: [
    { name: "no-circular", severity: "error", from: {}, to: { circular: true } },
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
    only("workers-import-down", "^app/workers/", "^(core/|demo/|app/workers/)", "Workers adapt the core."),
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
