import { Migration } from "@mikro-orm/migrations";

/** Panels are brought up to date when they are read; this step is kept so that databases which have taken it know it. */
export class PanelFormat2 extends Migration {
  override up(): void {}
}
