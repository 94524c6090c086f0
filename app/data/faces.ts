import { NO_FACES, type FaceFiles } from "~core/forge/pattern/printable";

/** Addresses of the type of each script, by weight; they are fetched when a text asks for them. */
const FILES = import.meta.glob<string>(
  "/node_modules/@fontsource/noto-sans/files/noto-sans-{latin-ext,vietnamese,cyrillic,cyrillic-ext,greek,greek-ext,devanagari}-{400,700}-normal.woff",
  { query: "?url", import: "default", eager: true },
);

/** What is written in each of them. */
const SCRIPTS: readonly { signs: RegExp; files: readonly string[] }[] = [
  { signs: /[\u0100-\u024f\u1e00-\u1eff]/u, files: ["latin-ext", "vietnamese"] },
  { signs: /\p{Script=Cyrillic}/u, files: ["cyrillic", "cyrillic-ext"] },
  { signs: /\p{Script=Greek}/u, files: ["greek", "greek-ext"] },
  { signs: /\p{Script=Devanagari}/u, files: ["devanagari"] },
];

/** The type that a PDF of these texts needs besides its standard face; none where it cannot be fetched. */
export async function facesFor(text: string): Promise<FaceFiles> {
  const names = SCRIPTS.flatMap(({ signs, files }) => (signs.test(text.normalize("NFC")) ? files : []));
  const fetched = async (weight: 400 | 700) =>
    Promise.all(
      names.map(async (name) => {
        const address =
          FILES[`/node_modules/@fontsource/noto-sans/files/noto-sans-${name}-${weight}-normal.woff`];
        return new Uint8Array(await (await fetch(address ?? "")).arrayBuffer());
      }),
    );
  try {
    return { plain: await fetched(400), bold: await fetched(700) };
  } catch {
    return NO_FACES;
  }
}
