CREATE TABLE "verdicts" (
	"conversion_id" uuid NOT NULL,
	"what" text NOT NULL,
	"of" text NOT NULL,
	"answer" text NOT NULL,
	CONSTRAINT "verdicts_conversion_id_what_pk" PRIMARY KEY("conversion_id","what")
);
--> statement-breakpoint
DROP INDEX "conversions_shop_id_index";--> statement-breakpoint
DROP INDEX "measurements_conversion_id_taken_at_index";--> statement-breakpoint
ALTER TABLE "verdicts" ADD CONSTRAINT "verdicts_conversion_id_conversions_id_fk" FOREIGN KEY ("conversion_id") REFERENCES "public"."conversions"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "conversions_shop_id_created_at_id_index" ON "conversions" USING btree ("shop_id","created_at","id");--> statement-breakpoint
CREATE INDEX "conversions_saved_at_id_index" ON "conversions" USING btree ("saved_at","id");--> statement-breakpoint
CREATE INDEX "devices_person_id_index" ON "devices" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "devices_conversion_id_index" ON "devices" USING btree ("conversion_id");--> statement-breakpoint
CREATE INDEX "invitations_conversion_id_index" ON "invitations" USING btree ("conversion_id");--> statement-breakpoint
CREATE INDEX "measurements_conversion_id_taken_at_id_index" ON "measurements" USING btree ("conversion_id","taken_at","id");--> statement-breakpoint
CREATE INDEX "revisions_saved_at_index" ON "revisions" USING btree ("saved_at") WHERE origin = 'edited' and name is null;--> statement-breakpoint
CREATE INDEX "shops_created_at_id_index" ON "shops" USING btree ("created_at","id");