/** Something written beside the strip that wants to stand at a height and needs room. */
export interface Label {
  /** Where it wants its middle [px]. */
  wanted: number;
  /** Height it needs [px]. */
  height: number;
}

/**
 * Moves labels apart so that none overlaps another and all stay within bounds, each as near to its
 * wanted place as the others let it: neighbours that collide form a block that settles at the mean of
 * what its members want.
 *
 * @returns the middle of each label, in the order given
 */
export function spread(labels: Label[], top: number, bottom: number): number[] {
  const order = labels.map((_, i) => i).sort((a, b) => labels[a].wanted - labels[b].wanted);
  const blocks: { members: number[]; start: number; height: number }[] = [];
  for (const i of order) {
    let block = settle({ members: [i], start: 0, height: labels[i].height });
    let last = blocks[blocks.length - 1];
    while (last && last.start + last.height > block.start) {
      blocks.pop();
      block = settle({
        members: [...last.members, ...block.members],
        start: 0,
        height: last.height + block.height,
      });
      last = blocks[blocks.length - 1];
    }
    blocks.push(block);
  }
  const middles = new Array<number>(labels.length);
  for (const block of blocks) {
    let y = block.start;
    for (const i of block.members) {
      middles[i] = y + labels[i].height / 2;
      y += labels[i].height;
    }
  }
  return middles;

  function settle(block: { members: number[]; start: number; height: number }) {
    let offset = 0;
    let sum = 0;
    for (const i of block.members) {
      sum += labels[i].wanted - (offset + labels[i].height / 2);
      offset += labels[i].height;
    }
    const ideal = sum / block.members.length;
    return { ...block, start: Math.max(top, Math.min(bottom - block.height, ideal)) };
  }
}
