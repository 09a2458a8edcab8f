import { useSearchParams } from "react-router";
import { Bench, PageChoice } from "~/studio/bench";
import { Details } from "~/studio/details";

export default function Pages() {
  const [search] = useSearchParams();
  const page = search.get("page") ?? "home";
  return <Bench page={page} title={<PageChoice page={page} />} panel={<Details />} panelLabel="Details" />;
}
