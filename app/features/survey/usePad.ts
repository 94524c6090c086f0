import { useEdits } from "~app/ui/useEdits";
import { useSettings } from "~app/ui/useWording";
import { unitToggle } from "~core/record/unitToggle";
import { padText, type PadKey } from "~core/units/padText";

interface PadTarget<Name extends string> {
  view: (name: Name) => { text: string; typed: boolean };
  type: (name: Name, text: string) => void;
  forget: (name: Name) => void;
}

/**
 * The number pad of a lane: a digit begins anew what was not being typed, a step goes on from it, or from `from` where
 * the field is empty; the unit key turns the unit of everything and drops what is half typed in the old one.
 */
export function usePad<Name extends string>(
  { view, type, forget }: PadTarget<Name>,
  active: Name,
  from?: number,
) {
  const settings = useSettings();
  const { save } = useEdits();
  return {
    onPad: (key: PadKey) => {
      const { text, typed } = view(active);
      const fresh = !typed && key.kind !== "step" && key.kind !== "back";
      type(active, padText(fresh ? "" : text, key, from));
    },
    onUnit: () => {
      forget(active);
      void save(unitToggle(settings));
    },
  };
}
