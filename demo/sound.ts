/** The value of a result that cannot fail on a foot of the demo round; a mistake in the round is a programmer's. */
export function sound<T>(result: { ok: true; value: T } | { ok: false; issues: { message: string }[] }): T {
  if (!result.ok) throw new Error(`the demo foot broke: ${result.issues[0]?.message ?? ""}`);
  return result.value;
}
