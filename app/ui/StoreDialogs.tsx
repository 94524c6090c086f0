import { ConflictDialog } from "./ConflictDialog";
import { ReplacedDialog } from "./ReplacedDialog";

/** What the store may have to ask: two tabs in one place, and a backup restored under this one. */
export default function StoreDialogs() {
  return (
    <>
      <ConflictDialog />
      <ReplacedDialog />
    </>
  );
}
