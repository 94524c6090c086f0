import { typesetFractions } from "~core/units/length";

/** Text with its fractions set small: one sign for eighths, the font's own fraction for sixteenths. */
export function Fractions({ text }: { text: string }) {
  return typesetFractions(text)
    .split(/( ?\d+\/\d+)/)
    .map((part, index) =>
      index % 2 === 1 ? (
        <span key={index} className="frac">
          {part.trim()}
        </span>
      ) : (
        part
      ),
    );
}
