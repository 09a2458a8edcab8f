import { Bench } from "~/studio/bench";
import { Details } from "~/studio/details";

export default function Pages() {
  return <Bench page="home" title="Home" panel={<Details />} panelLabel="Details" />;
}
