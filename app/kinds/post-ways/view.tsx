import type { ReactNode } from "react";
import type { ViewProps } from "../definition";
import { Pic, useEnv, Words, type PostEntry } from "../parts";
import type { PostWaysProps } from "./definition";

export function View({ props, arrangement }: ViewProps<PostWaysProps>) {
  const { post: find, studio, picture: known } = useEnv();
  const { earlier, later } = find() ?? {};
  if (!earlier && !later)
    return studio ? <p className="in studio-empty">Ways to the posts before and after it stand here.</p> : null;
  const way = (post: PostEntry | undefined, which: "earlier" | "later"): ReactNode => {
    if (!post) return null;
    const picture = arrangement === "pictures" ? post.picture() : undefined;
    return (
      <a className={`pw-way pw-${which}`} rel={which === "earlier" ? "prev" : "next"} href={post.address}>
        {known(picture ?? null) ? <Pic picture={picture ?? null} sizes="8rem" alt="" /> : null}
        <Words at={which} className="over" text={props[which]} hint="Words" />
        <span className="head">{post.title}</span>
      </a>
    );
  };
  return (
    <div className="in">
      <nav className="pw-ways" aria-label="Other posts">
        {way(earlier, "earlier")}
        {way(later, "later")}
      </nav>
    </div>
  );
}
