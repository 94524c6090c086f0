import { startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { updates } from "./data/updates";
import { keepPressesSteady } from "./ui/steadyPress";

/** Inside another page a press could be meant for something that lies over it: there it does not open. */
function refuseFrame(): void {
  const said = document.createElement("p");
  said.textContent = "Plumbline does not open inside another page. Open it in a tab of its own.";
  document.body.replaceChildren(said);
}

if (window.top === window.self) {
  keepPressesSteady();
  startTransition(() => {
    hydrateRoot(document, <HydratedRouter />);
  });
  if (import.meta.env.PROD)
    void updates.register("/offline.js").catch((error: unknown) => console.warn("No offline copy:", error));
} else refuseFrame();
