export { layoutOf, mendOf, onPicturesOf, RULE_WORDS, type Finding } from "./findings";
export { contrastOnPicture, createContrastWorker, type AskContrast, type PictureContrast } from "./on-picture";
export { PageSurvey, type PageFindings } from "./survey";
