/// <reference lib="webworker" />
import { imagesIn, type Unpacked } from "./images-in";

export type ArchiveAnswer = Unpacked | null;

// A ZIP is unpacked here, so that the studio does not wait for it.
self.onmessage = async ({ data }: MessageEvent<File>) => {
  let answer: ArchiveAnswer;
  try {
    answer = imagesIn(new Uint8Array(await data.arrayBuffer()));
  } catch {
    answer = null;
  }
  self.postMessage(answer, { transfer: answer?.files.map(({ bytes }) => bytes.buffer) ?? [] });
};
