import type { ShouldRevalidateFunction, ShouldRevalidateFunctionArgs } from "react-router";
import type { Saved } from "~app/data/edits";
import type { TableName } from "~core/record/tables";
import { isUnread } from "./unread";
import type { EditRequest } from "./useEdits";

/** A change of the search part of an address alone (foot, view, way, filter). */
const onlySearch = ({ currentUrl, nextUrl, formMethod }: ShouldRevalidateFunctionArgs): boolean =>
  formMethod === undefined &&
  currentUrl.pathname === nextUrl.pathname &&
  currentUrl.search !== nextUrl.search;

/**
 * When a route's loader is to read again. A change of the search part reads nothing; an edit reads where it wrote one of
 * these tables, or where what was written is not read yet. Whatever else asks (another tab, another address) reads.
 */
export function readsOnly(...tables: TableName[]): ShouldRevalidateFunction {
  return (args) => {
    if (tables.some(isUnread)) return true;
    if (onlySearch(args)) return false;
    const request = args.json as EditRequest | undefined;
    if (!args.formAction?.endsWith("/edits") || request === undefined) return args.defaultShouldRevalidate;
    const saved = args.actionResult as Saved | undefined;
    if (saved?.kind !== "saved") return saved?.kind === "conflict";
    return saved.tables.some((table) => tables.includes(table));
  };
}
