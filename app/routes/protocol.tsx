import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { readPractice } from "~app/data/practice";
import { ProtocolEditor } from "~app/features/practice/ProtocolEditor";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import type { Route } from "./+types/protocol";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const { protocols } = await readPractice();
  if (!protocols.some(({ id }) => id === params.protocolId))
    throw data(null, { status: 404, statusText: "There is no such protocol in this round." });
  await loadDrafts(`practice/${params.protocolId}`);
  return { records: { protocols }, id: params.protocolId };
}

export const meta: Route.MetaFunction = () => [{ title: "Protocol · Plumbline" }];

export const shouldRevalidate = readsOnly("protocols");

export default function ProtocolRoute({ loaderData }: Route.ComponentProps) {
  const { protocols } = useRecords(loaderData.records);
  const protocol = protocols.find(({ id }) => id === loaderData.id);
  return protocol ? <ProtocolEditor key={protocol.id} protocol={protocol} /> : null;
}
