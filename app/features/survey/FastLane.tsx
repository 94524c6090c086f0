import { NumberInput } from "~app/ui/NumberInput";
import { useEffect, useId, useRef } from "react";
import type { Issue } from "~core/result";
import { Fractions } from "~app/ui/Fractions";
import { useNarrow } from "~app/ui/useNarrow";
import { NumberPad } from "~app/ui/NumberPad";
import type { PadKey } from "~core/units/padText";

/** One number of the lane as it is shown and typed. */
export interface LaneField<Name extends string> {
  name: Name;
  label: string;
  hint: string;
  kind: "angle" | "length";
  /** It can lie on either side of nothing. */
  signed?: boolean;
  text: string;
  typed: boolean;
  issue?: Issue | undefined;
  /** The value it had before, beside the new one. */
  last?: { text: string; change?: string } | undefined;
  /** Shown beside the value: where it came from, what it means. */
  aside?: React.ReactNode;
  /** What it means, in a few words, where there is no room for the ledger. */
  note?: { text: string; level: "steady" | "drifting" | "act" } | undefined;
  /** A question that waits for an answer. */
  ask?: React.ReactNode;
}

interface FastLaneProps<Name extends string> {
  fields: readonly LaneField<Name>[];
  active: Name;
  unit: "mm" | "in";
  /** What the value beside is called: "last", or "before". */
  lastName: string;
  onActive: (name: Name) => void;
  onType: (name: Name, text: string) => void;
  /** Turns the text into a value; false when it cannot be read. */
  onSettle: (name: Name) => boolean;
  onPad: (key: PadKey) => void;
  onUnit: () => void;
  onSame: () => void;
  /** After the last field. */
  onEnd: () => void;
  /** Beside the large figure on a phone. */
  picture: React.ReactNode;
}

/** A handful of numbers, one after the other: typed on a keyboard, or with one thumb on the pad. */
export function FastLane<Name extends string>(props: FastLaneProps<Name>) {
  const { fields, active, onActive, onType, onSettle, onEnd, unit } = props;
  const narrow = useNarrow();
  const ids = useId();
  const inputs = useRef(new Map<Name, HTMLInputElement>());
  const index = fields.findIndex(({ name }) => name === active);
  const current = fields[index];
  const focus = (name: Name) => {
    onActive(name);
    const input = inputs.current.get(name);
    input?.focus();
    input?.select();
  };
  const first = fields[0]?.name;
  useEffect(() => {
    if (first) inputs.current.get(first)?.focus({ preventScroll: true });
  }, [first]);
  const next = () => {
    if (!onSettle(active)) return;
    const following = fields[index + 1];
    if (following) focus(following.name);
    else onEnd();
  };
  const same = () => {
    props.onSame();
    const following = fields[index + 1];
    if (following) focus(following.name);
  };
  if (!current) return null;
  const unitOf = (kind: LaneField<Name>["kind"]) => (kind === "angle" ? "°" : unit);
  return (
    <div className="lane bench-lane" data-unit={unit}>
      {narrow && (
        <div className="lane-now">
          <div>
            <p className="quiet">{current.label}</p>
            <p className="lane-figure">
              {current.text === "" ? "–" : <Fractions text={current.text} />}{" "}
              <small>{unitOf(current.kind)}</small>
            </p>
            <p className="quiet lane-last">
              {current.last ? (
                <Fractions
                  text={`${props.lastName} ${current.last.text}${current.last.change ? ` · ${current.last.change}` : ""}`}
                />
              ) : (
                current.hint
              )}
            </p>
          </div>
          <div className="lane-picture">{props.picture}</div>
        </div>
      )}
      <ol className="lane-fields">
        {fields.map((field) => (
          <li key={field.name} className={field.name === active ? "lane-field lane-active" : "lane-field"}>
            <div className="lane-row">
              <label htmlFor={`${ids}-${field.name}`}>{field.label}</label>
              <NumberInput
                id={`${ids}-${field.name}`}
                ref={(element) => {
                  if (element?.input) inputs.current.set(field.name, element.input);
                  return () => {
                    inputs.current.delete(field.name);
                  };
                }}
                view={field}
                inputMode={narrow ? "none" : "decimal"}
                saidBy={`${ids}-${field.name}-said`}
                placeholder="–"
                onFocus={() => onActive(field.name)}
                onType={(text) => onType(field.name, text)}
                onSettle={() => onSettle(field.name)}
                onEnter={next}
                onKeyDown={(event) => {
                  if (event.key === "Escape") event.currentTarget.blur();
                  const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
                  const other = step && fields[index + step];
                  if (other) {
                    event.preventDefault();
                    focus(other.name);
                  }
                }}
              />
              <span className="lane-unit">{unitOf(field.kind)}</span>
              <span className="lane-before quiet">
                {field.last && <Fractions text={`${props.lastName} ${field.last.text}`} />}
                {field.last?.change && (
                  <b>
                    <Fractions text={field.last.change} />
                  </b>
                )}
              </span>
              {field.aside}
            </div>
            {!narrow && field.name === active && <p className="quiet lane-hint">{field.hint}</p>}
            {narrow && field.note && (
              <p className={`lane-note lane-note-${field.note.level}`}>
                <Fractions text={field.note.text} />
              </p>
            )}
            <div id={`${ids}-${field.name}-said`} className="lane-said">
              {field.issue && (
                <p className="ember" role="alert">
                  {field.issue.message}
                </p>
              )}
              {field.ask}
            </div>
          </li>
        ))}
      </ol>
      {narrow && (
        <NumberPad
          kind={current.kind}
          signed={current.signed ?? false}
          unit={unit}
          onKey={props.onPad}
          onUnit={props.onUnit}
          onSame={current.last ? same : undefined}
          onNext={next}
        />
      )}
    </div>
  );
}
