/** Writes rows in ClickHouse’s binary format. Source: its documentation, RowBinary. */
export class RowBinary {
  #bytes = Buffer.alloc(1 << 16);
  #length = 0;

  get size(): number {
    return this.#length;
  }

  uint32(value: number): void {
    this.#room(4);
    this.#length = this.#bytes.writeUInt32LE(value, this.#length);
  }

  text(value: string): void {
    const size = Buffer.byteLength(value);
    this.#varint(size);
    this.#room(size);
    this.#length += this.#bytes.write(value, this.#length);
  }

  uint32s(values: readonly number[]): void {
    this.#varint(values.length);
    for (const value of values) this.uint32(value);
  }

  floats(values: readonly number[]): void {
    this.#varint(values.length);
    this.#room(8 * values.length);
    for (const value of values) this.#length = this.#bytes.writeDoubleLE(value, this.#length);
  }

  texts(values: readonly string[]): void {
    this.#varint(values.length);
    for (const value of values) this.text(value);
  }

  /** Lists of lists, or the first of them alone. */
  lists<T>(values: readonly T[], nested: boolean, write: (list: T) => void): void {
    if (nested) this.#varint(values.length);
    for (const list of nested ? values : values.slice(0, 1)) write(list);
  }

  /** Returns the bytes written so far, and starts anew. */
  take(): Uint8Array<ArrayBuffer> {
    const taken = new Uint8Array(this.#bytes.subarray(0, this.#length));
    this.#length = 0;
    return taken;
  }

  #varint(value: number): void {
    this.#room(5);
    let rest = value;
    for (; rest > 127; rest >>>= 7) this.#bytes[this.#length++] = (rest & 127) | 128;
    this.#bytes[this.#length++] = rest;
  }

  #room(more: number): void {
    if (this.#length + more <= this.#bytes.length) return;
    const larger = Buffer.alloc(Math.max(2 * this.#bytes.length, this.#length + more));
    this.#bytes.copy(larger, 0, 0, this.#length);
    this.#bytes = larger;
  }
}
