import { Migration } from "@mikro-orm/migrations";

/** Heights of an edition’s panels, as a browser has measured them. */
export class PanelHeights extends Migration {
  override async up(): Promise<void> {
    await this.execute("alter table edition add column heights json");
  }

  override async down(): Promise<void> {
    await this.execute("alter table edition drop column heights");
  }
}
