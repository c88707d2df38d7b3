/** A share in whole per cent; never 0 or 100 when it is not quite that. */
export function percent(part: number, whole: number): string {
  if (whole === 0) return "0%";
  const share = (part / whole) * 100;
  if (share > 0 && share < 1) return "< 1%";
  return share > 99 && share < 100 ? "> 99%" : `${Math.round(share)}%`;
}
