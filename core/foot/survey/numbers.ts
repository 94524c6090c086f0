import type { SoleSurvey } from "./survey";

/** The numbers of a survey by a flat name, for bands, changes and tables; what is missing is missing. */
export function surveyNumbers(survey: SoleSurvey) {
  return {
    sulcus: survey.sulcus,
    frogStretch: survey.frogStretch,
    frogWidthRatio: survey.frogWidthRatio,
    footLength: survey.footLength,
    width: survey.width,
    widthToLength: survey.widthToLength,
    cor: survey.cor?.median,
    front: survey.front,
    support: survey.support,
    toeExcess: survey.toeExcess,
    frontShare: survey.frontShare,
    coffinTip: survey.coffinTip,
    breakover: survey.breakover,
    heelForwardMedial: survey.heelForward.medial,
    heelForwardLateral: survey.heelForward.lateral,
    heelDifference: survey.heelDifference,
    halfWidthMedial: survey.halfWidth.medial,
    halfWidthLateral: survey.halfWidth.lateral,
    heelHalfWidthMedial: survey.heelHalfWidth.medial,
    heelHalfWidthLateral: survey.heelHalfWidth.lateral,
    barBendMedial: survey.barBend.medial,
    barBendLateral: survey.barBend.lateral,
    driftLateral: survey.drift?.lateral,
    driftToe: survey.drift?.toe,
  };
}
export type SurveyNumber = keyof ReturnType<typeof surveyNumbers>;
