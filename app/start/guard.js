// Stands in the page itself, before anything is fetched: where the application does not come (an old page after a new
// release, a line that was cut), it says so after ten seconds, and hands out what lies in the browser. Plain script, without
// any part of the application: none of it may be there. The name of the round's database is that of app/data/session.ts.
(() => {
  const WAIT_MS = 10_000;
  const LOOK_MS = 500;
  const DATABASES = { demo: "plumbline-demo", "first-day": "plumbline-first-day" };
  /** What the store keeps beside the records. */
  const BESIDE = ["drafts", "journal", "facts", "stamps", "handles"];
  const isOpening = () => document.querySelector(".opening") !== null;
  const asked = (request) =>
    new Promise((done, failed) => {
      request.onsuccess = () => done(request.result);
      request.onerror = () => failed(request.error);
    });
  const roundName = () => {
    try {
      return sessionStorage.getItem("plumbline.round") ?? localStorage.getItem("plumbline.round");
    } catch {
      return null;
    }
  };

  /** Everything in the store as a backup of the version that the store is of. */
  async function backup() {
    const opening = indexedDB.open(DATABASES[roundName()] ?? "plumbline");
    // A store that is not there is not made.
    opening.onupgradeneeded = () => opening.transaction.abort();
    const db = await asked(opening);
    const names = [...db.objectStoreNames].filter((name) => name !== "handles");
    const reading = db.transaction(names);
    const tables = await Promise.all(names.map((name) => asked(reading.objectStore(name).getAll())));
    const rows = Object.fromEntries(names.map((name, at) => [name, tables[at]]));
    const version = Math.floor(db.version / 10);
    db.close();
    const text = (bytes) =>
      new Promise((done, failed) => {
        const reader = new FileReader();
        reader.onload = () => done(String(reader.result).replace(/^[^,]*,/, ""));
        reader.onerror = () => failed(reader.error);
        reader.readAsDataURL(bytes);
      });
    rows.pictures = await Promise.all(
      (rows.pictures ?? []).map(async ({ id, type, bytes, data }) => ({
        id,
        type,
        data: bytes ? await text(bytes) : data,
      })),
    );
    const of = (wanted) => Object.fromEntries(Object.entries(rows).filter(([name]) => wanted(name)));
    return JSON.stringify({
      format: "plumbline-backup",
      version,
      madeAt: new Date().toISOString(),
      records: of((name) => !BESIDE.includes(name)),
      beside: of((name) => BESIDE.includes(name)),
    });
  }

  function button(name, act) {
    const made = document.createElement("button");
    made.type = "button";
    made.textContent = name;
    made.style.cssText = "font:inherit;padding:12px 20px;margin:0 12px 0 0;min-height:44px;cursor:pointer";
    made.addEventListener("click", act);
    return made;
  }

  setTimeout(() => {
    if (!isOpening()) return;
    const said = document.createElement("section");
    said.setAttribute("role", "alert");
    said.style.cssText =
      "position:fixed;left:0;right:0;bottom:0;padding:24px;max-width:560px;margin:0 auto;font:16px/1.5 system-ui,sans-serif";
    const words = document.createElement("p");
    words.textContent =
      "Plumbline has not started: a part of it did not arrive. Your records are still in this browser. Check the line, then load the page again.";
    const trouble = document.createElement("p");
    said.append(
      words,
      button("Load again", () => location.reload()),
      button("Export a backup", async () => {
        try {
          const link = document.createElement("a");
          link.href = URL.createObjectURL(new Blob([await backup()], { type: "application/json" }));
          link.download = `plumbline-${new Date().toISOString().slice(0, 10)}.json`;
          link.click();
        } catch {
          trouble.textContent = "The records could not be read. Nothing was changed.";
        }
      }),
      trouble,
    );
    document.body.append(said);
    // It may still come.
    const look = setInterval(() => {
      if (isOpening()) return;
      clearInterval(look);
      said.remove();
    }, LOOK_MS);
  }, WAIT_MS);
})();
