/** A wall clock's reading: year, month (1 to 12), day, hour, minute. */
export type WallTime = readonly [year: number, month: number, day: number, hour: number, minute: number];

/**
 * The instant at which the clocks of a zone (by its name in the IANA database, such as `Europe/Lisbon`) show this; undefined
 * for a zone that is not known. A time that a change of clocks leaves out is the one an hour later.
 */
export function zoneClock(zone: string): ((wall: WallTime) => Date) | undefined {
  let format: Intl.DateTimeFormat;
  try {
    format = new Intl.DateTimeFormat("en-GB", {
      timeZone: zone,
      hourCycle: "h23",
      year: "numeric",
      month: "numeric",
      day: "numeric",
      hour: "numeric",
      minute: "numeric",
    });
  } catch {
    return undefined;
  }
  const shownAt = (instant: number): number => {
    const part = Object.fromEntries(
      format.formatToParts(instant).map(({ type, value }) => [type, Number(value)]),
    );
    return utcOf([part.year, part.month, part.day, part.hour, part.minute] as never);
  };
  return (wall) => {
    const wanted = utcOf(wall);
    let instant = wanted;
    // The offset at the guess is that at the answer, but near a change of clocks: looked at once more.
    for (let look = 0; look < 2; look++) instant += wanted - shownAt(instant);
    return new Date(instant);
  };
}

const utcOf = ([year, month, day, hour, minute]: WallTime): number =>
  Date.UTC(year, month - 1, day, hour, minute);
