/** The encodings that a file can have besides UTF-8, by their labels, with what people call them. Source of the labels: WHATWG Encoding Standard. */
export const encodingTitles = {
  "windows-1252": "Western European (Windows-1252)",
  macintosh: "Western European (Mac)",
  "windows-1250": "Central European (Windows-1250)",
  "iso-8859-2": "Central European (ISO 8859-2)",
  "windows-1257": "Baltic (Windows-1257)",
  "windows-1254": "Turkish (Windows-1254)",
  "windows-1253": "Greek (Windows-1253)",
  "windows-1251": "Cyrillic (Windows-1251)",
  "koi8-r": "Cyrillic (KOI8-R)",
  "windows-1255": "Hebrew (Windows-1255)",
  "windows-1256": "Arabic (Windows-1256)",
  "windows-874": "Thai (Windows-874)",
  "windows-1258": "Vietnamese (Windows-1258)",
  shift_jis: "Japanese (Shift JIS)",
  "euc-jp": "Japanese (EUC-JP)",
  gb18030: "Simplified Chinese (GB 18030)",
  big5: "Traditional Chinese (Big5)",
  "euc-kr": "Korean (EUC-KR)",
  "utf-16le": "UTF-16",
  "utf-16be": "UTF-16, big-endian",
} as const;

export type Encoding = keyof typeof encodingTitles;

/** Whether a text is one of the {@link encodingTitles}. */
export const isEncoding = (text: string): text is Encoding => Object.hasOwn(encodingTitles, text);
