import { useSearchParams } from "react-router";
import { Bench, PageChoice, ShowChoice } from "~/studio/bench";
import { Details } from "~/studio/details";

export default function Pages() {
  const [search] = useSearchParams();
  const page = search.get("page") ?? "";
  const show = search.get("show");
  const title = (
    <>
      <PageChoice page={page} />
      <ShowChoice page={page} show={show} />
    </>
  );
  return <Bench page={page} show={show} title={title} panel={<Details page={page} />} panelLabel="Details" />;
}
