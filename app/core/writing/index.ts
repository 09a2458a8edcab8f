export { MOST_POSTS_IN, postsFromFeed } from "./feed";
export { blocksOfRich, markdownFile, markdownOf, postFromMarkdown, richFromMarkdown, type PostOut } from "./markdown";
export { clockIn, type PostIn } from "./post";
export { richOf, type Taken } from "./rich-of";
