import { lengthParts } from "~core/units/length";
import type { Wording } from "~core/units/wording";

/** A length set as a rule shows it: large figure, fraction, small unit. */
export function LengthText({ mm, wording, signed = false }: { mm: number; wording: Wording; signed?: boolean }) {
  const parts = lengthParts(mm, wording.unit, wording.fraction);
  const plus = signed && parts.sign === "" && Number(parts.whole || parts.top) !== 0 ? "+" : parts.sign;
  return (
    <span className="length-text">
      {plus}
      {parts.whole}
      {parts.top !== undefined && <span className="frac">{` ${parts.top}⁄${parts.bottom}`}</span>}
      <small> {parts.unit}</small>
    </span>
  );
}
