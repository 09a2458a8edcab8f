import { useRegion, Wordmark } from "../parts";

export function View() {
  return <Wordmark place={useRegion() === "bottom" ? "footer" : "header"} />;
}
