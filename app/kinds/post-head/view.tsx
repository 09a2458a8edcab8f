import type { ViewProps } from "../definition";
import { Pic, PostFacts, PostTags, useEnv, Words } from "../parts";
import type { PostHeadProps } from "./definition";

export function View({ props, arrangement }: ViewProps<PostHeadProps>) {
  const { post: find, journal: journalOf } = useEnv();
  const post = find()?.post;
  const journal = journalOf(null);
  const picture = props.picture ? post?.own.picture : null;
  const summary = props.summary ? post?.own.summary : "";
  return (
    <div className="in">
      <div className="ph-words">
        {journal ? (
          <a className="more" href={journal.address}>
            <Words at="back" text={props.back || journal.title} hint="Way back" />
          </a>
        ) : null}
        <h1 className="head">{post?.title ?? "Your first post"}</h1>
        {post ? <PostFacts post={post} shows={props} /> : null}
        {summary ? <p className="ph-lead">{summary}</p> : null}
        {post && journal && props.tags ? <PostTags post={post} journal={journal.address} /> : null}
      </div>
      {picture ? (
        <Pic
          picture={picture}
          sizes={arrangement === "beside" ? "(min-width:800px) 50vw, 100vw" : "(min-width:900px) 50rem, 100vw"}
          eager
          alt=""
        />
      ) : null}
    </div>
  );
}
