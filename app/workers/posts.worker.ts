/// <reference lib="webworker" />
import { postsIn, type FoundPosts, type GivenFile } from "./posts-in";

// Years of posts are read here, so that the studio does not wait for them.
self.onmessage = ({ data }: MessageEvent<readonly GivenFile[]>) => {
  const answer: FoundPosts = postsIn(data);
  self.postMessage(answer);
};
