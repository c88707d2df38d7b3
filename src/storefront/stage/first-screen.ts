/** Draws a line on the page where the first screen ends, so many CSS px from the top. */
export function drawScreen(height: number): void {
  const line = document.querySelector<HTMLElement>(".zt-screen-end") ?? document.createElement("div");
  line.className = "zt-screen-end";
  line.setAttribute("aria-hidden", "true");
  line.style.insetBlockStart = `${height}px`;
  document.body.append(line);
}
