import { SiteGlance } from "~/studio/site";

export default function AllPages() {
  return <SiteGlance />;
}
