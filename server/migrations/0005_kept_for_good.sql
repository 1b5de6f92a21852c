CREATE TABLE "entries" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"conversion_id" uuid NOT NULL,
	"path" text NOT NULL,
	"value" jsonb,
	"by" text,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "name" text;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "begun_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "changed" jsonb;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "changed_since" integer;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_conversion_id_conversions_id_fk" FOREIGN KEY ("conversion_id") REFERENCES "public"."conversions"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entries_conversion_id_at_index" ON "entries" USING btree ("conversion_id","at");--> statement-breakpoint
-- What was kept before is no burst that goes on.
UPDATE "revisions" SET "begun_at" = "saved_at";
