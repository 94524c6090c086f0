import { index, layout, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  layout("routes/frame.tsx", [
    layout("routes/page.tsx", [
      index("routes/today.tsx"),
      route("horses", "routes/horses.tsx"),
      route("horses/new", "routes/horse-new.tsx"),
      route("horses/:horseId", "routes/horse.tsx"),
      route("horses/:horseId/edit", "routes/horse-edit.tsx"),
      route("horses/:horseId/films", "routes/films.tsx"),
      route("cases", "routes/cases.tsx"),
      route("horses/:horseId/sheets", "routes/sheets.tsx"),
      route("horses/:horseId/cases/new", "routes/case-edit.tsx", { id: "case-new" }),
      route("horses/:horseId/cases/:caseId", "routes/case.tsx"),
      route("horses/:horseId/cases/:caseId/edit", "routes/case-edit.tsx"),
      route("horses/:horseId/films/:filmId", "routes/film.tsx"),
      route("forge/:visitId?/:limb?", "routes/forge.tsx"),
      route("ground/:visitId?/:limb?", "routes/ground.tsx"),
      route("practice/:room?", "routes/practice.tsx"),
      route("practice/run/:protocolId", "routes/protocol.tsx"),
      route("rounds", "routes/rounds.tsx"),
      route("rounds/:date", "routes/day.tsx"),
      route("files", "routes/files.tsx"),
      route("cautions", "routes/cautions.tsx"),
      route("new", "routes/news.tsx"),
      route("settings", "routes/settings.tsx"),
      route("settings/reading", "routes/foot-rules.tsx"),
      route("settings/shoeing", "routes/shoe-rules.tsx"),
      route("*", "routes/not-found.tsx"),
    ]),
  ]),
  route("visits/:visitId", "routes/visit.tsx", [
    index("routes/visit-start.tsx"),
    route(":stage", "routes/visit-stage.tsx"),
  ]),
  route("card", "routes/card.tsx"),
  route("edits", "routes/edits.tsx"),
] satisfies RouteConfig;
