import { cutInField, readCut } from "~app/stage/cutText";
import { useFields, type Field } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { CUTS, type CutName } from "~core/trim/trimRecord";
import type { Bench } from "./useBench";

/** The planned cuts as fields: they are moved by hand as well, so a typed number is one more move. */
export function useTypedCuts({ blank, cuts, cutEdit }: Bench) {
  const wording = useWording();
  return useFields(
    Object.fromEntries(
      CUTS.map((cut): [CutName, Field<number>] => [
        cut,
        {
          draftKey: `${blank.id}.plan.${cut}`,
          stored: cuts[cut],
          show: (mm) => cutInField(mm, wording),
          read: (text) => readCut(cut, text, wording),
          edit: (_, mm) => cutEdit(cut, mm ?? 0),
        },
      ]),
    ) as Record<CutName, Field<number>>,
  );
}
