export { PublishButton, PublishDialog } from "./publish";
export { putOut, type PutOut } from "./put-out";
