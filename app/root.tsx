import { ConfigProvider } from "antd";
import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from "react";
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useNavigate,
  useRevalidator,
} from "react-router";
import { unitToggle } from "~core/record/unitToggle";
import { knowStore } from "./data/knowStore";
import { besideStore, noteHeld } from "./data/held";
import { readSettings } from "./data/queries";
import { readsOnly } from "./ui/readsOnly";
import { OverlayProvider } from "./ui/useRecords";
import { useSettings } from "./ui/useWording";
import { session } from "./data/session";
import { storageTrouble } from "./data/trouble";
import { CrashPage } from "./ui/CrashPage";
import { FailureBar } from "./ui/FailureBar";
import { Mark } from "./ui/Mark";
import { antTheme } from "./ui/theme";
import { TOKEN_CSS } from "./ui/tokens";
import { useEdits } from "./ui/useEdits";
import { useShortcuts } from "./ui/useShortcuts";
import { UpdateBar } from "./ui/UpdateBar";
import type { Route } from "./+types/root";
import startGuard from "./start/guard.js?raw";
import "./ui/global.css";
import "./ui/controls.css";

const loadDialogs = () => import("./ui/StoreDialogs");
const StoreDialogs = lazy(loadDialogs);
const CommandFinder = lazy(() => import("./ui/CommandFinder"));
const ShortcutHelp = lazy(() => import("./ui/ShortcutHelp"));

/**
 * No other origin is ever talked to; the browser is told so as well. The build puts the hashes of the page's own scripts in
 * the place of 'unsafe-inline' (scripts/policy.mjs). Solver and picture decoder are WebAssembly.
 */
const POLICY =
  "default-src 'self'; script-src 'self' 'unsafe-inline' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; media-src 'self' blob:; font-src 'self'; connect-src 'self'; worker-src 'self'; object-src 'none'; base-uri 'self'; form-action 'self'";

export async function clientLoader() {
  const [settings] = await Promise.all([readSettings(), knowStore()]);
  return { settings, round: session.round };
}

/** The root carries the settings and nothing else: an edit of anything else does not read them again. */
export const shouldRevalidate = readsOnly("settings");

export function Layout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover" />
        <meta httpEquiv="Content-Security-Policy" content={POLICY} />
        <meta name="theme-color" content="#F4F0E8" />
        <title>Plumbline</title>
        <link rel="icon" href="/mark.svg" type="image/svg+xml" />
        <link rel="apple-touch-icon" href="/icons/apple-touch-180.png" />
        <meta name="apple-mobile-web-app-title" content="Plumbline" />
        <link rel="manifest" href="/plumbline.webmanifest" />
        <style>{TOKEN_CSS}</style>
        <script dangerouslySetInnerHTML={{ __html: startGuard }} />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export function HydrateFallback() {
  return (
    <div className="opening" style={{ display: "grid", placeItems: "center", minHeight: "100dvh" }}>
      <Mark size={64} />
    </div>
  );
}

export default function Root() {
  return (
    <OverlayProvider>
      <Application />
    </OverlayProvider>
  );
}

function Application() {
  const settings = useSettings();
  const [open, setOpen] = useState<"find" | "help" | undefined>();
  const { revalidate } = useRevalidator();
  const navigate = useNavigate();
  const { save, undo } = useEdits();
  const asks = useSyncExternalStore(session.onSave, session.asks, session.asks);
  useEffect(() => session.onOthers("changed", () => void revalidate()), [revalidate]);
  useEffect(() => session.onOthers("restored", () => session.setReplaced()), []);
  useEffect(keepByItself, []);
  useEffect(() => {
    const ask = (event: BeforeUnloadEvent) => {
      if (session.busy) event.preventDefault();
    };
    addEventListener("beforeunload", ask);
    return () => removeEventListener("beforeunload", ask);
  }, []);
  useEffect(() => {
    document.documentElement.dataset["theme"] = settings.theme;
  }, [settings.theme]);
  useShortcuts({
    "/": () => setOpen("find"),
    "ctrl+k": () => setOpen("find"),
    "?": () => setOpen("help"),
    u: () => void save(unitToggle(settings)),
    "g t": () => void navigate("/"),
    "g h": () => void navigate("/horses"),
    "g f": () => void navigate("/forge"),
    "g r": () => void navigate("/rounds"),
    "g p": () => void navigate("/practice"),
    "g b": () => void navigate("/files"),
    "g c": () => void navigate("/cautions"),
    "g s": () => void navigate("/settings"),
    "ctrl+z": () => void undo(),
  });
  const close = () => setOpen(undefined);
  return (
    <ConfigProvider theme={antTheme(settings.theme)} wave={{ disabled: true }}>
      <FailureBar />
      <UpdateBar />
      <Outlet context={{ find: () => setOpen("find") }} />
      <Suspense>
        {asks && <StoreDialogs />}
        {open === "find" && <CommandFinder onClose={close} onHelp={() => setOpen("help")} />}
        {open === "help" && <ShortcutHelp onClose={close} />}
      </Suspense>
    </ConfigProvider>
  );
}

/** What is rarely wanted, but then at once, is fetched a while after the start, and soon what keeps an edit; backups by themselves then and every hour. */
function keepByItself(): () => void {
  const keep = () => {
    void loadDialogs();
    void import("./data/backups")
      .then(({ keepBackedUp }) => keepBackedUp())
      .catch((error: unknown) => console.warn("No backup by itself:", error))
      .then(() => (session.round === "own" ? noteHeld(session.db, besideStore()) : undefined))
      .catch((error: unknown) => console.warn("What is held is not noted:", error));
    void import("./data/loosePictures")
      .then(({ takeOutLoosePictures }) => takeOutLoosePictures())
      .catch((error: unknown) => console.warn("Loose pictures stay:", error));
  };
  const soon = setTimeout(() => void import("./data/edits"), 1500);
  const first = setTimeout(keep, 8000);
  const again = setInterval(keep, 3_600_000);
  return () => {
    clearTimeout(soon);
    clearTimeout(first);
    clearInterval(again);
  };
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  if (isRouteErrorResponse(error))
    return (
      <CrashPage title="This page is not there" text={error.statusText || "The address leads nowhere."} />
    );
  return <CrashPage title="This went wrong" text={storageTrouble(error)} />;
}
