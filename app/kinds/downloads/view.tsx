import { sourceOf } from "~/core/pictures";
import type { Link } from "~/core/schema";
import type { ViewProps } from "../definition";
import { inGroups } from "../grouped";
import { gridClass, innerHead, SectionHead, useEnv, Words } from "../parts";
import type { DownloadsProps } from "./definition";

/** The sort of file that an address ends with, in capitals; a page has none. */
function sortOf(link: Link, address: string | undefined): string {
  if (link.to === "document") return "PDF";
  const end = /\.([a-z0-9]{2,4})(?:[?#]|$)/i.exec(address?.replace(/^https?:\/\/[^/]*/i, "") ?? "")?.[1];
  return end ? end.toUpperCase() : "";
}

export function View({ props, arrangement, first }: ViewProps<DownloadsProps>) {
  const { studio, href, titleOf, picture: find } = useEnv();
  const files = props.files
    .map((each, index) => {
      const { link } = each;
      // A picture is taken as large as it is.
      const shown = link.to === "file" ? find(link.id) : undefined;
      const address = shown ? sourceOf(shown, shown.width) : href(link);
      const own = link.to === "document" ? link.name.replace(/\.pdf$/i, "") : (shown?.alt ?? titleOf(link) ?? "");
      return { ...each, index, address, name: each.name || own };
    })
    .filter((each) => studio ?? (each.address && each.name));
  if (files.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {files.length ? (
        <div className="files-all">
          {inGroups(files).map(({ name, items }) => (
            <div key={items[0].index}>
              {name ? (
                <Words
                  at={`files.${items[0].index}.group`}
                  as={Tag}
                  className="head files-head"
                  text={name}
                  hint="Name of the group"
                />
              ) : null}
              <ul className={arrangement === "cards" ? gridClass(items.length) : "files-list"}>
                {items.map((each) => {
                  const at = `files.${each.index}`;
                  const sort = sortOf(each.link, each.address);
                  return (
                    <li key={each.index}>
                      <div className="file">
                        <span className="file-sort" aria-hidden="true">
                          {sort || "…"}
                        </span>
                        <span>
                          <a
                            className="file-name"
                            href={each.address ?? "#"}
                            {...(studio && !each.address ? { "data-dead": "" } : {})}
                          >
                            <Words at={`${at}.name`} text={each.name} hint="What it is called" />
                            {sort ? <span className="unseen"> ({sort})</span> : null}
                          </a>
                          <Words at={`${at}.text`} className="file-text" text={each.text} hint="What is in it" />
                        </span>
                        <span className="file-go" aria-hidden="true" />
                      </div>
                    </li>
                  );
                })}
              </ul>
            </div>
          ))}
        </div>
      ) : (
        <p className="studio-empty">Add the first file, in Details on the left.</p>
      )}
    </div>
  );
}
