import { printable } from "./printable";
import { PATTERN_LAYERS, type Pattern } from "./pattern";

/** Colour numbers of the layers: black, black, green, red, grey. */
const COLOURS: Record<(typeof PATTERN_LAYERS)[number], number> = {
  OUTER: 7,
  INNER: 7,
  CREASE: 3,
  NAILS: 1,
  MARKS: 8,
};
const TEXT_MM = 4;

/** Text of release 12: ASCII alone, without accents where it must be; two per cent signs would begin a code. */
const plain = (text: string): string =>
  printable(text, (code) => code >= 32 && code < 127).replace(/%(?=%)/g, "% ");

/**
 * The pattern as ASCII DXF of release 12, millimetres, y up, 1:1: each line a POLYLINE on its layer, the label as TEXT
 * on MARKS. Release 12 has no unit of its own; a cutter is told millimetres.
 */
export function patternDxf({ lines, box, label }: Pattern): string {
  const out: (string | number)[] = [];
  const put = (code: number, value: string | number) => out.push(code, value);
  const number = (value: number) => value.toFixed(4);
  put(0, "SECTION");
  put(2, "HEADER");
  put(9, "$ACADVER");
  put(1, "AC1009");
  put(9, "$EXTMIN");
  put(10, number(box.x));
  put(20, number(box.y));
  put(9, "$EXTMAX");
  put(10, number(box.x + box.width));
  put(20, number(box.y + box.height));
  put(0, "ENDSEC");
  put(0, "SECTION");
  put(2, "TABLES");
  put(0, "TABLE");
  put(2, "LAYER");
  put(70, PATTERN_LAYERS.length);
  for (const layer of PATTERN_LAYERS) {
    put(0, "LAYER");
    put(2, layer);
    put(70, 0);
    put(62, COLOURS[layer]);
    put(6, "CONTINUOUS");
  }
  put(0, "ENDTAB");
  put(0, "ENDSEC");
  put(0, "SECTION");
  put(2, "ENTITIES");
  for (const { layer, points, closed } of lines) {
    put(0, "POLYLINE");
    put(8, layer);
    put(66, 1);
    put(70, closed ? 1 : 0);
    for (const [x, y] of points) {
      put(0, "VERTEX");
      put(8, layer);
      put(10, number(x));
      put(20, number(y));
    }
    put(0, "SEQEND");
    put(8, layer);
  }
  label.forEach((line, index) => {
    put(0, "TEXT");
    put(8, "MARKS");
    put(10, number(box.x));
    put(20, number(box.y - (index + 2) * TEXT_MM * 1.5));
    put(40, TEXT_MM);
    put(1, plain(line));
  });
  put(0, "ENDSEC");
  put(0, "EOF");
  return `${out.join("\n")}\n`;
}
