/**
 * What a person reads off the documentation of open CSS frameworks: body font (its first family), text, ground, accent,
 * corners of buttons in CSS px on a page 1280 px wide. Written down from memory of their documentation before anything
 * was read by the code. The first half was looked at while the reader was written, the second was kept apart.
 */
export interface Answer {
  package: string;
  file: string;
  font: string;
  ink: string;
  ground: string;
  accent: string;
  radius: number;
}

export const lookedAt: readonly Answer[] = [
  {
    package: "bootstrap",
    file: "dist/css/bootstrap.css",
    font: "system-ui",
    ink: "#212529",
    ground: "#ffffff",
    accent: "#0d6efd",
    radius: 6,
  },
  {
    package: "bulma",
    file: "css/bulma.css",
    font: "Inter",
    ink: "#404654",
    ground: "#ffffff",
    accent: "#00d1b2",
    radius: 6,
  },
  // Its root is 125% on a page this wide, so that 0.25rem are 5 px.
  {
    package: "@picocss/pico",
    file: "css/pico.css",
    font: "system-ui",
    ink: "#373c44",
    ground: "#ffffff",
    accent: "#0172ad",
    radius: 5,
  },
  // Its root is 62.5%, so that 0.4rem are 4 px.
  {
    package: "milligram",
    file: "dist/milligram.css",
    font: "Roboto",
    ink: "#606c76",
    ground: "#ffffff",
    accent: "#9b4dca",
    radius: 4,
  },
  {
    package: "water.css",
    file: "out/light.css",
    font: "system-ui",
    ink: "#363636",
    ground: "#ffffff",
    accent: "#0076d1",
    radius: 6,
  },
  {
    package: "uikit",
    file: "dist/css/uikit.css",
    font: "-apple-system",
    ink: "#666666",
    ground: "#ffffff",
    accent: "#1e87f0",
    radius: 0,
  },
];

export const keptApart: readonly Answer[] = [
  // Its root is 20 px, so that 0.1rem are 2 px.
  {
    package: "spectre.css",
    file: "dist/spectre.css",
    font: "-apple-system",
    ink: "#3b4351",
    ground: "#ffffff",
    accent: "#5755d9",
    radius: 2,
  },
  {
    package: "foundation-sites",
    file: "dist/css/foundation.css",
    font: "Helvetica Neue",
    ink: "#0a0a0a",
    ground: "#fefefe",
    accent: "#1779ba",
    radius: 0,
  },
  {
    package: "mvp.css",
    file: "mvp.css",
    font: "-apple-system",
    ink: "#000000",
    ground: "#ffffff",
    accent: "#118bee",
    radius: 5,
  },
  {
    package: "sakura.css",
    file: "css/sakura.css",
    font: "-apple-system",
    ink: "#4a4a4a",
    ground: "#f9f9f9",
    accent: "#1d7484",
    radius: 1,
  },
  {
    package: "chota",
    file: "dist/chota.css",
    font: "-apple-system",
    ink: "#333333",
    ground: "#ffffff",
    accent: "#14854f",
    radius: 4,
  },
  {
    package: "simpledotcss",
    file: "simple.css",
    font: "-apple-system",
    ink: "#212121",
    ground: "#ffffff",
    accent: "#0d47a1",
    radius: 5,
  },
];
