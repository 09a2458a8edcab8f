import type { ViewProps } from "../definition";
import { Running, Sign, useEnv, Words } from "../parts";
import type { RunningLineProps } from "./definition";

export function View({ props }: ViewProps<RunningLineProps>) {
  const { studio } = useEnv();
  const words = props.words
    .map(({ text }, index) => ({ text, index }))
    .filter(({ text }) => studio || text.trim() !== "");
  if (words.length === 0) return studio ? <p className="studio-empty">Add the first words, in Details.</p> : null;
  return (
    <Running
      count={words.length}
      speed={props.speed}
      className="line-part"
      draw={(copy) =>
        words.map(({ text, index }) => (
          <li key={index}>
            {copy ? <span>{text}</span> : <Words at={`words.${index}.text`} text={text} hint="Words" />}
            <Sign sign={props.sign} />
          </li>
        ))
      }
    />
  );
}
