// The least cut between two ends of a graph, after Y. Boykov and V. Kolmogorov, "An Experimental Comparison of Min-Cut/Max-Flow
// Algorithms for Energy Minimization in Vision" (IEEE PAMI 26/9, 2004): two trees grow from the ends until they touch, flow goes
// along the path that was found, and what it cuts off is taken in again.

/** Nodes are numbered from 0; capacities are whole numbers, so that nothing is ever nearly full. */
export type FlowGraph = {
  /**
   * What can flow from the source into each node, less what can flow from it into the sink. Both at once would cancel each
   * other: the smaller of the two is part of every cut.
   */
  readonly ends: Float64Array;
  /** Pairs of nodes, one after the other. */
  readonly pairs: Int32Array;
  /** What can flow between the two of a pair, in both directions alike. */
  readonly between: Float64Array;
};

const TO_END = -1;
const ORPHAN = -2;
const NONE = -3;
const FAR = 2 ** 30;

/** Which nodes are on the source's side of the least cut (1), and what the cut is worth. */
export function leastCut({ ends, pairs, between }: FlowGraph): { readonly value: number; readonly side: Uint8Array } {
  const nodes = ends.length;
  const left = Float64Array.from(ends);
  const arcs = between.length * 2;
  const head = new Int32Array(arcs);
  const next = new Int32Array(arcs);
  const room = new Float64Array(arcs);
  const first = new Int32Array(nodes).fill(NONE);
  // The two directions of a pair are neighbours: `arc ^ 1` is the way back.
  for (let pair = 0; pair < between.length; pair++) {
    for (const back of [0, 1]) {
      const arc = pair * 2 + back;
      const from = pairs[pair * 2 + back]!;
      head[arc] = pairs[pair * 2 + 1 - back]!;
      room[arc] = between[pair]!;
      next[arc] = first[from]!;
      first[from] = arc;
    }
  }

  const parent = new Int32Array(nodes).fill(NONE);
  const ofSink = new Uint8Array(nodes);
  const seenAt = new Int32Array(nodes);
  const distance = new Int32Array(nodes);
  const isQueued = new Uint8Array(nodes);
  const queue = new Int32Array(nodes + 1);
  let [queueHead, queueTail] = [0, 0];
  const activate = (node: number) => {
    if (isQueued[node]) return;
    isQueued[node] = 1;
    queue[queueTail] = node;
    queueTail = (queueTail + 1) % queue.length;
  };
  let orphans: number[] = [];
  const orphan = (node: number) => {
    parent[node] = ORPHAN;
    orphans.push(node);
  };
  let time = 0;
  let value = 0;

  for (let node = 0; node < nodes; node++) {
    if (left[node] === 0) continue;
    ofSink[node] = left[node]! < 0 ? 1 : 0;
    parent[node] = TO_END;
    distance[node] = 1;
    activate(node);
  }

  /** Room on an arc in the direction of the flow, for a node of either tree. */
  const toChild = (arc: number, sink: number) => room[sink ? arc ^ 1 : arc]!;

  /** Lets the trees grow from a node; gives the arc from the source's tree to the sink's where they touch. */
  const grow = (node: number): number => {
    const sink = ofSink[node]!;
    for (let arc = first[node]!; arc !== NONE; arc = next[arc]!) {
      if (toChild(arc, sink) === 0) continue;
      const other = head[arc]!;
      if (parent[other] === NONE) {
        ofSink[other] = sink;
        parent[other] = arc ^ 1;
        seenAt[other] = seenAt[node]!;
        distance[other] = distance[node]! + 1;
        activate(other);
      } else if (ofSink[other] !== sink) return sink ? arc ^ 1 : arc;
      else if (seenAt[other]! <= seenAt[node]! && distance[other]! > distance[node]!) {
        // A shorter way to the same end.
        parent[other] = arc ^ 1;
        seenAt[other] = seenAt[node]!;
        distance[other] = distance[node]! + 1;
      }
    }
    return NONE;
  };

  /** The least room on the way from a node to the end of its tree. */
  const narrowest = (from: number, sink: 0 | 1): number => {
    let least = Infinity;
    let node = from;
    for (let arc = parent[node]!; arc !== TO_END; arc = parent[node]!) {
      least = Math.min(least, room[arc ^ (1 - sink)]!);
      node = head[arc]!;
    }
    return Math.min(least, Math.abs(left[node]!));
  };

  /** Sends flow along the way from a node to the end of its tree. What has no room left there is cut off. */
  const push = (from: number, sink: 0 | 1, amount: number) => {
    let node = from;
    for (let arc = parent[node]!; arc !== TO_END; arc = parent[node]!) {
      const along = arc ^ (1 - sink);
      room[along]! -= amount;
      room[along ^ 1]! += amount;
      const up = head[arc]!;
      if (room[along] === 0) orphan(node);
      node = up;
    }
    left[node]! += sink ? amount : -amount;
    if (left[node] === 0) orphan(node);
  };

  const augment = (middle: number) => {
    const start = head[middle ^ 1]!;
    const end = head[middle]!;
    const amount = Math.min(room[middle]!, narrowest(start, 0), narrowest(end, 1));
    room[middle]! -= amount;
    room[middle ^ 1]! += amount;
    push(start, 0, amount);
    push(end, 1, amount);
    value += amount;
  };

  /** How far a node is from the end of its tree; `FAR` where it has been cut off. */
  const farness = (from: number): number => {
    let count = 0;
    for (let node = from; ; node = head[parent[node]!]!) {
      if (seenAt[node] === time) return count + distance[node]!;
      count++;
      if (parent[node] === TO_END) {
        seenAt[node] = time;
        distance[node] = 1;
        return count;
      }
      if (parent[node] === ORPHAN) return FAR;
    }
  };

  /** Finds a cut-off node a new parent, or sets it free and its children with it. */
  const adopt = (node: number) => {
    const sink = ofSink[node]!;
    let best = NONE;
    let nearest = FAR;
    for (let arc = first[node]!; arc !== NONE; arc = next[arc]!) {
      // From the parent to this node there must be room.
      if (toChild(arc ^ 1, sink) === 0) continue;
      const other = head[arc]!;
      if (ofSink[other] !== sink || parent[other] === NONE) continue;
      const far = farness(other);
      if (far >= FAR) continue;
      if (far < nearest) {
        best = arc;
        nearest = far;
      }
      let steps = far;
      for (let on = other; seenAt[on] !== time; on = head[parent[on]!]!) {
        seenAt[on] = time;
        distance[on] = steps--;
      }
    }
    parent[node] = best;
    if (best !== NONE) {
      seenAt[node] = time;
      distance[node] = nearest + 1;
      return;
    }
    for (let arc = first[node]!; arc !== NONE; arc = next[arc]!) {
      const other = head[arc]!;
      if (ofSink[other] !== sink || parent[other] === NONE) continue;
      if (toChild(arc ^ 1, sink) > 0) activate(other);
      const up = parent[other]!;
      if (up >= 0 && head[up] === node) orphan(other);
    }
  };

  while (queueHead !== queueTail) {
    const node = queue[queueHead]!;
    const arc = parent[node] === NONE ? NONE : grow(node);
    if (arc === NONE) {
      queueHead = (queueHead + 1) % queue.length;
      isQueued[node] = 0;
      continue;
    }
    time++;
    augment(arc);
    while (orphans.length) {
      const now = orphans;
      orphans = [];
      for (const each of now) adopt(each);
    }
  }
  const side = new Uint8Array(nodes);
  for (let node = 0; node < nodes; node++) side[node] = parent[node] !== NONE && !ofSink[node] ? 1 : 0;
  return { value, side };
}
