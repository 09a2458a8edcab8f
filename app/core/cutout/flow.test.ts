import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { leastCut, type FlowGraph } from "./flow";

type Edge = readonly [from: number, to: number, capacity: number];

/** A second way to the same number: Edmonds and Karp (J. ACM 19/2, 1972), over a matrix; node 0 is the source, 1 the sink. */
function edmondsKarp(nodes: number, edges: readonly Edge[]): number {
  const room = Array.from({ length: nodes }, () => new Array<number>(nodes).fill(0));
  for (const [from, to, capacity] of edges) room[from]![to]! += capacity;
  let value = 0;
  for (;;) {
    const from = new Array<number>(nodes).fill(-1);
    from[0] = 0;
    const queue = [0];
    for (let at = queue.shift(); at !== undefined && from[1] === -1; at = queue.shift())
      for (let to = 0; to < nodes; to++)
        if (from[to] === -1 && room[at]![to]! > 0) {
          from[to] = at;
          queue.push(to);
        }
    if (from[1] === -1) return value;
    let most = Infinity;
    for (let at = 1; at !== 0; at = from[at]!) most = Math.min(most, room[from[at]!]![at]!);
    for (let at = 1; at !== 0; at = from[at]!) {
      room[from[at]!]![at]! -= most;
      room[at]![from[at]!]! += most;
    }
    value += most;
  }
}

/** The same graph for both: what goes to the ends, and pairs with room in both directions. */
const graphOf = (source: readonly number[], sink: readonly number[], pairs: readonly Edge[]) => {
  const graph: FlowGraph = {
    ends: Float64Array.from(source, (value, i) => value - sink[i]!),
    pairs: Int32Array.from(pairs.flatMap(([a, b]) => [a, b])),
    between: Float64Array.from(pairs, ([, , capacity]) => capacity),
  };
  // What flows straight from the source through a node into the sink is part of every cut.
  const through = source.reduce((sum, value, i) => sum + Math.min(value, sink[i]!), 0);
  const edges: Edge[] = [
    ...source.map((capacity, i): Edge => [0, i + 2, capacity]),
    ...sink.map((capacity, i): Edge => [i + 2, 1, capacity]),
    ...pairs.flatMap(([a, b, capacity]): Edge[] => [
      [a + 2, b + 2, capacity],
      [b + 2, a + 2, capacity],
    ]),
  ];
  return { graph, through, edges };
};

/** What a division of the nodes costs. */
function costOf(side: Uint8Array, source: readonly number[], sink: readonly number[], pairs: readonly Edge[]): number {
  let cost = 0;
  for (const [i, is] of side.entries()) cost += is ? sink[i]! : source[i]!;
  for (const [a, b, capacity] of pairs) if (side[a] !== side[b]) cost += capacity;
  return cost;
}

const graphs = fc.integer({ min: 2, max: 14 }).chain((nodes) =>
  fc.record({
    source: fc.array(fc.integer({ min: 0, max: 30 }), { minLength: nodes, maxLength: nodes }),
    sink: fc.array(fc.integer({ min: 0, max: 30 }), { minLength: nodes, maxLength: nodes }),
    pairs: fc.array(
      fc.tuple(fc.nat(nodes - 1), fc.nat(nodes - 1), fc.integer({ min: 0, max: 20 })).filter(([a, b]) => a !== b),
      { maxLength: 40 },
    ),
  }),
);

describe("the least cut", () => {
  it("is worth the greatest flow, and parts the nodes at that price", () => {
    fc.assert(
      fc.property(graphs, ({ source, sink, pairs }) => {
        const { graph, through, edges } = graphOf(source, sink, pairs);
        const { value, side } = leastCut(graph);
        expect(value + through).toBe(edmondsKarp(source.length + 2, edges));
        expect(costOf(side, source, sink, pairs)).toBe(value + through);
      }),
      { numRuns: 400 },
    );
  });

  it("cuts a chain at its weakest link", () => {
    // 10 in, links of 7, 3 and 9, 8 out: 3 by inspection.
    const { graph } = graphOf(
      [10, 0, 0, 0],
      [0, 0, 0, 8],
      [
        [0, 1, 7],
        [1, 2, 3],
        [2, 3, 9],
      ],
    );
    const { value, side } = leastCut(graph);
    expect(value).toBe(3);
    expect([...side]).toEqual([1, 1, 0, 0]);
  });

  it("handles a grid of many nodes", () => {
    const side = 60;
    const pairs: Edge[] = [];
    for (let y = 0; y < side; y++)
      for (let x = 0; x < side; x++) {
        if (x + 1 < side) pairs.push([y * side + x, y * side + x + 1, x === 29 ? 1 : 50]);
        if (y + 1 < side) pairs.push([y * side + x, (y + 1) * side + x, 50]);
      }
    const source = Array.from({ length: side * side }, (_u, i) => (i % side === 0 ? 1000 : 0));
    const sink = Array.from({ length: side * side }, (_u, i) => (i % side === side - 1 ? 1000 : 0));
    const { value, side: found } = leastCut(graphOf(source, sink, pairs).graph);
    expect(value).toBe(side);
    expect(found.every((is, i) => is === (i % side <= 29 ? 1 : 0))).toBe(true);
  });
});
