import { TextButton } from "~app/ui/TextButton";
import { PickOne } from "~app/ui/PickOne";
import { TypedField } from "~app/ui/TypedField";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { findVerdict, wallLengthAt } from "~core/foot/records/livingFinds";
import type { Find } from "~core/foot/records/look";
import { WALL_PLACE_NAMES, WALL_PLACES } from "~core/foot/survey/walls";
import { FIND_KINDS } from "~core/foot/wear";
import { lengthInField } from "~core/foot/wording";
import type { Edit } from "~core/record/edit";
import { fail, ok } from "~core/result";
import { parseLength } from "~core/units/length";
import type { AwaitedFind } from "~core/visit/livingFindWords";
import { FindNote } from "./FindNote";

interface FindRowProps {
  id: string;
  find: Find;
  draftKey: string;
  /** The same find as earlier looks had it. */
  before: AwaitedFind | undefined;
  toeLengthMm: number;
  smallestChangeMm: number;
  /** `was` is what stood there when the typing began. */
  edit: (path: readonly string[], now: unknown, label: string, ...was: [unknown?]) => Edit;
}

/** One find of today: where, how far down, how long, and what became of it since it was looked at last. */
export function FindRow(props: FindRowProps) {
  const { id, find, draftKey, before, toeLengthMm, smallestChangeMm, edit } = props;
  const wording = useWording();
  const { save } = useEdits();
  const most = find.wall ? Math.round(wallLengthAt(find.wall, toeLengthMm) * WALL_SLACK) : 250;
  const verdict = before && findVerdict(find, before, before.forecast, smallestChangeMm);
  const length = (key: "belowMm" | "lengthMm", label: string) => (
    <TypedField
      label={label}
      unit={wording.unit}
      draftKey={`${draftKey}.${key}`}
      stored={find[key]}
      show={(mm) => lengthInField(mm, wording)}
      read={(text) => {
        if (text.trim() === "") return ok(undefined);
        const read = parseLength(text, wording.unit);
        if (!read.ok) return read;
        return read.value <= most
          ? read
          : fail(
              "longer-than-the-wall",
              key,
              `${wording.length(read.value)} is more than the wall is long there (about ${wording.length(most)}). Check the unit.`,
              read.value,
            );
      }}
      edit={(was, now) =>
        edit(["finds", id, key], now, `${FIND_KINDS[find.kind].toLowerCase()}, ${label.toLowerCase()}`, was)
      }
    />
  );
  return (
    <li>
      <div className="find-head">
        <b>{FIND_KINDS[find.kind]}</b>
        <TextButton
          aria-label={`Take away: ${FIND_KINDS[find.kind]}`}
          onClick={() => void save(edit(["finds", id], undefined, "find taken away"))}
        >
          ×
        </TextButton>
      </div>
      <div className="find-place">
        <label className="spec-field">
          <span>Where</span>
          <PickOne<string>
            label={`Where the ${FIND_KINDS[find.kind].toLowerCase()} is`}
            value={find.wall ?? ""}
            options={[
              { value: "", label: "on the sole" },
              ...WALL_PLACES.map((value) => ({
                value: value as string,
                label: `wall, ${wording.inOwnWords(WALL_PLACE_NAMES[value]).toLowerCase()}`,
              })),
            ]}
            onPick={(wall) => void save(edit(["finds", id, "wall"], wall || undefined, "place of a find"))}
          />
        </label>
        {find.wall && length("belowMm", "Below the hairline")}
        {length("lengthMm", "Length")}
      </div>
      {verdict && (
        <p className={verdict === "as expected" || verdict === "better" ? "quiet" : "ember"}>
          {VERDICT_WORDS[verdict]}
        </p>
      )}
      <FindNote
        draftKey={draftKey}
        stored={find.note}
        label={`Note on ${FIND_KINDS[find.kind].toLowerCase()}`}
        edit={(was, now) => edit(["finds", id, "note"], now, "note", was)}
      />
    </li>
  );
}

/** A wall is read a little long rather than refused. */
const WALL_SLACK = 1.15;

const VERDICT_WORDS = {
  "as expected": "As expected: it has grown down with the wall.",
  better: "Better: shorter than it was, by more than measuring.",
  worse: "Worse: longer than it was, by more than measuring.",
  "does not fit the growth":
    "This does not fit the growth: has it climbed, is it another one, or is the unit wrong? A new one is added by itself.",
} as const;
