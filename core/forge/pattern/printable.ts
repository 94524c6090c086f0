import type { PDFFont } from "@cantoo/pdf-lib";

/** Signs that have a plain form. */
const PLAIN: Readonly<Record<string, string>> = {
  "−": "-",
  "→": ">",
  "✓": "+",
  "≤": "<=",
  "≥": ">=",
  Ł: "L",
  ł: "l",
  Đ: "D",
  đ: "d",
  ı: "i",
  Ħ: "H",
  ħ: "h",
};

/** What the printed face can write: its own letters, else the letter without its accents, else a question mark. */
export function printable(text: string, font: PDFFont): string {
  const can = new Set(font.getCharacterSet());
  return [...text.normalize("NFC")]
    .map((sign) => {
      if (can.has(sign.codePointAt(0) ?? 0)) return sign;
      if (PLAIN[sign] !== undefined) return PLAIN[sign];
      const bare = sign.normalize("NFD").replace(/\p{M}/gu, "");
      return bare !== "" && can.has(bare.codePointAt(0) ?? 0) ? bare : "?";
    })
    .join("");
}
