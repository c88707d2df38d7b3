/** Something that can be done, with its name. */
export interface Action {
  name: string;
  /** Other words that it is found by. */
  also?: string;
  run(): void;
}
