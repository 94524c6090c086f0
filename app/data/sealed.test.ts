import { createDecipheriv, pbkdf2Sync } from "node:crypto";
import { gunzipSync } from "node:zlib";
import { expect, test } from "@jest/globals";
import { isSealed, seal, unseal } from "./sealed";

const LINE = '{"format": "plumbline-backup", "note": "Träger"}';
const PASSPHRASE = "anvil rasp clench";

test("what is sealed is opened by its passphrase and by no other", async () => {
  const shut = await seal(new Blob([LINE]), PASSPHRASE);
  expect([await isSealed(shut), await isSealed(new Blob([LINE]))]).toEqual([true, false]);
  expect(await shut.text()).not.toContain("plumbline-backup");
  expect(await unseal(shut, PASSPHRASE)).toEqual({ ok: true, value: LINE });
  const wrong = await unseal(shut, "anvil rasp clinch");
  expect(wrong.ok === false && wrong.issues[0]?.code).toBe("passphrase");
});

test("the same file twice is two different ones: salt and vector are drawn anew", async () => {
  const [one, two] = [await seal(new Blob([LINE]), PASSPHRASE), await seal(new Blob([LINE]), PASSPHRASE)];
  expect(await one.text()).not.toBe(await two.text());
});

test("a byte that was changed, anywhere, is noticed; a line that asks for endless work is not followed", async () => {
  const bytes = new Uint8Array(await (await seal(new Blob([LINE]), PASSPHRASE)).arrayBuffer());
  const end = bytes.indexOf(10);
  for (const at of [end - 30, end + 1, bytes.length - 1]) {
    const changed = bytes.slice();
    changed[at] = (changed[at] ?? 0) ^ 1;
    expect((await unseal(new Blob([changed]), PASSPHRASE)).ok).toBe(false);
  }
  expect((await unseal(new Blob([bytes.slice(0, end - 5)]), PASSPHRASE)).ok).toBe(false);
  const greedy = new TextDecoder().decode(bytes).replace("600000", "99999999999");
  const asked = await unseal(new Blob([greedy]), PASSPHRASE);
  expect(asked.ok === false && asked.issues[0]?.code).toBe("damaged");
});

test("it opens outside the application with nothing but what its first line says", async () => {
  const bytes = Buffer.from(await (await seal(new Blob([LINE]), PASSPHRASE)).arrayBuffer());
  const end = bytes.indexOf(10) + 1;
  const head = JSON.parse(bytes.subarray(0, end).toString()) as {
    key: { iterations: number; salt: string };
    cipher: { iv: string };
  };
  const key = pbkdf2Sync(PASSPHRASE, Buffer.from(head.key.salt, "base64"), head.key.iterations, 32, "sha256");
  const cipher = createDecipheriv("aes-256-gcm", key, Buffer.from(head.cipher.iv, "base64"));
  cipher.setAAD(bytes.subarray(0, end));
  cipher.setAuthTag(bytes.subarray(-16));
  const packed = Buffer.concat([cipher.update(bytes.subarray(end, -16)), cipher.final()]);
  expect(gunzipSync(packed).toString()).toBe(LINE);
});
