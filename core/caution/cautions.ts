import type { Stage } from "../constants/stages";
import type { AnimalKind } from "../foot/toeYardstick";

/** Where a caution stands: a stage of a visit, the forge, a radiograph, a case. */
type CautionPlace = Stage | "forge" | "film" | "case";

/** A caution: short enough to be read aloud in ten seconds a line, and where in a visit it stands. */
export interface Caution {
  id: string;
  title: string;
  lines: readonly string[];
  stages: readonly CautionPlace[];
}

/** Plain, usual, no theatre. Source: common safety and welfare practice of the trade. */
export const CAUTIONS: readonly Caution[] = [
  {
    id: "who",
    title: "Who may do this",
    lines: [
      "In some places only registered or licensed people may shoe or trim. Everywhere welfare law applies.",
      "Plumbline is no substitute for training, a licence or a vet. Follow the code of the place you work in.",
    ],
    stages: [],
  },
  {
    id: "horse",
    title: "Around the horse",
    lines: [
      "Level dry footing, good light, a quiet horse, held or tied so that it can be freed at once.",
      "Never between horses. No loose horse near. Never sit or kneel.",
      "Keep to the limb’s own range of motion. Hind limbs last.",
      "A horse that fights pain is asking for a vet, or for sedation by one.",
    ],
    stages: ["arrive"],
  },
  {
    id: "vet",
    title: "Call the vet, do not shoe on",
    lines: [
      "Lame at walk; a strong digital pulse or hot feet; rocking back; unwilling to move.",
      "A puncture in the sole or frog: leave the object in place if the vet can come soon. Photograph and protect it.",
      "Discharge or a soft hairline; a sudden change in one foot; a wound, swelling or fever.",
      "Suspected laminitis is an emergency of its own.",
    ],
    stages: ["watch"],
  },
  {
    id: "beam",
    title: "Radiographs are the vet’s",
    lines: [
      "Who takes them, who holds horse and plate, and how far off everybody stands is the vet’s to say.",
      "Numbers here are measures, no diagnosis. Read them together.",
    ],
    stages: ["film"],
  },
  {
    id: "plan",
    title: "Under a vet’s plan",
    lines: [
      "Drugs, feed and diagnosis are the vet’s. So is every change of the plan.",
      "A raise is temporary. What is spared here is loaded there.",
      "Worse, lame or hot between visits: call, do not wait for the next stage.",
    ],
    stages: ["case"],
  },
  {
    id: "body",
    title: "Tools and body",
    lines: [
      "Sharp edges away from the holding hand. Apron and boots; glasses for grinding, clinching and flying nail ends.",
      "Wring nails at once. Short spells, stand up between them.",
      "Hot humid weather: water, shade, a shorter list.",
    ],
    stages: ["read", "trim", "set"],
  },
  {
    id: "foot",
    title: "The foot",
    lines: [
      "Stop at live sole: smooth, waxy, pink, springy or warm means too far. Horn cannot be put back.",
      "Thin sole: less of everything.",
      "Blood: stop, clean, dress, call the vet.",
    ],
    stages: ["trim"],
  },
  {
    id: "nail",
    title: "Nails, frog and raises",
    lines: [
      "Flinch, blood, warm wall, or lame next day: pull the nail, note it, tell the owner and the vet, ask about tetanus.",
      "Frog pressure is passive. A raise is temporary.",
      "Wedges, bars and branches that stick out shift load to something else.",
    ],
    stages: ["set"],
  },
  {
    id: "fire",
    title: "Fire and metal",
    lines: [
      "Eyes, hearing, gloves where right. Extinguisher by the fire, no fuel leak, good draught.",
      "Never heat galvanised or plated metal: the fumes poison. Light metal shows no colour before it burns.",
      "Hot fit: by tongs, briefly, smoke away from the face, the owner asked first, never on thin soles.",
      "Quench steam and grinder dust: keep the face away.",
    ],
    stages: ["shoe", "set", "forge"],
  },
  {
    id: "chemicals",
    title: "Chemicals",
    lines: [
      "Iodine, copper sulphate, adhesives, setting compounds: gloves, air, and the safety sheet.",
      "Some heat up while they cure.",
    ],
    stages: ["set"],
  },
  {
    id: "kinds",
    title: "Donkeys, foals, draught and minis",
    lines: [
      "They have normal values of their own; do not judge a donkey by a horse’s foot.",
      "A foal with crooked limbs has a narrow time window: the vet first.",
    ],
    stages: [],
  },
];

export const cautionsAt = (stage: CautionPlace): Caution[] =>
  CAUTIONS.filter((caution) => caution.stages.includes(stage));

/** A horse lighter than this is a mini, kg. Assumption, because minis are under about 34 in and 150 kg. */
const MINI_KG = 150;

/** What stands at arrival for an animal whose normal values are its own: donkeys, draught horses and minis. */
export const cautionsForKind = ({ kind, massKg }: { kind: AnimalKind; massKg: number }): Caution[] =>
  kind === "donkey" || kind === "heavy" || massKg < MINI_KG
    ? CAUTIONS.filter(({ id }) => id === "kinds")
    : [];
