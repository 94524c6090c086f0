import { NewsView } from "~app/features/news/NewsView";
import type { Route } from "./+types/news";

export const meta: Route.MetaFunction = () => [{ title: "What is new · Plumbline" }];

export default function NewsRoute() {
  return <NewsView />;
}
