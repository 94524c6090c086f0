import { useMemo } from "react";
import { caseRows, type CareRecords, type CaseRow } from "~core/casework/caseBoard";
import { useRecords } from "./useRecords";
import { useWording } from "./useWording";

/** Where the cases of a loader stand today, as the user has them. */
export function useCaseRows(read: CareRecords, today: string): CaseRow[] {
  const care = useRecords(read);
  const wording = useWording();
  return useMemo(() => caseRows(care, today, wording), [care, today, wording]);
}
