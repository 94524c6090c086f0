import { createContext, useContext, useLayoutEffect, useMemo, useState, useSyncExternalStore } from "react";
import { useFetchers, useNavigation } from "react-router";
import { session } from "~app/data/session";
import type { Edit } from "~core/record/edit";
import { overlaid } from "~core/record/overlay";
import { noteRead, writtenSoFar } from "./unread";
import type { EditRequest } from "./useEdits";

const NONE: readonly Edit[] = [];
const Overlay = createContext<readonly Edit[]>(NONE);

/** Gathers, once for the whole application, the edits that the store refused and those that are on their way to it. */
export function OverlayProvider({ children }: { children: React.ReactNode }) {
  const refused = useSyncExternalStore(session.onSave, session.refused, session.refused);
  const fetchers = useFetchers();
  const atRest = useNavigation().state === "idle" && fetchers.every(({ state }) => state === "idle");
  const written = writtenSoFar();
  useLayoutEffect(() => {
    if (atRest) noteRead(written);
  });
  const now = [
    ...refused.flatMap(({ edits }) => edits),
    ...fetchers.flatMap(({ json, state }) => {
      const request = json as EditRequest | undefined;
      return state !== "idle" && request?.kind === "save" ? request.edits : [];
    }),
  ];
  // The same list while nothing of it changed: what hangs on it rests too.
  const [edits, setEdits] = useState(NONE);
  if (edits.length !== now.length || now.some((edit, at) => edit !== edits[at])) setEdits(now);
  return <Overlay value={edits}>{children}</Overlay>;
}

/** The records of a loader as the user sees them: with every edit in flight or refused folded in. */
export function useRecords<Bag extends object>(bag: Bag): Bag {
  const edits = useContext(Overlay);
  return useMemo(() => overlaid(bag, edits), [bag, edits]);
}
