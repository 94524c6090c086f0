import js from "@eslint/js";
import reactHooks from "eslint-plugin-react-hooks";
import globals from "globals";
import tseslint from "typescript-eslint";

const interfaceCode = [
  "react",
  "react-dom",
  "antd",
  "dexie",
  "react-router",
  "comlink",
  "d3-*",
  "~app/*",
  "~demo/*",
];

export default tseslint.config(
  {
    ignores: [
      "**/build",
      "node_modules",
      "**/.react-router",
      "playwright-report",
      "test-results",
      "coverage",
      ".cache",
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    files: ["**/*.ts", "**/*.tsx"],
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/consistent-type-imports": "error",
    },
  },
  { files: ["**/*.mjs", "**/*.cjs", "*.js"], languageOptions: { globals: globals.node } },
  { files: ["app/start/*.js"], languageOptions: { globals: globals.browser } },
  { files: ["**/*.cjs"], rules: { "@typescript-eslint/no-require-imports": "off" } },
  {
    files: ["app/**/*.tsx", "app/**/*.ts"],
    plugins: { "react-hooks": reactHooks },
    rules: { ...reactHooks.configs.recommended.rules },
  },
  {
    files: ["core/**/*.ts"],
    rules: {
      "no-restricted-imports": ["error", { patterns: interfaceCode }],
      "no-restricted-globals": ["error", "window", "document", "fetch", "localStorage", "indexedDB"],
      "no-restricted-properties": [
        "error",
        { object: "Date", property: "now", message: "The clock is handed in." },
        { object: "Math", property: "random", message: "Randomness is handed in." },
      ],
    },
  },
  { files: ["**/*.test.ts", "tests/**/*.ts"], rules: { "@typescript-eslint/no-non-null-assertion": "off" } },
);
