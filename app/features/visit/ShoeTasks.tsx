import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { LIMBS } from "~core/foot/limb";
import { isShod } from "~core/record/horse";
import { shoeInWords } from "~core/trim/planWords";
import type { StageContext } from "./stageContext";

/** What the trims leave for the shoes, foot by foot, as their plans said it. */
export function ShoeTasks({ file, feet }: Pick<StageContext, "file" | "feet">) {
  const wording = useWording();
  const tasks = LIMBS.flatMap((limb) => {
    const plan = feet[limb].trim?.plan;
    return plan?.agreed && isShod(file.horse, limb)
      ? [{ limb, lines: shoeInWords(plan.shoe, plan.finish, wording) }]
      : [];
  });
  if (tasks.length === 0) return null;
  return (
    <section className="shoe-tasks" aria-label="What the trim leaves for the shoe">
      <h2>What the trim leaves for the shoe</h2>
      <dl className="facts">
        {tasks.map(({ limb, lines }) => (
          <div key={limb} className="shoe-task">
            <dt>{wording.limb(limb)}</dt>
            <dd>
              {lines.length === 0
                ? "Nothing: the trim did it."
                : lines.map((line) => (
                    <p key={line}>
                      <Fractions text={line} />
                    </p>
                  ))}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
