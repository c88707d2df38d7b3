/**
 * Shannon entropy in bits of a distribution given as counts; 0 for none or for a single value.
 * Source: Shannon (1948), section 6.
 */
export function entropy(counts: Iterable<number>): number {
  const list = [...counts].filter((count) => count > 0);
  const total = list.reduce((sum, count) => sum + count, 0);
  return list.reduce((bits, count) => bits - (count / total) * Math.log2(count / total), 0);
}

/**
 * Information gain in bits: the entropy of the class minus its mean entropy within each value. Source: Quinlan (1986),
 * Induction of Decision Trees, section 4.
 * @param values the value of each example; undefined (not stated) is a value of its own
 * @param classes the class of each example
 */
export function informationGain(values: readonly unknown[], classes: readonly unknown[]): number {
  const groups = new Map<unknown, unknown[]>();
  values.forEach((value, i) => {
    const group = groups.get(value);
    if (group) group.push(classes[i]);
    else groups.set(value, [classes[i]]);
  });
  const within = [...groups.values()].reduce(
    (sum, group) => sum + (group.length / values.length) * entropy(tallied(group)),
    0,
  );
  return entropy(tallied(classes)) - within;
}

function tallied(items: readonly unknown[]): Iterable<number> {
  const counts = new Map<unknown, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts.values();
}
