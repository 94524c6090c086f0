/** One answer among a few, to be hit by a thumb: it is done at once. */
export function Tap(props: React.ComponentPropsWithRef<"button">) {
  return <button type="button" className="tap" {...props} />;
}
