type Numbers = Int32Array | Float64Array | Uint8Array | Uint16Array;

/** The same numbers with room for more. */
export const longer = <Kind extends Numbers>(
  old: Kind,
  length: number,
  kind: new (length: number) => Kind,
): Kind => {
  const made = new kind(length);
  made.set(old);
  return made;
};
