/** Something that can be done, by its name. */
export interface Action {
  name: string;
  run(): void;
}
