/** Something that can be done, with its name. */
export interface Action {
  name: string;
  run(): void;
}
