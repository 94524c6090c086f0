/** The colours of the house, once for both themes. */
export interface Tokens {
  paper: string;
  sheet: string;
  ink: string;
  quiet: string;
  rule: string;
  verdigris: string;
  onVerdigris: string;
  brass: string;
  brassInk: string;
  window: string;
  ember: string;
  horn: string;
  hornDark: string;
  hornEdge: string;
  limb: string;
  sole: string;
  frog: string;
  steel: string;
}

export type ThemeName = "paper" | "barn";

export const TOKENS: Record<ThemeName, Tokens> = {
  paper: {
    paper: "#F4F0E8",
    sheet: "#FFFDF8",
    ink: "#23272B",
    quiet: "#5E625F",
    rule: "#D8D1C3",
    verdigris: "#1E6B63",
    onVerdigris: "#FFFDF8",
    brass: "#9A6B16",
    brassInk: "#7F5608",
    window: "#F0DFB4",
    ember: "#B5401F",
    horn: "#B9AA8D",
    hornDark: "#857C6A",
    hornEdge: "#BDB29C",
    limb: "#EDE5D6",
    sole: "#EFE8DA",
    frog: "#CDBFA4",
    steel: "#8B949A",
  },
  barn: {
    paper: "#101211",
    sheet: "#191C1A",
    ink: "#F7F2E6",
    quiet: "#C3BFB2",
    rule: "#454843",
    verdigris: "#6FD3C4",
    onVerdigris: "#0C1211",
    brass: "#EDBB55",
    brassInk: "#EDBB55",
    window: "#5C4A1E",
    ember: "#FF9470",
    horn: "#8B7C60",
    hornDark: "#C2AE88",
    hornEdge: "#6E6452",
    limb: "#3A352C",
    sole: "#4A4335",
    frog: "#6C5F49",
    steel: "#8D979C",
  },
};

const kebab = (name: string): string => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

const rules = (theme: ThemeName): string =>
  Object.entries(TOKENS[theme])
    .map(([name, value]) => `--${kebab(name)}:${value}`)
    .join(";");

/** The seven sizes of type, rem. */
const TYPE_REM = { note: 0.8, small: 0.875, text: 0.9375, lead: 1.125, head: 1.4, number: 2.2, big: 3 };

/** The five sizes of type inside drawings to scale, in the drawing’s own unit: on the printed card, on a bar of steel, at a mark, a number, a name. */
export const DRAWN = { card: 3.4, bar: 4.6, small: 7.4, text: 8.6, lead: 10.5 };

/** The eight steps of space, px: within a control 1 to 3, between what belongs together 4 and 5, between groups 6 to 8. */
const SPACE_PX = [2, 4, 6, 8, 12, 16, 24, 32];

/** The three radii, px: of marks and swatches, of controls, of sheets. */
export const RADIUS_PX = { small: 4, control: 6, sheet: 10 };

const scaleRules = [
  ...Object.entries(TYPE_REM).map(([name, rem]) => `--type-${name}:${rem}rem`),
  ...Object.entries(DRAWN).map(([name, px]) => `--drawn-${name}:${px}px`),
  ...SPACE_PX.map((px, at) => `--space-${at + 1}:${px}px`),
  ...Object.entries(RADIUS_PX).map(([name, px]) => `--radius-${name}:${px}px`),
].join(";");

/** The tokens as custom properties; the theme is an attribute of the page. */
export const TOKEN_CSS = `:root{color-scheme:light;${scaleRules};${rules("paper")}}:root[data-theme="barn"]{color-scheme:dark;--type-text:1.0625rem;${rules("barn")}}`;

export const FACE = '"Archivo Variable", "Archivo", "Helvetica Neue", Arial, sans-serif';
