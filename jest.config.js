/** Unit tests: the core, the calculators, the charts' models and the records. */
export default {
  testEnvironment: "node",
  // Both cores: the default leaves one idle.
  maxWorkers: "100%",
  // What takes long on a busy machine is not wrong for that: speed is the bench's matter.
  testTimeout: 60_000,
  roots: ["<rootDir>/core", "<rootDir>/calc", "<rootDir>/app", "<rootDir>/demo"],
  testMatch: ["**/*.test.ts"],
  extensionsToTreatAsEsm: [".ts", ".tsx"],
  setupFiles: ["fake-indexeddb/auto"],
  transform: {
    "^.+\\.([jt]sx?|mjs)$": [
      "<rootDir>/scripts/unitTransform.mjs",
      { jsc: { target: "es2022", parser: { syntax: "typescript", tsx: true } }, module: { type: "es6" } },
    ],
  },
  // Packages that run through most of the tests; the others stay as they are.
  transformIgnorePatterns: ["/node_modules/(?!(fake-indexeddb|zod)/)"],
  moduleNameMapper: { "^~(core|app|demo)/(.*)$": "<rootDir>/$1/$2" },
};
