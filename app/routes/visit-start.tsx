import { data, redirect } from "react-router";
import { visitById } from "~app/data/queries";
import type { Route } from "./+types/visit-start";

/** The address of a visit leads to where it stands. */
export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const visit = await visitById(params.visitId);
  if (!visit) throw data(null, { status: 404, statusText: "There is no such visit in this round." });
  return redirect(`/visits/${visit.id}/${visit.status === "signed" ? "sign-off" : "arrive"}`);
}

export default function VisitStart() {
  return null;
}
