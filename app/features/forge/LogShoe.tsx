import { LessMore } from "~app/ui/LessMore";
import { Button } from "antd";
import { useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { MM_PER_INCH } from "~core/constants/exact";
import { computedFor } from "~core/forge/anvil/job";
import { madeAgainst } from "~core/forge/madeShoe";
import { make } from "~core/record/change";
import type { Edit } from "~core/record/edit";
import { forgedSchema, type Forged } from "~core/forge/forgeRecord";
import type { ForgeContext } from "./forgeContext";

interface LogShoeProps extends ForgeContext {
  heats?: Forged["heats"];
  onKept?: () => void;
}

/** A forged shoe into the log: what it took and what it came out as, each a tap or two from what was wanted. */
export function LogShoe({ job, steelOf, today, anvil, heats, onKept }: LogShoeProps) {
  const wording = useWording();
  const settings = useSettings();
  const { save } = useEdits();
  const wanted = {
    stock: steelOf.cut,
    width: job.asked?.width ?? job.fit.width,
    length: job.asked?.length ?? job.fit.toeY - Math.min(job.fit.endY.medial, job.fit.endY.lateral),
  };
  const [open, setOpen] = useState(heats !== undefined);
  const [by, setBy] = useState({ stock: 0, width: 0, length: 0 });
  const [said, setSaid] = useState<string>();
  const step = wording.unit === "mm" ? 1 : MM_PER_INCH / 16;
  const came = {
    stock: wanted.stock + by.stock * step,
    width: wanted.width + by.width * step,
    length: wanted.length + by.length * step,
  };
  const made = madeAgainst(job.fit, anvil.forging.made ?? {}, wording);
  const keep = async () => {
    const computed = computedFor(job, came, settings);
    const { spec } = job;
    const read = forgedSchema.safeParse({
      id: crypto.randomUUID(),
      date: today,
      name: job.drawn ? job.name : "",
      end: job.end,
      type: spec.type,
      width: spec.width,
      thickness: spec.thickness,
      material: spec.material,
      stock: came.stock,
      shoeWidth: came.width,
      shoeLength: came.length,
      computed,
      ...(heats && { heats }),
      ...(made.length > 0 && { made: Object.fromEntries(made.map(({ place, out }) => [place, out])) }),
    });
    if (computed === undefined || !read.success) {
      setSaid(
        computed === undefined
          ? "Those measures make no shoe of this section. Check width and length."
          : (read.error?.issues[0]?.message ?? "This could not be logged."),
      );
      return;
    }
    const edits: Edit[] = [make("forged", read.data, "a forged shoe")];
    if (made.length > 0) edits.push(anvil.editAt(["made"], undefined, "made shoe put away"));
    if (heats && anvil.forging.run) edits.push(anvil.editAt(["run"], undefined, "running sheet put away"));
    const saved = await save(...edits);
    if (saved.kind !== "saved") {
      setSaid(saved.kind === "failed" ? saved.message : "This could not be logged.");
      return;
    }
    setOpen(false);
    setBy({ stock: 0, width: 0, length: 0 });
    setSaid("Logged. The next one like it is cut with that in mind.");
    onKept?.();
  };
  if (!open)
    return (
      <section className="log-shoe" aria-label="Log">
        <Button size="large" onClick={() => setOpen(true)}>
          Log this shoe as forged
        </Button>
        {said && <p role="status">{said}</p>}
      </section>
    );
  const row = (name: keyof typeof by, label: string) => (
    <div className="log-row">
      <span>{label}</span>
      <LessMore
        less={`${label}: less`}
        more={`${label}: more`}
        onStep={(direction) => setBy((now) => ({ ...now, [name]: now[name] + direction }))}
      >
        <b>
          <Fractions text={wording.length(came[name])} />
        </b>
      </LessMore>
    </div>
  );
  return (
    <section className="log-shoe sheet" aria-label="Log">
      <h2>What it took, and what it came out as</h2>
      {row("stock", "Steel used")}
      {row("width", "Came out wide")}
      {row("length", "Came out long")}
      {said && (
        <p className="ember" role="alert">
          {said}
        </p>
      )}
      <div className="trim-actions">
        <Button type="primary" size="large" onClick={() => void keep()}>
          Keep it in the log
        </Button>
        {!heats && (
          <Button size="large" onClick={() => setOpen(false)}>
            Not now
          </Button>
        )}
      </div>
    </section>
  );
}
