import { useMemo } from "react";
import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { HORSE_TABLES, readHorseFile } from "~app/data/queries";
import { FilmBench } from "~app/features/film/FilmBench";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { filmFootLength } from "~core/visit/filmOfFoot";
import type { Route } from "./+types/film";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const file = await readHorseFile(params.horseId);
  if (!file?.films.some(({ id }) => id === params.filmId))
    throw data(null, { status: 404, statusText: "There is no such radiograph in this round." });
  await loadDrafts(`films/${params.filmId}`);
  return { file, filmId: params.filmId };
}

export const meta: Route.MetaFunction = () => [{ title: "Radiograph · Plumbline" }];

export const shouldRevalidate = readsOnly(...HORSE_TABLES);

export default function FilmRoute({ loaderData }: Route.ComponentProps) {
  const file = useRecords(loaderData.file);
  const film = file.films.find(({ id }) => id === loaderData.filmId);
  const footLengthMm = useMemo(() => film && filmFootLength(film, file.readings), [film, file.readings]);
  return film ? <FilmBench key={film.id} file={file} film={film} footLengthMm={footLengthMm} /> : null;
}
