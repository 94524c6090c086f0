import { caseSchema, type Case } from "./caseRecord";

/** A case of sore heels in both fronts that a vet leads, for specifications; nothing is written in it yet. */
export const caseOf = (more: Partial<Case> = {}): Case =>
  caseSchema.parse({
    id: "case",
    horseId: "h",
    status: "open",
    kind: "sore heels",
    feet: ["LF", "RF"],
    lead: "vet",
    ...more,
  });
