import { startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { updates } from "./data/updates";

startTransition(() => {
  hydrateRoot(document, <HydratedRouter />);
});

if (import.meta.env.PROD)
  void updates.register("/offline.js").catch((error: unknown) => console.warn("No offline copy:", error));
