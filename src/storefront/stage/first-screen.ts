/** Draws a line at the end of the first screen. @param height in CSS px from the top */
export function drawScreen(height: number): void {
  const line = document.querySelector<HTMLElement>(".zt-screen-end") ?? document.createElement("div");
  line.className = "zt-screen-end";
  line.setAttribute("aria-hidden", "true");
  line.style.insetBlockStart = `${height}px`;
  document.body.append(line);
}
