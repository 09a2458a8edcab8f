/** Grids of more than this are long enough for an unfilled last row not to be seen at one glance with the first. */
const MOST = 12;

/** The class of a grid of `count` things, whose rows are filled as evenly as the number of columns allows. */
export const gridClass = (count: number): string => (count > 1 && count <= MOST ? `grid even of-${count}` : "grid");

const counts = Array.from({ length: MOST - 1 }, (_, i) => `.of-${i + 2}{--count:${i + 2}}`).join("\n");

/**
 * Five in a grid of four columns stand as 3 + 2 and not as 4 + 1: as many columns as share the things out evenly over the rows
 * that are needed anyway, but no fewer than two thirds of those that were asked for, or single cards would grow huge.
 * Browsers that don't know `round()` show the columns as they were asked for (CSS Values 4, 10.3; Baseline since 2024).
 */
export const EVEN_CSS = `${counts}
@supports (width:round(up,1px,1px)){
.grid.even{--rows:round(up,var(--count)/var(--columns,4),1);--even:max(round(up,var(--count)/var(--rows),1),round(up,var(--columns,4)*2/3,1));grid-template-columns:repeat(var(--even),minmax(0,1fr))}
}
`;
