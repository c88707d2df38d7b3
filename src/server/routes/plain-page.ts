import { html } from "hono/html";

/** A page that says what is wrong and leads back. */
export const plainPage = (title: string, message: string) => html`<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <style>
      body { max-width: 520px; margin: 18vh auto; padding: 0 24px; font: 17px/1.5 system-ui, sans-serif; color: #34203f; background: #faf5ec; }
      h1 { font-size: 28px; }
      a { color: inherit; }
    </style>
  </head>
  <body>
    <h1>${title}</h1>
    <p>${message}</p>
    <p><a href="/">All shops</a></p>
  </body>
</html>`;
