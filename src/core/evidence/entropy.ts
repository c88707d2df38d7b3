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
 * By how many bits knowing a value lowers the uncertainty about the class: the class's entropy less its
 * mean entropy within each value. Source: Quinlan (1986), Induction of Decision Trees, section 4.
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

/**
 * By how many bits one answer narrows the products down, on the mean over answers, when each product is
 * looked for through every option that it states: log2 of all products less the mean log2 of what is left.
 * Those who look for a product that does not state the field are left with all that do not.
 * @param counts products of each option; a product may stand in several
 * @param unstated products that state none
 * @param products all products
 */
export function narrowing(counts: readonly number[], unstated: number, products: number): number {
  const groups = [...counts, unstated].filter((count) => count > 0);
  const answers = groups.reduce((sum, count) => sum + count, 0);
  if (answers === 0) return 0;
  return Math.log2(products) - groups.reduce((sum, count) => sum + (count / answers) * Math.log2(count), 0);
}

function tallied(items: readonly unknown[]): Iterable<number> {
  const counts = new Map<unknown, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts.values();
}
