import { TextButton } from "~app/ui/TextButton";
import { draftsUnder } from "~app/data/drafts";
import { useWording } from "~app/ui/useWording";
import { LIMBS, type Limb } from "~core/foot/limb";
import { STAGE_NAMES, STAGES, type Stage } from "~core/constants/stages";
import type { StageContext } from "~app/stage/stageContext";

interface Place {
  key: string;
  text: string;
  stage: Stage;
  limb: Limb;
  name: string;
}

/** The stage that a foot's draft belongs to, by the second part of its key. */
const OF_FOOT: Readonly<Record<string, Stage>> = {
  before: "survey",
  after: "recheck",
  find: "read",
  shoe: "shoe",
  set: "set",
};

/** Text of this visit that was typed and is not a value: left by a sitting that broke off, or not readable. */
export function Unfinished({ visit, goTo }: Pick<StageContext, "visit" | "goTo">) {
  const wording = useWording();
  const places = draftsUnder(visit.id).flatMap(([key, text]): Place[] => {
    const [first = "", second = ""] = key.slice(visit.id.length + 1).split(/[./]/);
    const limb = LIMBS.find((one) => one === first);
    if (limb) {
      const stage = OF_FOOT[second] ?? "trim";
      return [{ key, text, stage, limb, name: `${STAGE_NAMES[stage]}, ${wording.limb(limb)}` }];
    }
    const stage = STAGES.find((one) => one === second && one !== "sign-off");
    return stage ? [{ key, text, stage, limb: LIMBS[0], name: STAGE_NAMES[stage] }] : [];
  });
  if (places.length === 0) return null;
  return (
    <section className="unfinished" aria-label="Typed but not finished">
      <h2>Typed but not finished</h2>
      <ul>
        {places.map(({ key, text, stage, limb, name }) => (
          <li key={key}>
            <TextButton onClick={() => goTo({ stage, limb })}>{name}</TextButton> “{text}”
          </li>
        ))}
      </ul>
    </section>
  );
}
