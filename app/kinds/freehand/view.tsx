import { useSlot } from "../parts";

export function View() {
  const { inside, mark } = useSlot("columns");
  return (
    <div className="in">
      <div className="cols" {...mark}>
        {inside}
      </div>
    </div>
  );
}
