import { useState } from "react";
import { useSearchParams } from "react-router";
import { groundById, nearestGround, type Ground } from "~core/ground/grounds";
import { USUAL_GROUND, type Standing } from "~core/ground/groundModel";
import { readStanding, type StandingField } from "~core/ground/standingFields";

/** How the foot stands, as the address says it and as a hand drags it. */
export interface Stands {
  standing: Standing;
  ground: Ground;
  /** True while the ground is a named one. */
  named: boolean;
  /** A value while a hand drags; nothing is kept. */
  drag: (field: StandingField, value: number) => void;
  /** Kept in the address. */
  keep: (values: Partial<Record<StandingField, number>>) => void;
}

const valuesOf = ({ stiffness, load, spring }: Standing): Record<StandingField, number> => ({
  stiffness,
  newtons: load.newtons,
  x: load.x,
  lead: load.lead,
  spring,
});

/** How the foot stands: the address holds it, so that a link says it whole; while a hand drags it is held here. */
export function useStanding(first: { ground: Ground; newtons: number }): Stands {
  const [search, setSearch] = useSearchParams();
  const at = search.toString();
  // What a hand holds stands until the address says it: then the address is the one place again.
  const [hold, setHold] = useState<{ at: string; values: Partial<Record<StandingField, number>> }>();
  const held = hold?.at === at ? hold.values : {};
  const usual: Standing = {
    stiffness: first.ground.stiffness,
    load: { newtons: first.newtons, x: 0, lead: 0 },
    spring: USUAL_GROUND.spring,
  };
  const asked = (field: StandingField): number => {
    const text = search.get(field);
    const read = text === null ? undefined : readStanding(field, text);
    return held[field] ?? (read?.ok ? read.value : valuesOf(usual)[field]);
  };
  const byName = held.stiffness === undefined ? groundById(search.get("ground")) : undefined;
  const stiffness = byName?.stiffness ?? asked("stiffness");
  const standing: Standing = {
    stiffness,
    load: { newtons: asked("newtons"), x: asked("x"), lead: asked("lead") },
    spring: asked("spring"),
  };
  const ground = nearestGround(stiffness);
  return {
    standing,
    ground,
    named: ground.stiffness === stiffness,
    drag: (field, value) => setHold({ at, values: { ...held, [field]: value } }),
    keep: (values) => {
      setHold({ at, values: { ...held, ...values } });
      setSearch(
        (now) => {
          const next = new URLSearchParams(now);
          for (const [field, value] of Object.entries(values)) {
            next.delete(field);
            if (field === "stiffness") next.delete("ground");
            const near = nearestGround(value);
            if (field === "stiffness" && near.stiffness === value) next.set("ground", near.id);
            else next.set(field, String(value));
          }
          return next;
        },
        { replace: true, preventScrollReset: true },
      );
    },
  };
}
