import { useId } from "react";
import { useFields, type Field } from "~app/ui/useField";
import { TRIM_MARGIN_MM } from "~core/constants/trim";
import { settingsSchema, type Settings } from "~core/record/settings";
import { fail, ok } from "~core/result";
import { RuleInput } from "./RuleInput";

const NAMES = { shod: "Shod feet", barefoot: "Bare feet" } as const;
type Keeping = keyof typeof NAMES;

/** How much wall a plan leaves standing above the live sole. */
export function Margins({ settings }: { settings: Settings }) {
  const ids = useId();
  const field = (keeping: Keeping): Field<number> => ({
    draftKey: `settings/margins/${keeping}`,
    stored: settings.margins[keeping],
    show: String,
    read: (text) => {
      const value = Number(text.replace(",", "."));
      if (text.trim() === "") return ok(TRIM_MARGIN_MM[keeping].value);
      if (!Number.isFinite(value)) return fail("not-a-number", keeping, `“${text}” is not a number.`);
      const read = settingsSchema.shape.margins.safeParse({ ...settings.margins, [keeping]: value });
      return read.success ? ok(value) : fail("range", keeping, read.error.issues[0]?.message ?? "");
    },
    edit: (was, now) => ({
      table: "settings",
      id: "settings",
      path: ["margins", keeping],
      was,
      now,
      label: `margin, ${NAMES[keeping].toLowerCase()}`,
    }),
  });
  const fields = { shod: field("shod"), barefoot: field("barefoot") };
  const { view, type, settle } = useFields<Keeping, number>(fields);
  return (
    <section aria-label="Margins">
      <h2>Wall that a trim leaves</h2>
      <p className="quiet">
        Above the live sole, mm. A thin sole, its sulcus shallower than 10 mm, keeps 2 mm more.
      </p>
      <table className="rules-table">
        <tbody>
          {(Object.keys(NAMES) as Keeping[]).map((keeping) => {
            const { text, issue } = view(keeping);
            return (
              <tr key={keeping}>
                <th scope="row" id={`${ids}-${keeping}`}>
                  {NAMES[keeping]}
                </th>
                <td>
                  <RuleInput
                    labelledBy={`${ids}-${keeping}`}
                    text={text}
                    issue={issue}
                    onType={(next) => type(keeping, next)}
                    onSettle={() => settle(keeping)}
                  />
                </td>
                <td className="quiet">
                  {TRIM_MARGIN_MM[keeping].source} ({TRIM_MARGIN_MM[keeping].sure})
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
