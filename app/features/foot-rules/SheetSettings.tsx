import { Segmented } from "antd";
import { useId } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useField } from "~app/ui/useField";
import { settingsSchema, type Settings } from "~core/record/settings";
import { fail, ok } from "~core/result";
import { CUT_ORDERS, type CutOrder } from "~core/trim/trimRecord";
import { RuleInput } from "./RuleInput";

const WHY: Record<CutOrder, string> = {
  "heels first": "Heels first: they set where the foot bears, and the toe follows them.",
  "toe first": "Toe first: the lever goes before anything else is judged, and the heels are seen over it.",
  "quarters first": "Quarters first: the flares go, then the foot is seen as it is and levelled.",
};

/** In which order the cuts stand on the sheet, and what the nippers leave for the rasp. */
export function SheetSettings({ settings }: { settings: Settings }) {
  const { save } = useEdits();
  const id = useId();
  const { sheet } = settings;
  const { text, issue, type, settle } = useField<number>({
    draftKey: "settings/sheet/raspMm",
    stored: sheet.raspMm,
    show: String,
    read: (typed) => {
      const value = Number(typed.replace(",", "."));
      if (typed.trim() === "" || !Number.isFinite(value))
        return fail("not-a-number", "raspMm", `“${typed}” is not a number.`);
      const read = settingsSchema.shape.sheet.safeParse({ ...sheet, raspMm: value });
      return read.success ? ok(value) : fail("range", "raspMm", read.error.issues[0]?.message ?? "");
    },
    edit: (was, now) => ({
      table: "settings",
      id: "settings",
      path: ["sheet", "raspMm"],
      was,
      now,
      label: "what the nippers leave",
    }),
  });
  return (
    <section aria-label="The cut sheet">
      <h2>The cut sheet</h2>
      <Segmented<CutOrder>
        aria-label="Order of the cuts"
        options={[...CUT_ORDERS]}
        value={sheet.order}
        onChange={(now) =>
          void save({
            table: "settings",
            id: "settings",
            path: ["sheet", "order"],
            was: sheet.order,
            now,
            label: "order of the cuts",
          })
        }
      />
      <p className="quiet">{WHY[sheet.order]}</p>
      <table className="rules-table">
        <tbody>
          <tr>
            <th scope="row" id={id}>
              Nippers leave for the rasp, mm
            </th>
            <td>
              <RuleInput labelledBy={id} text={text} issue={issue} onType={type} onSettle={settle} />
            </td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}
