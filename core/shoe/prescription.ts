import type { Specification } from "./specification";

/** What outranks the rules of advice: a vet's prescription for this foot. */
export interface PrescriptionAsks {
  type?: Specification["type"] | undefined;
  toe?: Specification["toe"] | undefined;
  toeEdge?: Specification["toeEdge"] | undefined;
  support?: Specification["support"] | undefined;
  pad?: Specification["pad"] | undefined;
  raiseDeg?: number | undefined;
}
