import type { HorseUse } from "~core/constants/due";
import type { AnimalKind } from "~core/foot/toeYardstick";
import type { Horse } from "~core/record/horse";
import type { Limb } from "~core/foot/limb";
import type { ShoeState } from "~core/shoe/foundShoe";
import type { ShoeingLife } from "~core/shoe/facts";

/** How a made-up horse's feet are and how they are kept; what is not said is ordinary. */
export interface HorsePlan {
  name: string;
  kind: AnimalKind;
  massKg: number;
  use: HorseUse;
  finish: Horse["finish"];
  capWeeks?: number;
  habits?: string;
  notes?: string;
  /** To watch at the next visit. */
  watch?: string;
  /** Days from today on which there is a show. */
  showIn?: number;
  /** Trouble that the feet start with and keep coming back to. */
  trouble?:
    | "long toe"
    | "low heel"
    | "upright one"
    | "broken forward"
    | "outside high"
    | "twisted limb"
    | "overgrown";
  /** Where this horse's work and ground differ from those of its yard. */
  life?: Partial<ShoeingLife>;
  /** How a shoe was found at the last visits, where it had not just stayed. */
  foundState?: Partial<Record<Limb, ShoeState>>;
  /** What is to be seen on its feet when they are read. */
  story?: Story;
  /** Days past the usual interval at which the next visit falls due today; 0 = booked about now. */
  late?: number;
  /** Planned for the demo's today, at this time. */
  today?: string;
  /** Years of visits; two unless the horse came later. */
  years?: number;
}

export type Story =
  | "one-sided wear"
  | "quarter crack"
  | "thin soles"
  | "old scar"
  | "wear mismatch"
  | "one-sided flare"
  | "sheared heel"
  | "contracted pair"
  | "club foot"
  | "run toe";

export interface YardPlan {
  name: string;
  person: string;
  phone: string;
  access: string;
  at: [number, number];
  /** What its horses do and on what they do it. */
  life: ShoeingLife;
  horses: HorsePlan[];
}

const horse = (
  name: string,
  kind: AnimalKind,
  massKg: number,
  use: HorseUse,
  finish: Horse["finish"],
  more: Partial<HorsePlan> = {},
): HorsePlan => ({ name, kind, massKg, use, finish, ...more });

