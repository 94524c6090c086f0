import { stagesOf } from "../case/caseRecord";
import { HEEL_SUPPORTS, PADS, SHOE_TYPES, TOE_EDGES } from "../shoe/specification";
import { ANSWER_SCRIPT, ANSWER_SCRIPT_SHA256 } from "./answerScript";
import type { Sheet, SheetPart, SheetPictures } from "./sheet";
import type { VetFile } from "./vetFile";

const ESCAPES: Record<string, string> = {
  "&": "&amp;",
  "<": "&lt;",
  ">": "&gt;",
  '"': "&quot;",
  "'": "&#39;",
};
/** Text as it may stand anywhere in a page, attributes included. */
export const escapeHtml = (text: string): string => text.replace(/[&<>"']/g, (sign) => ESCAPES[sign] ?? sign);

/** Data as it may stand inside of a script element: no text in it can end the element or open a comment. */
const scriptJson = (data: unknown): string =>
  JSON.stringify(data).replace(
    /[<>&\u2028\u2029]/g,
    (sign) => `\\u${sign.charCodeAt(0).toString(16).padStart(4, "0")}`,
  );

const BASE64_CHUNK = 0x8000;
function base64(bytes: Uint8Array): string {
  let text = "";
  for (let at = 0; at < bytes.length; at += BASE64_CHUNK)
    text += String.fromCharCode(...bytes.subarray(at, at + BASE64_CHUNK));
  return btoa(text);
}

const STYLE = `
:root{color-scheme:light}
*{box-sizing:border-box}
body{margin:0 auto;max-width:860px;padding:28px 22px 40px;background:#fffdf8;color:#23272b;font:15px/1.45 "Helvetica Neue",Arial,sans-serif;overflow-wrap:anywhere}
header{border-left:5px solid #9a6b16;padding-left:14px;margin-bottom:18px}
h1{font-size:26px;line-height:1.15;margin:0}
h2{font-size:17px;margin:22px 0 6px}
p{margin:4px 0}
.quiet{color:#5e625f}
.strong{font-weight:700}
table{width:100%;border-collapse:collapse;margin:6px 0}
th,td{text-align:left;vertical-align:top;padding:5px 10px 5px 0;border-bottom:1px solid #d8d1c3;font-variant-numeric:tabular-nums}
thead th{font-size:13px;color:#5e625f;overflow-wrap:normal}
td:last-child{overflow-wrap:normal}
dl{display:grid;grid-template-columns:max-content 1fr;gap:3px 14px;margin:6px 0}
dt{color:#5e625f}dd{margin:0}
ul{margin:6px 0;padding-left:18px}
.pictures{display:grid;grid-template-columns:repeat(auto-fill,minmax(190px,1fr));gap:12px;margin:10px 0}
figure{margin:0}figure img{width:100%;height:150px;object-fit:cover;border:1px solid #d8d1c3;background:#14171a}
figcaption{font-size:13px;color:#5e625f}
form{border:1px solid #d8d1c3;border-left:5px solid #1e6b63;padding:14px 18px;margin-top:26px;display:grid;gap:10px}
form[hidden]{display:none}
form h2{margin:0}
form label{display:grid;gap:2px;font-weight:600}
form .row{display:grid;grid-template-columns:repeat(auto-fill,minmax(180px,1fr));gap:10px}
form .box{display:flex;gap:8px;font-weight:400}
input,select,textarea{font:inherit;padding:8px;border:1px solid #a9a18f;border-radius:6px;background:#fff;color:inherit;min-height:40px;width:100%}
input[type=checkbox]{width:20px;min-height:20px}
button{font:inherit;font-weight:700;min-height:44px;padding:0 18px;border:0;border-radius:6px;background:#1e6b63;color:#fffdf8;justify-self:start}
footer{margin-top:26px;border-top:1px solid #d8d1c3;padding-top:8px;color:#5e625f;font-size:13px}
@media print{form{display:none}body{padding:0}}
`;

/**
 * A sheet as one HTML file: pictures inside, no address outside, every text escaped. The owner's runs no script at all;
 * the vet's runs the one that its policy names by its hash, which makes the answer's file.
 */
export function sheetHtml(sheet: Sheet, pictures: SheetPictures): string {
  const scripts = sheet.data ? `'sha256-${ANSWER_SCRIPT_SHA256}'` : "'none'";
  const policy = `default-src 'none'; img-src data:; style-src 'unsafe-inline'; script-src ${scripts}; base-uri 'none'; form-action 'none'`;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policy}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="generator" content="Plumbline">
<title>${escapeHtml(sheet.title)}</title>
<style>${STYLE}</style>
</head>
<body>
<header>
<h1>${escapeHtml(sheet.title)}</h1>
<p class="quiet">${escapeHtml(sheet.subtitle)}</p>
</header>
<main>
${sheet.parts.map((part) => partHtml(part, pictures)).join("\n")}
</main>
${sheet.data ? answerForm(sheet.data) : ""}
<footer>${escapeHtml(sheet.foot)} Made with Plumbline.</footer>
${sheet.data ? `<script type="application/json" id="plumbline-data">${scriptJson(sheet.data)}</script>\n<script>${ANSWER_SCRIPT}</script>` : ""}
</body>
</html>
`;
}

function partHtml(part: SheetPart, pictures: SheetPictures): string {
  switch (part.kind) {
    case "heading":
      return `<h2>${escapeHtml(part.text)}</h2>`;
    case "text":
      return part.text
        .split("\n")
        .map((line) => `<p${part.strong ? ' class="strong"' : ""}>${escapeHtml(line)}</p>`)
        .join("");
    case "list":
      return `<ul>${part.items.map((item) => `<li>${escapeHtml(item)}</li>`).join("")}</ul>`;
    case "facts":
      return `<dl>${part.rows.map(([name, value]) => `<dt>${escapeHtml(name)}</dt><dd>${escapeHtml(value)}</dd>`).join("")}</dl>`;
    case "table":
      return `<table><thead><tr>${part.head.map((cell) => `<th scope="col">${escapeHtml(cell)}</th>`).join("")}</tr></thead><tbody>${part.rows
        .map(
          (row) =>
            `<tr>${row.map((cell, at) => (at === 0 ? `<th scope="row">${escapeHtml(cell)}</th>` : `<td>${escapeHtml(cell)}</td>`)).join("")}</tr>`,
        )
        .join("")}</tbody></table>${part.note ? `<p class="quiet">${escapeHtml(part.note)}</p>` : ""}`;
    case "pictures":
      return `<div class="pictures">${part.pictures
        .map(({ pictureId, caption }) => {
          const picture = pictures.get(pictureId);
          const image = picture
            ? `<img alt="${escapeHtml(caption)}" src="data:image/jpeg;base64,${base64(picture.bytes)}">`
            : `<p class="quiet">The picture is not in the farrier’s store.</p>`;
          return `<figure>${image}<figcaption>${escapeHtml(caption)}</figcaption></figure>`;
        })
        .join("")}</div>`;
  }
}

const choice = (name: string, label: string, values: readonly string[]): string =>
  `<label>${label}<select name="${name}"><option value="">not said</option>${values.map((value) => `<option>${escapeHtml(value)}</option>`).join("")}</select></label>`;

/** The vet's answer: hidden until the script runs, so that nobody fills in a form that does nothing. */
function answerForm({ case: one }: VetFile): string {
  const boxes = one.stages.flatMap((stage, at) =>
    stage.feet
      .filter((limb) => stagesOf(one, limb).indexOf(stage) < stagesOf(one, limb).length - 1)
      .map(
        (limb) =>
          `<label class="box"><input type="checkbox" name="agreed" value="${escapeHtml(`${stage.id} ${limb}`)}"> Stage ${at + 1}, “${escapeHtml(stage.name)}”, may be left on the ${limb}</label>`,
      ),
  );
  return `<form id="answer" hidden>
<h2>Your answer</h2>
<p class="quiet">Fill in what changes. The button makes a file for you to send back; nothing leaves this page by itself.</p>
<div class="row">
<label>Your name<input name="by" maxlength="200" autocomplete="off"></label>
<label>Prescribed until<input name="until" type="date"></label>
<label>Every so many weeks<input name="weeks" type="number" min="1" max="16"></label>
<label>Raise, degrees<input name="raiseDeg" type="number" min="0" max="20" step="0.5"></label>
${choice("type", "Shoe", SHOE_TYPES)}
${choice("toeEdge", "Toe’s ground edge", TOE_EDGES)}
${choice("support", "Ends at", HEEL_SUPPORTS)}
${choice("pad", "Pad", PADS)}
</div>
<label>What is asked<textarea name="says" rows="3" maxlength="10000"></textarea></label>
${boxes.join("\n")}
<label>A word to the farrier<textarea name="message" rows="2" maxlength="10000"></textarea></label>
<button type="submit">Make the answer’s file</button>
<p id="answer-says" role="status" class="strong"></p>
</form>
<noscript><p class="strong">Scripts are off here: answer the farrier in your own words, by mail or on paper.</p></noscript>`;
}
