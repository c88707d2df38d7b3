import { secureHeaders } from "hono/secure-headers";

/**
 * The headers of the tool's own pages and its API: scripts only from their own files, nothing from elsewhere except
 * catalogue pictures, no framing and no reading by other sites. Inline styles are allowed, since libraries set them.
 * HTTPS is not required, since a tool on this computer does not have it.
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