/** The invented round in a river-mouth and moorland district: eight yards, forty-three horses. */
export const ROUND: readonly YardPlan[] = [
  {
    name: "Scarrowmoor Trekking",
    person: "Wenna Hathergill",
    phone: "00000 100101",
    access: "Second gate, dogs loose after nine. Level concrete behind the tack shed.",
    at: [50.212, -14.076],
    life: {
      work: ["hacking"],
      footing: ["stony track", "road"],
      effort: "hard",
      turnout: "in a herd",
      goes: [],
      conditions: [],
    },
    horses: [
      horse("Bramble", "cob", 520, "roads", "full set", {
        story: "one-sided wear",
        watch: "Left hind wears the outside only. Watch it land before you pull the shoe.",
        trouble: "outside high",
        today: "08:00",
        late: 3,
        life: { goes: ["pulls shoes off"] },
        foundState: { RF: "loose" },
      }),
      horse("Quarry", "pony", 360, "barefoot", "trim", { today: "08:00", late: -2 }),
      horse("Thrift", "cob", 480, "roads", "fronts", {
        habits: "Dislikes hammering on the right fore. Drive that foot last.",
        today: "08:00",
      }),
      horse("Gorsewick", "cob", 540, "roads", "full set", { late: -9, trouble: "twisted limb", years: 0.4 }),
      horse("Peat", "pony", 340, "roads", "fronts", { late: -14 }),
      horse("Sallow", "cob", 500, "roads", "full set", { late: -20, trouble: "low heel" }),
      horse("Tarnlight", "pony", 370, "roads", "full set", { late: -20 }),
      horse("Rook", "cob", 560, "roads", "full set", {
        habits: "Kicks with the left hind. Second person at the head.",
        late: -6,
      }),
      horse("Fennel", "pony", 350, "barefoot", "trim", { late: -18 }),
    ],
  },
  {
    name: "Estuary Polo",
    person: "Odo Trevanning",
    phone: "00000 100102",
    access: "Barrier code from the office. Horses on the line from seven.",
    at: [50.101, -13.865],
    life: {
      work: ["fast work on turf"],
      footing: ["firm turf"],
      effort: "hard",
      turnout: "stabled",
      goes: ["overreaches"],
      conditions: [],
    },
    horses: [
      horse("Larkspur", "horse", 440, "competition", "full set", {
        late: 9,
        story: "quarter crack",
        watch: "Quarter crack, right fore, was 12 mm below the hairline. Measure it.",
      }),
      horse("Minnow", "horse", 430, "competition", "full set", {
        late: -8,
        trouble: "long toe",
        story: "thin soles",
        watch: "Thin soles in front. Spare them.",
      }),
      horse("Sandpiper", "horse", 450, "competition", "full set", {
        late: -8,
        story: "club foot",
        watch: "Right fore stands up like a box. The vet has been told; hold its heels, leave its toe.",
      }),
      horse("Velvet Tide", "horse", 445, "competition", "full set", { late: -8 }),
      horse("Cinder", "horse", 435, "competition", "full set", {
        late: -12,
        story: "run toe",
        watch: "Toe of the left fore runs ahead and is dished. Back from in front, within the horn.",
      }),
      horse("Halyard", "horse", 455, "competition", "full set", { late: -12, foundState: { LH: "sprung" } }),
      horse("Oriel", "horse", 440, "competition", "full set", {
        late: -12,
        story: "sheared heel",
        watch: "Inside heel of the left fore is pushed up. Level it by its live sole, a little each time.",
      }),
    ],
  },
  {
    name: "Hagg Wood Timber",
    person: "Brannoc Ollershaw",
    phone: "00000 100103",
    access: "Forest track, last mile unmade. Heavy stocks in the barn.",
    at: [50.289, -14.183],
    life: {
      work: ["haulage"],
      footing: ["stony track"],
      effort: "hard",
      turnout: "in a herd",
      goes: [],
      conditions: [],
    },
    horses: [
      horse("Goliard", "heavy", 860, "riding", "full set", { late: -5, habits: "Leans. Short spells." }),
      horse("Duchess Amber", "heavy", 820, "riding", "full set", { late: -5 }),
      horse("Mossback", "heavy", 900, "riding", "full set", { late: -11, trouble: "outside high" }),
    ],
  },
  {
    name: "Longstride Endurance",
    person: "Ysella Quickfall",
    phone: "00000 100104",
    access: "Farm lane, park by the scales.",
    at: [50.166, -14.01],
    life: {
      work: ["long distances"],
      footing: ["stony track", "firm turf"],
      effort: "hard",
      turnout: "in a herd",
      goes: [],
      conditions: [],
    },
    horses: [
      horse("Heron", "horse", 420, "competition", "full set", {
        capWeeks: 5,
        late: -3,
        showIn: 11,
        watch: "Ride of 80 km soon: pads out or in, ask.",
      }),
      horse("Saltmarsh", "horse", 410, "competition", "full set", {
        capWeeks: 5,
        late: -10,
        life: { goes: ["brushes"] },
      }),
      horse("Ember Road", "horse", 400, "competition", "full set", { capWeeks: 4, late: -10 }),
      horse("Whinchat", "horse", 395, "barefoot", "trim", { capWeeks: 4, late: -15 }),
    ],
  },
  {
    name: "Low Meadow Refuge",
    person: "Aldith Fernehough",
    phone: "00000 100105",
    access: "Ring the bell, donkeys come in on halters.",
    at: [50.074, -14.035],
    life: {
      work: ["no work"],
      footing: ["firm turf"],
      effort: "light",
      turnout: "in a herd",
      goes: [],
      conditions: [],
    },
    horses: [
      horse("Old Tinker", "donkey", 180, "barefoot", "trim", {
        late: 6,
        trouble: "overgrown",
        years: 0.23,
        capWeeks: 4,
        watch: "Third trim from neglect. Heels first, little and often.",
      }),
      horse("Nettle", "donkey", 170, "barefoot", "trim", { capWeeks: 8, late: -9 }),
      horse("Barleymow", "donkey", 190, "barefoot", "trim", { capWeeks: 8, late: -9 }),
      horse("Pipkin", "pony", 200, "barefoot", "trim", { late: -12 }),
      horse("Damson", "pony", 220, "barefoot", "trim", {
        late: -12,
        trouble: "low heel",
        life: { conditions: ["laminitis"] },
      }),
      horse("Crumb", "donkey", 160, "barefoot", "trim", {
        late: -4,
        trouble: "overgrown",
        years: 0.4,
        capWeeks: 5,
      }),
    ],
  },
  {
    name: "City Park Mounted Unit",
    person: "Sergeant Isolde Marchbank",
    phone: "00000 100106",
    access: "Sign in at the desk. Shoeing bay, ventilated.",
    at: [50.019, -13.783],
    life: {
      work: ["hacking"],
      footing: ["road"],
      effort: "hard",
      turnout: "stabled",
      goes: [],
      conditions: [],
    },
    horses: [
      horse("Bastion", "horse", 620, "roads", "full set", {
        late: -6,
        trouble: "upright one",
        watch: "Fronts do not match: right fore upright. Match within what each can give.",
      }),
      horse("Portcullis", "horse", 640, "roads", "full set", {
        late: -6,
        trouble: "broken forward",
        years: 0.2,
        watch: "New to the round: stands up on high heels in front. Heels down by degrees.",
      }),
      horse("Lanternjack", "horse", 600, "roads", "full set", { late: -16 }),
      horse("Meridian", "horse", 610, "roads", "full set", {
        late: -16,
        story: "contracted pair",
        watch: "Both fronts narrow at the heels, frogs small. Open them slowly: ground, not the knife.",
      }),
    ],
  },
  {
    name: "Thornybank Riding School",
    person: "Merryn Castlegate",
    phone: "00000 100107",
    access: "Vet there from one. Use the covered yard.",
    at: [50.138, -13.932],
    life: {
      work: ["hacking"],
      footing: ["soft arena"],
      effort: "light",
      turnout: "in a herd",
      goes: [],
      conditions: [],
    },
    horses: [
      horse("Major Oak", "horse", 570, "riding", "fronts", {
        today: "12:20",
        trouble: "low heel",
        watch: "Third shoeing raised. Measure the heel angles: the vet’s test is within 5° of the wall.",
        life: { conditions: ["sore heels"] },
      }),
      horse("Pepperpot", "pony", 310, "barefoot", "trim", {
        today: "12:20",
        late: -3,
        story: "old scar",
        watch: "Old scar at the coronet, left fore: measure the crack below it.",
      }),
      horse("Clementine", "horse", 510, "riding", "fronts", {
        late: -13,
        life: { work: ["jumping"], footing: ["soft arena", "wet turf"], effort: "hard" },
      }),
      horse("Sixpence", "pony", 330, "riding", "fronts", { late: -10 }),
      horse("Brigadoon Lad", "horse", 540, "riding", "full set", {
        late: -13,
        trouble: "long toe",
        story: "wear mismatch",
        watch: "Landing and shoe wear do not agree, left fore. Watch again.",
      }),
      horse("Acorn", "pony", 280, "barefoot", "trim", { late: -19 }),
      horse("Marigold", "cob", 470, "riding", "fronts", { late: -19 }),
      horse("Tolliver", "horse", 525, "riding", "full set", {
        late: 2,
        story: "one-sided flare",
        watch: "Flare outside on the left fore only. Ask why one of the pair.",
      }),
    ],
  },
  {
    name: "Ferryfield",
    person: "Jory Penhallick",
    phone: "00000 100108",
    access: "Field gate sticks. Bring a mat, ground soft in winter.",
    at: [50.055, -13.834],
    life: {
      work: ["no work"],
      footing: ["wet turf"],
      effort: "light",
      turnout: "in a herd",
      goes: [],
      conditions: [],
      growsMoreThanItWears: true,
    },
    horses: [
      horse("Dunlin", "cob", 500, "maintenance", "trim", { capWeeks: 4, late: -7 }),
      horse("Isabeau", "horse", 530, "maintenance", "trim", { capWeeks: 4, late: -7 }),
    ],
  },
];
