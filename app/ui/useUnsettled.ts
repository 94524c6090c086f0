import { useSyncExternalStore } from "react";
import { draftsUnder } from "~app/data/drafts";
import { session } from "~app/data/session";

/**
 * True while something is typed, and is no value yet, at places that start so: what is worked out from them is of the value
 * before. For `data-stale` of what shows it, which greys it.
 */
export const useUnsettled = (prefix: string): true | undefined =>
  useSyncExternalStore(session.onTyped, () => draftsUnder(prefix).length > 0) || undefined;
