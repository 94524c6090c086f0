import { TextButton } from "~app/ui/TextButton";
import { DatePicker } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import { Choice } from "~app/stage/Choice";
import type { StageContext } from "~app/stage/stageContext";
import { useEdits } from "~app/ui/useEdits";
import { useNarrow } from "~app/ui/useNarrow";
import { sentenceCase } from "~core/foot/wording";
import {
  forTheVet,
  freeLookId,
  LOOK_TIMES,
  wrongLookDay,
  type LookOfVisit,
  type TakenLook,
} from "~core/gait/looks";
import { DIRECTIONS, GAITS, HEADS, HIPS, SURFACES } from "~core/gait/watching";
import type { Edit } from "~core/record/edit";
import { lookEdit } from "./lookEdit";
import { lookName } from "./lookName";

interface LookBarProps {
  context: StageContext;
  looks: readonly LookOfVisit[];
  look: LookOfVisit;
  /** Those at which something was seen. */
  taken: readonly LookOfVisit[];
  onLook: (id: string) => void;
}

/** The looks of a visit, as many as are taken; of the chosen one how it was taken, and what the whole horse showed. */
export function LookBar({ context: { visit, today }, looks, look, taken, onLook }: LookBarProps) {
  const { save } = useEdits();
  const [wrongDay, setWrongDay] = useState<string | undefined>(undefined);
  const withKey = (key: keyof TakenLook, now: unknown): Edit => lookEdit(visit, look.id, key, now);
  /** Head and hip are the vet's: what is seen of them raises the banner at once. */
  const setWhole = (key: "head" | "hip", now: string | undefined) => {
    const vet = forTheVet({ ...look, [key]: now });
    const edits = [withKey(key, now)];
    if (vet && !visit.flags.uneven)
      edits.push({
        table: "visits",
        id: visit.id,
        path: ["flags", "uneven"],
        was: undefined,
        now: { note: sentenceCase(vet), because: "" },
        label: "red flag",
      });
    void save(...edits);
  };
  const addLook = () => {
    const id = freeLookId(visit.looks);
    void save({
      table: "visits",
      id: visit.id,
      path: ["looks", id],
      was: undefined,
      now: {
        time: visit.date < today ? "later day" : "as it came",
        ...(visit.date < today && { date: today }),
      },
      label: "one look more",
    });
    onLook(id);
  };
  const tap = (key: "gait" | "surface" | "direction", label: string, options: readonly string[]) => (
    <Choice
      label={label}
      options={options}
      value={look[key]}
      onChoose={(now) => void save(withKey(key, now))}
    />
  );
  return (
    <div className="watch-ground">
      <div className="look-bar" role="group" aria-label="Look">
        {looks.map((one) => (
          <button
            key={one.id}
            type="button"
            className="look-tab"
            aria-pressed={one.id === look.id}
            data-taken={taken.includes(one)}
            onClick={() => onLook(one.id)}
          >
            {sentenceCase(lookName(one))}
          </button>
        ))}
        <TextButton onClick={addLook}>+ one more</TextButton>
      </div>
      {look.more && (
        <div className="look-more">
          <Choice
            label="When"
            options={LOOK_TIMES}
            value={look.time}
            onChoose={(time) => time && void save(withKey("time", time))}
          />
          {look.time === "later day" && (
            <label className="look-day">
              <span>Day of the look</span>
              <DatePicker
                aria-label="Day of the look"
                value={look.date ? dayjs(look.date) : null}
                onChange={(day) => {
                  const date = (day as dayjs.Dayjs | null)?.format("YYYY-MM-DD");
                  const wrong = date && wrongLookDay(date, visit.date, today);
                  setWrongDay(wrong || undefined);
                  if (!wrong) void save(withKey("date", date));
                }}
              />
            </label>
          )}
          {wrongDay && (
            <p className="ember" role="alert">
              {wrongDay}
            </p>
          )}
        </div>
      )}
      <HowTaken look={look}>
        {tap("gait", "Gait", GAITS)}
        {tap("surface", "Surface", SURFACES)}
        {tap("direction", "Going", DIRECTIONS)}
        <Choice
          label="Head"
          options={HEADS}
          usual="steady"
          value={look.head}
          onChoose={(now) => setWhole("head", now)}
        />
        <Choice
          label="Hips"
          options={HIPS}
          usual="level"
          value={look.hip}
          onChoose={(now) => setWhole("hip", now)}
        />
      </HowTaken>
      {forTheVet(look) && (
        <p className="ember">
          {sentenceCase(forTheVet(look) ?? "")}: that is the vet’s, before anything is trimmed for it.
        </p>
      )}
    </div>
  );
}

/** Open where there is room; folded to one line beside the horse, where the figures come first. */
function HowTaken({ look, children }: { look: LookOfVisit; children: React.ReactNode }) {
  const narrow = useNarrow();
  if (!narrow) return <div className="look-taps">{children}</div>;
  const said = [look.gait, look.surface, look.direction].filter((one) => one !== undefined);
  return (
    <details className="look-how">
      <summary>{said.length > 0 ? sentenceCase(said.join(", ")) : "Gait, ground, head and hips"}</summary>
      <div className="look-taps">{children}</div>
    </details>
  );
}
