/** The few web-standard globals that the core uses; every host (page, worker, Node.js) has them. */
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean });
  decode(input: Uint8Array): string;
}

declare class TextEncoder {
  encode(text: string): Uint8Array<ArrayBuffer>;
}
