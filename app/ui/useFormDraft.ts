import type { FormInstance } from "antd";
import { useEffect, useState } from "react";
import { draftAt, draftsAt, dropDraft, keepDraft } from "~app/data/drafts";
import { formChanges, formChangesText, readFormChanges, withFormChanges } from "~core/record/formDraft";

/**
 * What is typed in a form is a draft at every change, as in every other field, until the form is saved or cancelled. What
 * an earlier sitting left is there again, and `isBack` says so. The page's loader loads drafts under `forms/`.
 */
export function useFormDraft<Values extends object>(
  form: FormInstance<Values>,
  draftKey: string,
  start: Values,
) {
  const [opened, setOpened] = useState(() => {
    const changes = readFormChanges(draftAt(draftKey)?.text);
    return { start, values: withFormChanges(start, changes), isBack: changes.length > 0, again: 0 };
  });
  const { again } = opened;
  useEffect(() => {
    if (again > 0) form.resetFields();
  }, [form, again]);
  return {
    initialValues: opened.values,
    isBack: opened.isBack,
    /** Keeps what stands in the form now. */
    keep: () => {
      const changes = formChanges(opened.start, form.getFieldsValue(true));
      void (changes.length > 0 ? keepDraft(draftKey, formChangesText(changes)) : dropDraft(draftKey));
    },
    /** What goes with the change that saves the form. */
    drafts: () => draftsAt(draftKey),
    /** The form is cancelled, or is as it was found: nothing of it is kept. */
    forget: () => void dropDraft(draftKey),
    startAgain: () => {
      void dropDraft(draftKey);
      setOpened({ ...opened, values: opened.start, isBack: false, again: again + 1 });
    },
  };
}
