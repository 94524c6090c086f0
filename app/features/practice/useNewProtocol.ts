import { useNavigate } from "react-router";
import { useEdits } from "~app/ui/useEdits";
import type { Protocol } from "~core/practice/protocol";

/** Makes a protocol of one's own and opens it. */
export function useNewProtocol() {
  const navigate = useNavigate();
  const { save } = useEdits();
  return ({ name, minutes, steps }: Pick<Protocol, "name" | "steps" | "minutes">) => {
    const id = crypto.randomUUID();
    const now: Protocol = {
      id,
      name: name === "" ? "My protocol" : name.slice(0, 80),
      ...(minutes !== undefined && { minutes }),
      steps: [...steps],
    };
    void save({ table: "protocols", id, path: [], was: undefined, now, label: "protocol" }).then((saved) => {
      if (saved.kind === "saved") void navigate(`/practice/run/${id}`);
    });
  };
}
