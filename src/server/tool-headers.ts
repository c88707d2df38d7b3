import { secureHeaders } from "hono/secure-headers";

/**
 * What the tool's own pages and its API say of themselves: no script but their own files, nothing from elsewhere but
 * pictures of catalogues, in no frame of another site, and readable by none. Styles are set by libraries as they run.
 * Without a demand for HTTPS, which a tool on this computer does not have.
 */
export const toolHeaders = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", "data:", "blob:", "https:", "http:"],
    fontSrc: ["'self'", "data:"],
    connectSrc: ["'self'"],
    workerSrc: ["'self'", "blob:"],
    frameSrc: ["'self'"],
    frameAncestors: ["'self'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
  },
  xFrameOptions: "SAMEORIGIN",
  xContentTypeOptions: "nosniff",
  crossOriginResourcePolicy: "same-origin",
  referrerPolicy: "same-origin",
  strictTransportSecurity: false,
});
