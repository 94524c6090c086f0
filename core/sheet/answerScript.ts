/**
 * The one script inside of a vet's sheet: it makes a file of what was filled in, and nothing else. It asks no address, reads
 * nothing but the sheet's own data, and writes text only as values. The sheet's policy names it by its hash; a test holds
 * the two together.
 */
export const ANSWER_SCRIPT = `"use strict";
const sheet = JSON.parse(document.getElementById("plumbline-data").textContent);
const form = document.getElementById("answer");
form.hidden = false;
const field = (name) => form.elements.namedItem(name);
const was = sheet.case.prescription;
const own = ["by", "until", "weeks", "says", "type", "toeEdge", "support", "pad", "raiseDeg"];
for (const name of own) if (was && was[name] !== undefined) field(name).value = String(was[name]);
const today = new Date();
const two = (number) => String(number).padStart(2, "0");
const day = today.getFullYear() + "-" + two(today.getMonth() + 1) + "-" + two(today.getDate());
form.addEventListener("submit", (event) => {
  event.preventDefault();
  const say = document.getElementById("answer-says");
  const by = field("by").value.trim();
  const until = field("until").value;
  if (by === "") { say.textContent = "Your name, please."; field("by").focus(); return; }
  const next = Object.assign({}, was || { feet: sheet.case.feet });
  for (const name of own) {
    const text = field(name).value.trim();
    if (text === "") delete next[name];
    else next[name] = name === "weeks" || name === "raiseDeg" ? Number(text) : text;
  }
  next.by = by;
  if (next.says === undefined) next.says = "";
  const asked = own.some((name) => name !== "by" && String((was || {})[name] === undefined ? "" : was[name]) !== field(name).value.trim());
  if (asked && until === "") { say.textContent = "Until which day does it hold?"; field("until").focus(); return; }
  if (asked) next.written = day;
  const agreed = Array.from(form.querySelectorAll("input[name=agreed]:checked"), (box) => box.value);
  const answer = {
    format: "plumbline-answer", version: 1, caseId: sheet.case.id, horseId: sheet.horse.id, horse: sheet.horse.name,
    answers: was || null, by: by, on: day, agreed: agreed, says: field("message").value.trim(),
  };
  if (asked) answer.prescription = next;
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([JSON.stringify(answer, null, 1)], { type: "application/json" }));
  link.download = "answer-" + sheet.horse.name.toLowerCase().replace(/[^a-z0-9]+/g, "-") + ".json";
  link.click();
  say.textContent = "Your answer is a file now: send " + link.download + " back to the farrier.";
});
`;

/** Base64 of its SHA-256, for the sheet's policy. */
export const ANSWER_SCRIPT_SHA256 = "hlia5MYmVt3R8fb+T5mImpmyzltSz1GkP4NoaZigKE8=";
