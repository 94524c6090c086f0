/** What one's own round holds so far, as far as a first day goes. */
export interface FirstDayState {
  horse?: { id: string; name: string } | undefined;
  visit?: { id: string; status: "planned" | "open" | "signed" } | undefined;
  measured: boolean;
  backedUp: boolean;
}

export interface FirstStep {
  name: string;
  why: string;
  /** Where it is done; missing for what cannot be done yet. */
  to?: string;
  done: boolean;
}

/** The five steps of a first day with one's own horse, in order; the first that is not done is the next. */
export function firstSteps({ horse, visit, measured, backedUp }: FirstDayState): FirstStep[] {
  const name = horse?.name ?? "the horse";
  const at = visit && `/visits/${visit.id}`;
  return [
    {
      name: "Add a horse",
      why: "Name, yard, and a guess of its mass. The rest can wait.",
      to: "/horses/new",
      done: horse !== undefined,
    },
    {
      name: "Start a visit",
      why: `On the page of ${name}: what it came with, what the owner tells.`,
      ...(horse && { to: `/horses/${horse.id}` }),
      done: visit !== undefined && visit.status !== "planned",
    },
    {
      name: "Measure one foot",
      why: "Wall and pastern angle, toe length, both heels: a minute. What is not measured is drawn pale.",
      ...(at && { to: `${at}/survey` }),
      done: measured,
    },
    {
      name: "Look at the plan, then sign off",
      why: "What to take where, how far to the live sole, and the day it is due again.",
      ...(at && { to: `${at}/${measured ? "trim" : "survey"}` }),
      done: visit?.status === "signed",
    },
    {
      name: "Back it up",
      why: "One file, or a folder that fills itself. It is yours, and nowhere else.",
      to: "/files",
      done: backedUp,
    },
  ];
}
