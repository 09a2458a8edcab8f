import { useEnv } from "../parts";

/** Seen on the layout alone: a post puts its own sections here. */
export function View() {
  const { post: find, studio } = useEnv();
  const post = find()?.post;
  if (!studio) return null;
  return (
    <p className="in studio-empty">
      {post
        ? `Here stands what each post says itself. “${post.title}” is written on its own page.`
        : "Here stands what each post says itself."}
    </p>
  );
}
