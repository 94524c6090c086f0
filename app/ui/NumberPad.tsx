import type { PadKey } from "~core/units/padText";
import "./pad.css";

interface NumberPadProps {
  kind: "angle" | "length";
  /** A key for the sign stands in the place of the unit. */
  signed?: boolean;
  unit: "mm" | "in";
  onKey: (key: PadKey) => void;
  onUnit: () => void;
  onSame: (() => void) | undefined;
  onNext: () => void;
}

const ROWS = [
  ["7", "8", "9"],
  ["4", "5", "6"],
  ["1", "2", "3"],
] as const;
const EIGHTHS = [
  ["⅛", 1],
  ["¼", 2],
  ["½", 4],
  ["¾", 6],
] as const;
/** Three steps for the column beside the digits. */
const STEPS: readonly [sign: string, by: number][] = [
  ["+1", 1],
  ["−1", -1],
  ["+½", 0.5],
];

/** Digits for a thumb; eighths when inches are typed, steps when millimetres or degrees are. */
export function NumberPad({ kind, signed = false, unit, onKey, onUnit, onSame, onNext }: NumberPadProps) {
  const inches = kind === "length" && unit === "in";
  const side = (row: number) => {
    if (inches) {
      const [sign, eighths] = EIGHTHS[row] as (typeof EIGHTHS)[number];
      return (
        <Key
          side
          name={`add ${eighths} eighths`}
          sign={sign}
          onPress={() => onKey({ kind: "fraction", eighths })}
        />
      );
    }
    const step = STEPS[row];
    if (!step) return <Key side name="point" sign="." onPress={() => onKey({ kind: "point" })} />;
    return (
      <Key
        side
        name={`${step[0]} step`}
        sign={step[0]}
        onPress={() => onKey({ kind: "step", by: step[1] })}
      />
    );
  };
  return (
    <div className="pad" role="group" aria-label="Number pad">
      {ROWS.map((digits, row) => (
        <div className="pad-row" key={digits[0]}>
          {digits.map((digit) => (
            <Key key={digit} name={digit} sign={digit} onPress={() => onKey({ kind: "digit", digit })} />
          ))}
          {side(row)}
        </div>
      ))}
      <div className="pad-row">
        {signed ? (
          <Key name="plus or minus" sign="±" onPress={() => onKey({ kind: "sign" })} />
        ) : kind === "length" ? (
          <Key name={`unit, now ${unit}`} sign={unit} onPress={onUnit} />
        ) : (
          <span className="pad-gap" aria-hidden="true">
            °
          </span>
        )}
        <Key name="0" sign="0" onPress={() => onKey({ kind: "digit", digit: "0" })} />
        <Key name="delete" sign="⌫" onPress={() => onKey({ kind: "back" })} />
        {side(3)}
      </div>
      <div className="pad-row pad-row-wide">
        <button type="button" className="pad-key" disabled={!onSame} onMouseDown={keepFocus} onClick={onSame}>
          Same as last
        </button>
        <button type="button" className="pad-key pad-next" onMouseDown={keepFocus} onClick={onNext}>
          Next
        </button>
      </div>
    </div>
  );
}

/** The field being typed in stays in focus. */
const keepFocus = (event: React.MouseEvent) => event.preventDefault();

interface KeyProps {
  name: string;
  sign: string;
  side?: boolean;
  onPress: () => void;
}

function Key({ name, sign, side = false, onPress }: KeyProps) {
  return (
    <button
      type="button"
      className={`pad-key${side ? " pad-side" : ""}`}
      aria-label={name}
      onMouseDown={keepFocus}
      onClick={onPress}
    >
      {sign}
    </button>
  );
}
