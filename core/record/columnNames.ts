/** What a column can mean here. */
export const PEOPLE_FIELDS = [
  "yard",
  "person",
  "phone",
  "email",
  "access",
  "latitude",
  "longitude",
  "horse",
  "kind",
  "mass",
  "use",
  "finish",
  "habits",
  "notes",
] as const;
export type PeopleField = (typeof PEOPLE_FIELDS)[number];
export type Mapping = Partial<Record<PeopleField, string>>;

/** Other names that columns go by: in English, German, French, Spanish and Dutch. The plainest first. */
const NAMES: Record<PeopleField, string> = {
  yard: "yard stable stables place barn farm org company stall hof reitstall betrieb ecurie haras lieu cuadra establo finca lugar manege boerderij",
  person:
    "person owner name contact fn client customer besitzer eigentuemer halter kunde ansprechpartner proprietaire client nom propietario cliente dueno nombre contacto eigenaar klant naam",
  phone:
    "phone tel mobile telephone cell telefon telefonnummer handy mobil rufnummer portable telefono movil celular telefoon mobiel gsm",
  email: "email e-mail mail courriel correo",
  access: "access address adr directions adresse anschrift strasse rue direccion calle adres straat",
  latitude: "latitude lat breite breitengrad latitud breedtegraad",
  longitude: "longitude lon lng long laenge laengengrad longitud lengtegraad",
  horse: "horse animal horse_name pferd pferdename cheval caballo paard",
  kind: "kind species tierart art espece especie soort",
  mass: "mass weight kg gewicht koerpergewicht poids peso",
  use: "use work discipline nutzung disziplin einsatz usage uso disciplina gebruik",
  finish: "finish shoes shoeing beschlag hufbeschlag ferrure herraje beslag",
  habits: "habits warning behaviour behavior verhalten warnung comportement comportamiento gedrag",
  notes:
    "notes note remarks comments notizen bemerkung bemerkungen remarques notas observaciones opmerkingen",
};

/** A name without capitals, accents and signs: `Téléphone (mobile)` is `telephone mobile`. */
const plain = (name: string): string =>
  name
    .toLowerCase()
    .replace(/ß/g, "ss")
    .replace(/[äöü]/g, (letter) => ({ ä: "ae", ö: "oe", ü: "ue" })[letter] ?? letter)
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .replace(/[^a-z0-9]+/g, " ")
    .trim();

/** No list of people has more columns: of what has, the first are looked at. */
const MOST_COLUMNS = 500;

/** Shorter words are not taken for another by one letter. */
const LEAST_ALIKE = 6;

/** True where one word becomes the other by one letter more, less or other. */
function oneLetterApart(a: string, b: string): boolean {
  if (Math.min(a.length, b.length) < LEAST_ALIKE || Math.abs(a.length - b.length) > 1) return false;
  let at = 0;
  while (at < a.length && a[at] === b[at]) at += 1;
  const [restA, restB] = [a.slice(at), b.slice(at)];
  return restA.slice(1) === restB.slice(1) || restA === restB.slice(1) || restA.slice(1) === restB;
}

/** How surely a column means a field: its very name, a word of it, a word that is nearly it. */
const LIKENESS: ((name: string, alias: string) => boolean)[] = [
  (name, alias) => name === alias,
  (name, alias) => ` ${name} `.includes(` ${alias} `),
  (name, alias) => name.split(" ").some((word) => oneLetterApart(word, alias)),
];

/** Which column means what, as far as their names say: the surest first, each column once. */
export function guessedMapping(columns: readonly string[]): Mapping {
  const free = new Map(columns.slice(0, MOST_COLUMNS).map((column) => [column, plain(column)]));
  const mapping: Mapping = {};
  // A horse's name is no person's.
  const inOrder = ["horse", ...PEOPLE_FIELDS.filter((field) => field !== "horse")] as PeopleField[];
  for (const isLike of LIKENESS)
    for (const field of inOrder) {
      if (mapping[field] !== undefined) continue;
      const aliases = NAMES[field].split(" ").map((alias) => plain(alias));
      const found = aliases
        .flatMap((alias) => [...free].filter(([, name]) => isLike(name, alias)))
        .map(([column]) => column)[0];
      if (found === undefined) continue;
      mapping[field] = found;
      free.delete(found);
    }
  return mapping;
}
