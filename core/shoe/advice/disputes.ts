import { meetsFrog, type Specification } from "../specification";
import type { ShoeFacts } from "../facts";
import { WEAR_SECTORS } from "../../foot/wear";

/** Something on which practitioners differ: both sides, said where a shoe touches it. */
export interface Dispute {
  id: string;
  about: string;
  one: string;
  other: string;
  ours: string;
}

interface DisputeRule extends Dispute {
  touches: (spec: Specification, facts: Pick<ShoeFacts, "thinSole">) => boolean;
}

const rolledAllRound = ({ edges }: Specification): boolean =>
  WEAR_SECTORS.every((sector) => edges[sector] === "rolled" || edges[sector] === "eased");

/** Source: trade practice, both ways. */
const DISPUTES: readonly DisputeRule[] = [
  {
    id: "rolled-all-round",
    about: "Rolling the shoe all round",
    one: "It eases turning; long used for feet that must turn easily.",
    other: "It gives up sideways hold; some hold that the limb twists and the collateral ligaments strain.",
    ours: "Rolled only where the horse leaves the ground.",
    touches: (spec) => spec.type !== "bare" && (spec.toeEdge !== "plain" || rolledAllRound(spec)),
  },
  {
    id: "wedges",
    about: "Raising heels",
    one: "For a time, while the heels grow, it gives back the angle.",
    other: "It presses on the very heels it is meant to spare; some never do it.",
    ours: "As a stage with a number of cycles and an exit, with the frog carrying.",
    touches: ({ raise, pad }) => raise !== undefined || pad === "wedge",
  },
  {
    id: "side-wedge",
    about: "A wedge under one side",
    one: "It levels a landing that the trim cannot level.",
    other: "What is lifted here is pressed there; most of it is the trim’s to do.",
    ours: "Asked first: can the trim do it?",
    touches: ({ sideWedge }) => sideWedge !== undefined,
  },
  {
    id: "frog-carries",
    about: "Making the frog carry",
    one: "It shares what the heels cannot carry.",
    other: "Pressed rather than met, it hurts; closed in, it rots.",
    ours: "Passive: it meets the frog and never pushes.",
    touches: (spec) => spec.type !== "bare" && meetsFrog(spec),
  },
  {
    id: "hot-thin",
    about: "Hot fit on a thin sole",
    one: "Some do it, briefly, for the fit.",
    other: "Heat goes through what is thin.",
    ours: "Fit cold; hot only with a line of why.",
    touches: (spec, { thinSole }) => spec.type !== "bare" && thinSole === true,
  },
];

/** What is disputed about this shoe on this foot, both sides said. */
export const disputesOf = (spec: Specification, facts: Pick<ShoeFacts, "thinSole">): Dispute[] =>
  DISPUTES.filter(({ touches }) => touches(spec, facts)).map(({ id, about, one, other, ours }) => ({
    id,
    about,
    one,
    other,
    ours,
  }));
