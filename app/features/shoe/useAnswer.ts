import { useEffect, useMemo, useState } from "react";
import type { Running } from "~app/workers/running";

/**
 * What a worker answers to a question, which is asked again only where its text is another one: an edit makes much anew
 * that asks the same. Undefined until it has answered, and while nothing is asked; `otherwise` where it could not.
 */
export function useAnswer<Question, T>(
  question: Question | undefined,
  textOf: (question: Question) => string,
  ask: (question: Question) => Running<T>,
  otherwise: T,
): T | undefined {
  // eslint-disable-next-line react-hooks/exhaustive-deps -- how a question is put into words is the same each time
  const text = useMemo(() => (question === undefined ? undefined : textOf(question)), [question]);
  const [given, setGiven] = useState<{ to: string; answer: T }>();
  useEffect(() => {
    if (question === undefined || text === undefined) return undefined;
    const { answer, cancel } = ask(question);
    const give = (found: T) => setGiven({ to: text, answer: found });
    answer.then(give, () => give(otherwise));
    return cancel;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the text says all that is asked
  }, [text]);
  return given?.to === text ? given?.answer : undefined;
}
