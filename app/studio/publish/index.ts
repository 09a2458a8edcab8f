export { PublishButton, PublishDialog } from "./publish";
